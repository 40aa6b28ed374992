import type { Problem } from "../base";
import type { AskContext, Catalog } from "../catalog";
import type { Group, Key, ReportBase } from "../definition";
import type { Condition } from "../filter";
import type { Clause, Cursor, Piece } from "../sentence";
import type { ShapeInput } from "../shapes";
import type { BucketGrain, Period } from "../time";
import type { Place } from "./places";

/** A problem of a whole report, with the name of the clause where it shows. */
export interface Conflict {
  readonly clause: string;
  readonly problem: Problem;
}

/** A part of a figure by what tells it from the others: its groups with their keys, and its place on the axis of a level. */
export interface TellingGroups {
  readonly groups: readonly (readonly [Group, Key])[];
  /** Which stretch it is at the end of; null where it is of none. */
  readonly stretch: number | null;
}

/** What can be said and checked of one kind of report. What the database is asked stands in its `Planned` half. */
export interface Kind<R extends ReportBase> {
  /** As in "level instead", and what such a report tells. */
  readonly words: string;
  readonly tells: string;
  /** It asks of the past of items, by their states and moves. */
  readonly isPast: boolean;
  /** Its records themselves are its answer. */
  readonly isRecords: boolean;
  /** The words that a sentence of this kind begins with; none for the kind that begins with its measures. */
  readonly opens: readonly string[];
  /** Reads everything before the clauses. */
  begin(cursor: Cursor, context: AskContext, said: string): R;
  /** Prints the same. */
  opening(report: R, catalog: Catalog): readonly Piece[];
  /** In the order in which they are printed. */
  clauses(report: R): readonly Clause<R>[];
  /** Names of the clauses that must be there. */
  needed(report: R): readonly string[];
  /** What its clauses ask of one another. */
  conflicts(report: R, context: AskContext): readonly Conflict[];
  /**
   * Of a kind that takes no conditions: the report as a condition from outside means it.
   * @returns null where the condition means nothing to it
   */
  heard?(report: R, where: Condition): R | null;
  places(report: R): readonly Place[];
  /** What the shapes ask about it. */
  shapeInput(report: R, catalog: Catalog): ShapeInput;
  /** What tells a part of its figure; left out where parts are steps of a story and no groups. */
  telling?(
    report: R,
    part: { readonly path: readonly Key[]; readonly split?: Key },
  ): TellingGroups | null;
  /** The time axis that it is drawn on, where it has one. */
  axis(
    report: R,
    context: Pick<AskContext, "catalog">,
  ): { readonly grain: BucketGrain; readonly period: Period } | null;
}

export const defineKind = <R extends ReportBase>(kind: Kind<R>): Kind<R> => kind;

export const conflict = (
  clause: string,
  code: string,
  message: string,
  hint?: string,
): Conflict => ({
  clause,
  problem: { code: `sentence.${code}`, message, ...(hint ? { hint } : {}) },
});

/** What shapes ask about a report of the past, whose rows are stretches of time or steps. */
export const pastShapeInput = (
  kind: ShapeInput["kind"],
  more: Partial<ShapeInput> = {},
): ShapeInput => ({
  kind,
  groups: 0,
  split: false,
  measures: 1,
  beside: false,
  additive: false,
  oneValue: false,
  isTime: true,
  hasDays: false,
  ...more,
});
