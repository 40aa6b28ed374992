import type { AskContext, Subject, Catalog } from "../catalog";
import type { SimpleMeasure } from "../definition";
import type { Cursor } from "./cursor";
import { isMeasureAt, parseSimpleMeasure } from "./measures";
import type { Piece } from "./pieces";
import { simpleText, subjectText } from "./texts";
import { parseNamed } from "./values";

/** subject = "items" | the plural of a kind | "moves" | … | "filter" name */
export function parseSubject(cursor: Cursor, context: AskContext): Subject {
  const names = context.catalog.subjectNames();
  for (const { words } of names) cursor.offer({ kind: "subject", words, called: words });
  const known = [...names].sort((a, b) => b.words.length - a.words.length);
  for (const { words, subject } of known) {
    const isQuoted =
      cursor.token?.kind === "quoted" && cursor.token.text.toLowerCase() === words.toLowerCase();
    if (isQuoted) cursor.at += 1;
    if (isQuoted || cursor.phrase(words, "subject", words)) return subject;
  }
  if (context.catalog.filters.length && cursor.phrase("filter", "keyword")) {
    const filter = parseNamed(cursor, context.catalog.filters, "saved filter");
    return { ...filter.subject, filter: filter.id };
  }
  return cursor.unexpected();
}

/** Only items have a past. */
export function parseItems(cursor: Cursor, context: AskContext): Subject {
  const start = cursor.at;
  const subject = parseSubject(cursor, context);
  if (subject.id !== "items")
    cursor.stop(
      {
        code: "sentence.noPast",
        message: `the past of ${context.catalog.subjectWords(subject)} is not kept: only items have levels`,
        nearest: ["items"],
      },
      start,
      cursor.at,
    );
  return subject;
}

/** [ measure "of" ] subject, of items. */
export function parseMeasuredItems(
  cursor: Cursor,
  context: AskContext,
): { measure?: SimpleMeasure; subject: Subject } {
  const measure = isMeasureAt(cursor)
    ? parseSimpleMeasure(cursor, context, "items", false)
    : undefined;
  if (!measure) cursor.offer({ kind: "measure", words: "sum of", called: "a measure" });
  if (measure && !cursor.phrase("of", "keyword")) cursor.unexpected();
  return { ...(measure ? { measure } : {}), subject: parseItems(cursor, context) };
}

export const subjectPiece = (subject: Subject, catalog: Catalog): Piece => ({
  text: subjectText(subject, catalog),
  part: { area: "subject" },
});

/** The same printed: the measure, if one is said, and what it is of. */
export const measuredPieces = (
  { measure, subject }: { measure?: SimpleMeasure; subject: Subject },
  catalog: Catalog,
): Piece[] =>
  measure
    ? [
        { text: simpleText(measure, catalog, subject.id), part: { area: "measure", index: 0 } },
        { text: "of" },
        subjectPiece(subject, catalog),
      ]
    : [subjectPiece(subject, catalog)];
