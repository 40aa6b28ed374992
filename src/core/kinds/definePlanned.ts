import type { Dress, ReportBase } from "../definition";
import type { Plan } from "../plan";
import type { Relation, Viewpoint } from "../relation";
import type { Fragment } from "../sql";
import type { WorkCalendar } from "../time";
import type { DecidingStep } from "./planDeciding";
import type { RecordRow } from "./recordColumns";
import type { Opened, RecordSource } from "./opened";
import type { Shown } from "./shown";

/** A group as programs name it: as kept, null for not set, a marked one for the rest. */
export type NamedGroup = string | number | null | { readonly rest: true };

/** A cell as a spreadsheet takes it: a text, a number, or nothing. */
export type TableCell = string | number | null;
export interface FigureTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly TableCell[])[];
}

/** What programs ask for beside the answer. */
export interface BodyOptions {
  readonly percent?: { readonly base: Dress["base"]; readonly decimals: number };
  /** Of a burndown: by when it may be done, too. */
  readonly forecast?: true;
  /** How many records of a list. */
  readonly limit?: number;
}

export interface Note {
  readonly about: string;
  readonly says: string;
}

/**
 * What the database is asked for a kind of report, and what is made of it:
 *
 *     report ─ answer ─► table with words ─┬─ shown ─► figure and sentence, for the screen
 *                                          ├─ body ──► for programs
 *                                          └─ table ─► for files
 *            └ source ─► the records of a part
 */
export interface Planned<R extends ReportBase, A> {
  answer(report: R, view: Viewpoint, options?: BodyOptions): Plan<A>;
  shown(report: R, dress: Dress, view: Viewpoint, rows: number): Plan<Shown>;
  body(answer: A, report: R, view: Viewpoint, options: BodyOptions): Plan<object>;
  /** The figure in full precision; null where its records are the figure. */
  table(answer: A, report: R, dress: Dress, calendar: WorkCalendar): FigureTable | null;
  /** How its figures add up, with their numbers; null where there is nothing to say. */
  addsUp(answer: A): string | null;
  /** The records of a part; null for a part that there is not. */
  source(report: R, opened: Opened, view: Viewpoint): Plan<RecordSource | null>;
  /** The part that a program names by its groups, as the answer gave them; null for one that there is not. */
  partNamed(
    report: R,
    group: readonly NamedGroup[],
    split: NamedGroup | undefined,
    view: Viewpoint,
  ): Plan<Opened | null>;
  /** Where each record of a part was brought there by a step: the step of each row. */
  deciding?(
    report: R,
    opened: Opened,
    rows: readonly Pick<RecordRow, "id" | "at">[],
    view: Viewpoint,
  ): Plan<readonly (DecidingStep | undefined)[]>;
  /** What the workings say of it beside its conditions and groups. */
  notes(report: R, view: Viewpoint): Plan<readonly Note[]>;
  /** Tests of a further line of the account, after the conditions: those of a period. */
  periodTests?(report: R, relation: Relation): readonly Fragment[];
}

export const definePlanned = <R extends ReportBase, A>(planned: Planned<R, A>): Planned<R, A> =>
  planned;
