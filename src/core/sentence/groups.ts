import { isDate, kindWords, lastOf, pathIds, type AskContext, type SubjectId } from "../catalog";
import type { Fold, Group, Measure } from "../definition";
import { measures, MEASURE_IDS } from "../measure";
import { UNITS, pathWords } from "../catalog";
import { GRAINS, type Grain } from "../time";
import type { Cursor } from "./cursor";
import { parsePath } from "./fields";
import { closeBracket, parseCount, parseValue } from "./values";

const GRAINS_BY_LENGTH = [...GRAINS].sort((a, b) => b.length - a.length);
const MEASURES_BY_LENGTH = [...MEASURE_IDS].sort((a, b) => measures[b].words.length - measures[a].words.length);

/** simple = "count" | ("sum of" | "average" …) field [ "in" unit ] */
export function parseMeasure(cursor: Cursor, context: AskContext, subject: SubjectId): Measure {
  const start = cursor.at;
  const measure = MEASURES_BY_LENGTH.find((id) => cursor.phrase(measures[id].words, "measure"));
  if (!measure) return cursor.unexpected();
  if (!measures[measure].needsField) return cursor.mark({ measure }, start);
  const at = cursor.at;
  const path = parsePath(cursor, context.catalog, subject);
  const field = lastOf(path);
  if (!measures[measure].fits(field)) {
    cursor.stop({ code: "sentence.measure", message: `${pathWords(path)} is ${kindWords(field)}; ${measures[measure].words.replace(" of", "")} needs ${measures[measure].needs}` }, at, cursor.at);
  }
  if (field.type === "duration" && cursor.phrase("in", "keyword", "in")) {
    const unit = UNITS.find((known) => cursor.phrase(known, "unit"));
    if (!unit) return cursor.unexpected();
    return cursor.mark({ measure, field: pathIds(path), unit }, start);
  }
  return cursor.mark({ measure, field: pathIds(path) }, start);
}

/** group = ( field | grain "of" datefield ) [ folding ] [ top ] [ without ] [ "with empty groups" ] */
export function parseGroup(cursor: Cursor, context: AskContext, subject: SubjectId): Group {
  const start = cursor.at;
  const grain = parseGrain(cursor);
  const at = cursor.at;
  const path = parsePath(cursor, context.catalog, subject);
  const field = lastOf(path);
  if (grain && !isDate(field)) cursor.stop({ code: "sentence.grain", message: `${pathWords(path)} is ${kindWords(field)}; ${grain} of needs a date` }, at, cursor.at);
  if (!grain && isDate(field)) cursor.stop({ code: "sentence.needsGrain", message: `${pathWords(path)} is a date: say by which stretch`, hint: `such as month of ${pathWords(path)}`, nearest: [`month of ${pathWords(path)}`, `week of ${pathWords(path)}`] }, at, cursor.at);
  const group: Group = { field: pathIds(path), ...(grain ? { grain } : {}) };
  for (let more = true; more; ) {
    if (!group.folds && cursor.phrase("folding", "clause")) group.folds = parseFolds(cursor, context, path);
    else if (!group.top && cursor.phrase("top", "clause")) group.top = parseTop(cursor, context, subject);
    else if (!group.without && cursor.phrase("without", "clause")) {
      group.without = [parseValue(cursor, context, field)];
      while (cursor.sign(",")) group.without.push(parseValue(cursor, context, field));
    } else if (!group.withEmptyGroups && cursor.phrase("with empty groups", "clause")) group.withEmptyGroups = true;
    else more = false;
  }
  return cursor.mark(group, start);
}

function parseGrain(cursor: Cursor): Grain | undefined {
  for (const grain of GRAINS_BY_LENGTH) {
    const length = cursor.phraseLength(`${grain} of`);
    if (length) {
      cursor.at += length;
      return grain;
    }
    cursor.offer({ kind: "grain", words: `${grain} of`, called: "a stretch of time" });
  }
  return undefined;
}

function parseTop(cursor: Cursor, context: AskContext, subject: SubjectId): NonNullable<Group["top"]> {
  const count = parseCount(cursor, 1000);
  if (!cursor.phraseLength("by") || !MEASURE_IDS.some((id) => cursor.phraseLength(measures[id].words, cursor.at + 1))) return { count };
  cursor.at += 1;
  return { count, by: parseMeasure(cursor, context, subject) };
}

function parseFolds(cursor: Cursor, context: AskContext, path: ReturnType<typeof parsePath>): Fold[] {
  const open = cursor.at;
  if (!cursor.sign("(")) {
    cursor.expect({ kind: "keyword", words: "(", called: "(" });
    cursor.unexpected();
  }
  const folds: Fold[] = [];
  const seen = new Set<string>();
  do {
    const start = cursor.at;
    const values = [];
    do {
      const at = cursor.at;
      const value = parseValue(cursor, context, lastOf(path));
      const key = JSON.stringify(value).toLowerCase();
      if (seen.has(key)) cursor.stop({ code: "sentence.twoFolds", message: "a value can be in one fold only" }, at, cursor.at);
      seen.add(key);
      values.push(value);
    } while (cursor.sign(","));
    if (!cursor.phrase("as")) cursor.unexpected();
    const name = cursor.token;
    cursor.expect({ kind: "name", words: "", called: "a name for the fold" });
    if (!name || name.kind === "sign") cursor.unexpected();
    if (folds.some((fold) => fold.name === name!.text)) cursor.stop({ code: "sentence.foldName", message: `two folds are called "${name!.text}"` });
    cursor.at += 1;
    folds.push(cursor.mark({ name: name!.text, values }, start));
  } while (cursor.sign(";"));
  closeBracket(cursor, open);
  return folds;
}
