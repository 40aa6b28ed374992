import type { BriefingPart, BriefingPlace } from "./part";
import { openItemsOf } from "./openItems";
import { head } from "./project/head";
import { milestones } from "./project/milestones";
import { money, moneyDrawn, revenue } from "./project/money";
import { thisMonth, time, toCome } from "./project/months";
import { openItems } from "./project/openItems";
import { progress, progressDrawn } from "./project/progress";
import { sinceLast } from "./project/sinceLast";
import { verdict } from "./project/verdict";
import { word } from "./project/word";
import {
  ages,
  burndownDrawn,
  byStatus,
  flowDrawn,
  lastWeeks,
  levelDrawn,
  oldest,
  scope,
  utilisation,
} from "./work";

export const BRIEFING_KINDS = ["project", "sprint", "release", "team", "filter"] as const;
export type BriefingKind = (typeof BRIEFING_KINDS)[number];

const PROJECT: readonly BriefingPart[] = [
  head,
  verdict,
  sinceLast,
  progress,
  progressDrawn,
  money,
  revenue,
  thisMonth,
  toCome,
  moneyDrawn,
  milestones,
  word,
  openItems,
  time,
];

const PARTS: Readonly<Record<BriefingKind, (printed: string) => readonly BriefingPart[]>> = {
  project: () => PROJECT,
  sprint: (printed) => {
    const of = { subject: "items", where: "sprint is this sprint" };
    return [burndownDrawn(printed), scope(of), byStatus(of), openItemsOf(of)];
  },
  release: () => {
    const of = { subject: "items", where: "release is this release" };
    return [scope(of), byStatus(of), levelDrawn(of), openItemsOf(of)];
  },
  team: () => {
    const of = { subject: "items", where: "team is this team" };
    return [
      byStatus(of),
      lastWeeks(of),
      flowDrawn(of),
      ages(of),
      utilisation("person's team is this team"),
      openItemsOf(of),
    ];
  },
  filter: (printed) => {
    const of = { subject: `filter ${printed}` };
    return [byStatus(of), levelDrawn(of), lastWeeks(of), ages(of), oldest(of)];
  },
};

/** The parts that a briefing of a kind can have, in their usual order. @param printed the name of what it is of, as sentences write it */
export const partsOf = (kind: BriefingKind, printed: string): readonly BriefingPart[] =>
  PARTS[kind](printed);

/** What a part is called where it has no title of its own. */
export const partTitle = (part: BriefingPart, place: BriefingPlace): string =>
  part.title(place) || { head: "What it is", verdict: "In one breath" }[part.id] || part.id;
