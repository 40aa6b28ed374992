import { isDate, lastOf, pathIds, pathWords, type AskContext, type SubjectId } from "../catalog";
import type { Measure, PlainMeasure, SimpleMeasure } from "../definition";
import { measures, MEASURE_IDS, whyUnfit } from "../measure";
import { parseCondition } from "./conditions";
import type { Cursor } from "./cursor";
import { parsePath } from "./fields";
import { parseNamed, parseUnit } from "./values";

const BY_LENGTH = [...MEASURE_IDS].sort(
  (a, b) => measures[b].words.length - measures[a].words.length,
);
const BEGINNINGS: readonly string[] = [...BY_LENGTH.map((id) => measures[id].words), "measure"];

/** Whether the words of a measure stand at a place. */
export const isMeasureAt = (cursor: Cursor, at = cursor.at): boolean =>
  BEGINNINGS.some((words) => cursor.phraseLength(words, at));

/** measure = simple [ "per" simple ] | "measure" name */
export function parseMeasure(cursor: Cursor, context: AskContext, subject: SubjectId): Measure {
  const start = cursor.at;
  const named = context.catalog.measures.filter((measure) => measure.subject === subject);
  if (named.length && cursor.phrase("measure", "keyword"))
    return cursor.mark({ named: parseNamed(cursor, named, "measure").id }, start);
  const simple = parseSimpleMeasure(cursor, context, subject, true);
  if (!cursor.phrase("per", "keyword")) return simple;
  const measure = { ...simple, per: parseSimpleMeasure(cursor, context, subject, true) };
  const why = whyNoRatio(measure, context, subject);
  if (why) cursor.stop({ code: "sentence.measure", message: why }, start, cursor.at);
  return cursor.mark(measure, start);
}

/** Why two measures have no ratio: one of them is a date. Null where they have. */
export function whyNoRatio(
  { per, ...top }: PlainMeasure,
  { catalog }: AskContext,
  subject: SubjectId,
): string | null {
  const dated = [top, ...(per ? [per] : [])].flatMap((term) => {
    const path = term.field && catalog.findPath(subject, term.field);
    return path && isDate(lastOf(path))
      ? [`${measures[term.measure].words} ${pathWords(path)}`]
      : [];
  });
  return per && dated.length ? `${dated[0]} is a date; a ratio needs two numbers` : null;
}

/** simple = ( "count" | ("sum of" | "average" …) field [ "in" unit ] ) [ where ] */
export function parseSimpleMeasure(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
  mayHaveWhere: boolean,
): SimpleMeasure {
  const start = cursor.at;
  const measure = BY_LENGTH.find((id) => cursor.phrase(measures[id].words, "measure"));
  if (!measure) return cursor.unexpected();
  const of = measures[measure].needsField ? parseMeasured(cursor, context, subject, measure) : {};
  const where =
    mayHaveWhere && cursor.phrase("where", "clause")
      ? parseOwnCondition(cursor, context, subject)
      : undefined;
  return cursor.mark({ measure, ...of, ...(where ? { where } : {}) }, start);
}

/** The condition of a measure ends where the next measure begins. */
function parseOwnCondition(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
): SimpleMeasure["where"] {
  const before = cursor.stopsAfterAnd;
  cursor.stopsAfterAnd = BEGINNINGS;
  const where = parseCondition(cursor, context, subject);
  cursor.stopsAfterAnd = before;
  return where;
}

function parseMeasured(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
  measure: SimpleMeasure["measure"],
): Pick<SimpleMeasure, "field" | "unit" | "working"> {
  const at = cursor.at;
  const path = parsePath(cursor, context.catalog, subject);
  const field = lastOf(path);
  const why = whyUnfit(measures[measure], field, pathWords(path));
  if (why) cursor.stop({ code: "sentence.measure", message: why }, at, cursor.at);
  if (field.type !== "duration" || !cursor.phrase("in", "keyword", "in"))
    return { field: pathIds(path) };
  const unit = parseUnit(cursor, field);
  return unit.unit ? { field: pathIds(path), ...unit } : cursor.unexpected();
}
