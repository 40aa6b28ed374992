import type { Catalog } from "../catalog";
import type { Dress } from "../definition";
import type { Figure, Said } from "../figure";
import { dayText, localDay, type WorkCalendar } from "../time";
import type { Viewpoint } from "../relation";
import type { HistoryAnswer } from "./answers";
import type { Report } from "./registry";
import { asOfWords, type ShownHistory } from "./shown";
import { speakingOf, type Speaking } from "./speaking";
import { unknownThen } from "./unknownThen";

/** What is the same for all that is told of the past. */

/** What lies before any history: nothing is known of it. null where something is. */
export function beforeHistory(
  what: string,
  begins: number | null,
  end: number,
  calendar: WorkCalendar,
): string | null {
  if (begins === null) return "There is no history yet: it begins with the first item.";
  return begins >= end
    ? `${what} before any history, which begins on ${dayText(localDay(begins, calendar.zone))}: nothing is known of it.`
    : null;
}

/** Said after a sentence that begins with an instant before which nothing is known. */
export const unknownBefore = (
  begins: number | null,
  first: number,
  calendar: WorkCalendar,
): string =>
  begins !== null && begins > first
    ? ` History begins on ${dayText(localDay(begins, calendar.zone))}; before it nothing is known.`
    : "";

/** Why there is no row to draw on a time axis: it lies ahead, or before all that is known. */
export const emptyAxis = (
  rows: readonly { readonly bucket: { readonly start: number } }[],
  { asOf, begins }: { readonly asOf: number; readonly begins: number | null },
  ahead: string,
  calendar: WorkCalendar,
): string | null =>
  rows.length > 0 && rows[0].bucket.start > asOf
    ? ahead
    : beforeHistory("This period lies", begins, 0, calendar);

/** What an earlier instant does not tell, said under the figure. */
export function notKnownThen(report: Report, catalog: Catalog): Said[] {
  const unknown = unknownThen(report, catalog);
  return unknown.length
    ? [{ text: ` Not known of then, and taken as it is now: ${unknown.join(", ")}.` }]
    : [];
}

/** How each kind tells of its answer: its figure, its sentence, and why there is nothing to draw. */
export interface Telling<A> {
  figure(answer: A, dress: Dress): Figure | null;
  says(answer: A, speaking: Speaking): readonly Said[];
  blank(answer: A, words: string, calendar: WorkCalendar): string | null;
}

/** An answer of the past for the screen; what is not known is said, never drawn as 0. */
export function shownHistory<A extends HistoryAnswer>(
  answer: A,
  report: Report,
  dress: Dress,
  view: Viewpoint,
  telling: Telling<A>,
): ShownHistory {
  const { catalog, calendar } = view;
  const words = catalog.subjectWords(report.subject);
  const blank = telling.blank(answer, words, calendar);
  const says = blank ? [{ text: blank }] : telling.says(answer, speakingOf(report, view));
  return {
    kind: "history",
    answer,
    figure: telling.figure(answer, dress),
    says: [...says, ...notKnownThen(report, catalog)],
    asOf: asOfWords(report, view),
    ...(blank ? { blank } : {}),
  };
}
