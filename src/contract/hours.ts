import { z } from "zod";
import { act } from "./act";

const Day = z.iso.date();
const What = z
  .strictObject({ item: z.string().max(60).optional(), project: z.int().optional() })
  .refine((what) => what.item !== undefined || what.project !== undefined, "nothing is named");

/** Minutes of one line on each day of a week. */
export interface HoursLine {
  readonly item: { readonly key: string; readonly title: string } | null;
  readonly project: { readonly id: number; readonly name: string } | null;
  readonly billable: boolean;
  /** Monday first. */
  readonly minutes: readonly number[];
  /** How many entries stand on each day. */
  readonly entries: readonly number[];
  /** Days that were corrected: by whom and when, last. */
  readonly corrected: readonly (string | null)[];
}

/** A day of the week: what can be worked, and why not more. */
export interface HoursDay {
  readonly day: string;
  readonly capacity: number;
  readonly absence: number;
  readonly holiday: string | null;
}

export interface HoursWeek {
  readonly from: string;
  readonly today: string;
  readonly days: readonly HoursDay[];
  readonly lines: readonly HoursLine[];
}

/** What an hour can be booked on. */
export interface Bookable {
  readonly item: { readonly key: string; readonly title: string } | null;
  readonly project: { readonly id: number; readonly name: string } | null;
}

export const hoursActs = {
  hours: act(z.strictObject({ from: Day })).answers<HoursWeek>(),
  /** What some words may mean: items by key or title, projects by name. */
  bookable: act(z.strictObject({ words: z.string().max(200) })).answers<Bookable[]>(),
  /** How much one worked on something on a day. What looks like a slip is asked back; `isMeant`: it is none. */
  bookHours: act(
    z.strictObject({
      on: What,
      day: Day,
      billable: z.boolean(),
      minutes: z
        .int("minutes are whole")
        .min(0)
        .max(24 * 60, "a day has 24 hours"),
      /** What stood there when it was typed: another sum by now is told instead of overwritten. */
      was: z.int(),
      isMeant: z.boolean().default(false),
    }),
  ).answers<{ readonly asks: string | null }>(),
};
