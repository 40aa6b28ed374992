import type { Here } from "../catalog";
import type { Day } from "../time";
import type { Answers } from "./told";
import type { Block, Run } from "./text";

/** Of what a briefing is, when it is asked, and how amounts are written in it. */
export interface BriefingPlace {
  /** null: of the items that a saved filter finds. */
  readonly here: Here | null;
  /** Its name, as sentences write it. */
  readonly printed: string;
  /** The local day of asking; of a frozen briefing the day that it stands at. */
  readonly today: Day;
  /** The day that "since the last one" begins after. */
  readonly since: Day;
  readonly currency: string;
  /** The workspace's own name. */
  readonly company: string;
  /** What a project's plan spans. */
  readonly span: { readonly from: Day; readonly to: Day } | null;
  /** The next change of a project's budget, as far as the reader may see it. */
  readonly budgetToCome: { readonly on: Day; readonly to: string } | null;
}

/** A part of a briefing that is made from figures: what it asks, and what it writes of the answers. */
export interface BriefingPart {
  readonly id: string;
  title(place: BriefingPlace): string;
  /** It is there even with nothing to say, and says why. */
  readonly always?: string;
  /** Sentences by the names that `write` knows their answers by. */
  asks(place: BriefingPlace): Readonly<Record<string, string>>;
  /** Nothing: there is nothing to say. */
  write(told: Answers, place: BriefingPlace): readonly Block[];
}

export const paragraph = (...runs: readonly Run[]): Block => ({ kind: "text", runs });
export const figure = (key: string, words: string, says: string): Run => ({ key, words, says });

/** What stands once in a part whose money is not the reader's. */
export const MONEY_HIDDEN: Block = { kind: "note", words: "Money is not yours to see." };
