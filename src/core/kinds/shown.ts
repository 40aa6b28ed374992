import type { Problem } from "../base";
import type { Figure, Said } from "../figure";
import { localDay, longDayText, clockText } from "../time";
import type { ReportBase } from "../definition";
import type { Viewpoint } from "../relation";
import type { CountAnswer } from "./count/countAnswer";
import type { Percentages } from "./count/percentages";
import type { HiddenAnswer, HistoryAnswer } from "./answers";

/** A record as a table shows it: each cell in words. */
export interface ShownRecord {
  readonly id: number;
  readonly key: string | null;
  readonly cells: readonly (string | null)[];
  /** What brought it into the part of a bridge or a flow: what changed, when and by whom. */
  readonly decided?: { readonly what: string; readonly when: string; readonly by: string | null };
}
export interface ShownRecords {
  /** How many rows there are in all. */
  readonly count: number;
  /** Of how many different records, where one stands once for each of its steps. */
  readonly different?: number;
  readonly columns: readonly {
    readonly field: readonly string[];
    readonly words: string;
    readonly align: "left" | "right";
  }[];
  readonly rows: readonly ShownRecord[];
}

/** Records drawn one by one: when (ms), how much, and both in words. */
export interface ShownDots {
  readonly of: number;
  readonly dots: readonly {
    readonly id: number;
    readonly key: string | null;
    readonly at: number;
    readonly value: number;
    readonly words: string;
    readonly when: string;
  }[];
}

/** The guide line of a burndown, in working days and by the clock. */
export interface ShownPace {
  readonly working: readonly { readonly t: number; readonly pace: string }[];
  readonly clock: readonly { readonly t: number; readonly pace: string }[];
  /** Local days of the time that is drawn, and which of them are worked. */
  readonly days: readonly {
    readonly day: string;
    readonly start: number;
    readonly end: number;
    readonly works: boolean;
    readonly name: string | null;
  }[];
}

/** A report answered for the screen. */
export type Shown = ShownCount | ShownList | ShownHistory;

export interface ShownCount {
  readonly kind: "count";
  readonly answer: CountAnswer;
  readonly percentages: Percentages;
  readonly figure: Figure;
  readonly says: readonly Said[];
  readonly asOf: string;
  readonly dots?: ShownDots;
}
export interface ShownList {
  readonly kind: "list";
  readonly records: ShownRecords;
  readonly asOf: string;
}
export interface ShownHistory {
  readonly kind: "history";
  readonly answer: HistoryAnswer | HiddenAnswer;
  readonly figure: Figure | null;
  readonly says: readonly Said[];
  readonly asOf: string;
  readonly pace?: ShownPace;
  /** Why there is nothing to draw. */
  readonly blank?: string;
}

/** A report that could not be asked, and why: what names it says so in its place. */
export interface NotShown {
  readonly problems: readonly Problem[];
}

export const asOfWords = ({ stood }: ReportBase, view: Viewpoint): string => {
  const { zone } = view.calendar;
  return view.past && stood
    ? `${longDayText(localDay(view.now, zone))}, as it stood`
    : clockText(view.now, zone);
};
