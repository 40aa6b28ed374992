import type { WorkCalendar } from "../../time";
import type { Fragment } from "../../sql";
import type { Catalog } from "../catalog";
import type { Field, Source } from "../field";

/** A moment by the clock and in working time (µs of work since an epoch). */
export interface Moment {
  readonly clock: Fragment;
  readonly working: Fragment;
}

/** Figures of projects that are worked out for all of them at once, and joined by the project (core/projects/sheets.sql.ts). */
export type SheetId =
  | "terms"
  | "progress"
  | "spending"
  | "statuscost"
  | "earning"
  | "billed"
  | "plan"
  | "projection"
  | "words"
  | "silence";

/** The row that a derived field is worked out for. */
export interface DerivedRow {
  /** A column of the state that the item is in, or was in at the instant of asking. */
  state(column: string): Fragment;
  /** A column of the record's own row. */
  own(column: string): Fragment;
  readonly created: Moment;
  /** Since when the state is as it is. */
  readonly stateFrom: Moment;
  readonly now: Moment;
  /** The local day of now, where the past is read; null otherwise. */
  readonly pastDay: Fragment | null;
  readonly catalog: Catalog;
  readonly calendar: WorkCalendar;
  /** The local day of now. */
  readonly today: Fragment;
  /** A column of a sheet, of the project that the row is. */
  sheet(id: SheetId, column: string): Fragment;
  /** Of a time entry the project that it is charged to: its own, or else that of its item, as it stood. */
  readonly chargedProject: Fragment;
  /** A moved value by its name. */
  moved(column: "from_value" | "to_value"): Fragment;
}

/** How a derived field is worked out. Stretches of time come in minutes, of working time if asked. */
export interface DerivedSql {
  value(row: DerivedRow, working: boolean, source: Source & { kind: "derived" }): Fragment;
  /** It moves on with time, while the item is open: the columns of the state from which it runs. */
  readonly runsFrom?: { readonly clock: string; readonly working: string };
}

/** A field that is worked out from others, by the name of its file. Its SQL stands beside it in NAME.sql.ts. */
export const defineDerived = (
  name: (Source & { kind: "derived" })["name"],
  field: Omit<Field, "source">,
): Field => ({ ...field, source: { kind: "derived", name } });
