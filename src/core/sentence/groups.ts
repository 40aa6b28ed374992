import {
  isDate,
  isNumeric,
  kindWords,
  lastOf,
  pathIds,
  pathWords,
  subjects,
  type AskContext,
  type FieldPath,
  type SubjectId,
  type SubjectKind,
} from "../catalog";
import type { Case, Fold, Group } from "../definition";
import type { Value } from "../filter";
import { GRAINS, type Grain } from "../time";
import { parseCondition } from "./conditions";
import type { Cursor } from "./cursor";
import { isFieldAt, parsePath } from "./fields";
import { isMeasureAt, parseSimpleMeasure } from "./measures";
import {
  closeBracket,
  parseBracketed,
  parseCount,
  parseNewName,
  parseNumber,
  parseValue,
} from "./values";

const GRAINS_BY_LENGTH = [...GRAINS].sort((a, b) => b.length - a.length);
/**
 * group = ( field | grain "of" datefield | field "in ranges" (…) | "cases" (…) ) [ folding ] [ top ] [ without ] [ always ] [ "with empty groups" ]
 * @param usualDate the date of "by month"; the subject's own where none is given
 */
export function parseGroup(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
  usualDate = (subjects[subject] as SubjectKind).date,
): Group {
  const start = cursor.at;
  if (cursor.phrase("cases", "keyword", "cases"))
    return cursor.mark(
      parseAfter(
        cursor,
        context,
        subject,
        { field: [], cases: parseCases(cursor, context, subject) },
        null,
      ),
      start,
    );
  const said = parseGrain(cursor);
  const at = cursor.at;
  const usual = said ? null : parseUsual(cursor, context, subject, usualDate);
  const grain = said ?? usual?.grain;
  const path = usual?.path ?? parsePath(cursor, context.catalog, subject);
  const field = lastOf(path);
  if (grain && !isDate(field))
    cursor.stop(
      {
        code: "sentence.grain",
        message: `${pathWords(path)} is ${kindWords(field)}; ${grain} of needs a date`,
      },
      at,
      cursor.at,
    );
  if (!grain && isDate(field))
    cursor.stop(
      {
        code: "sentence.needsGrain",
        message: `${pathWords(path)} is a date: say by which stretch`,
        hint: `such as month of ${pathWords(path)}`,
        nearest: [`month of ${pathWords(path)}`, `week of ${pathWords(path)}`],
      },
      at,
      cursor.at,
    );
  const ranges =
    isNumeric(field) && !field.many && cursor.phrase("in ranges", "clause")
      ? parseRanges(cursor)
      : undefined;
  return cursor.mark(
    parseAfter(
      cursor,
      context,
      subject,
      { field: pathIds(path), ...(grain ? { grain } : {}), ...(ranges ? { ranges } : {}) },
      path,
    ),
    start,
  );
}

/** What may follow the field of a group. Ranges and cases have no values to fold. */
function parseAfter(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
  group: Group,
  path: FieldPath | null,
): Group {
  const values = path && !group.ranges ? path : null;
  for (let more = true; more;) {
    if (values && !group.folds && cursor.phrase("folding", "clause"))
      group.folds = parseFolds(cursor, context, values);
    else if (!group.top && cursor.phrase("top", "clause"))
      group.top = parseTop(cursor, context, subject);
    else if (!group.without && !group.withoutRest && cursor.phrase("without", "clause"))
      Object.assign(group, parseWithout(cursor, context, values));
    else if (values && !group.grain && !group.always && cursor.phrase("always", "clause"))
      group.always = parseGroupValues(cursor, context, values);
    else if (!group.withEmptyGroups && cursor.phrase("with empty groups", "clause"))
      group.withEmptyGroups = true;
    else more = false;
  }
  if (group.withoutRest && !group.top)
    cursor.stop(
      {
        code: "sentence.withoutRest",
        message: "there is no rest to leave out",
        hint: "say a top before it, such as top 5 without rest",
      },
      cursor.at - 1,
      cursor.at,
    );
  return group;
}

/** Values and "rest", in any order. Ranges and cases have no values, only a rest. */
function parseWithout(
  cursor: Cursor,
  context: AskContext,
  path: FieldPath | null,
): Pick<Group, "without" | "withoutRest"> {
  const without: Value[] = [];
  let withoutRest = false;
  do {
    if (!withoutRest && cursor.phrase("rest", "keyword", "rest", "what a top leaves over"))
      withoutRest = true;
    else if (path) without.push(parseValue(cursor, context, lastOf(path)));
    else cursor.unexpected();
  } while (cursor.sign(","));
  return {
    ...(without.length ? { without } : {}),
    ...(withoutRest ? { withoutRest: true as const } : {}),
  };
}

function parseGroupValues(cursor: Cursor, context: AskContext, path: FieldPath): Value[] {
  const values = [parseValue(cursor, context, lastOf(path))];
  while (cursor.sign(",")) values.push(parseValue(cursor, context, lastOf(path)));
  return values;
}

function parseRanges(cursor: Cursor): string[] {
  const open = cursor.at;
  const borders = parseBracketed(cursor, () => parseNumber(cursor));
  if (borders.some((border, i) => i > 0 && Number(border) <= Number(borders[i - 1])))
    cursor.stop(
      { code: "sentence.ranges", message: "the borders of ranges rise from one to the next" },
      open,
      cursor.at,
    );
  return borders;
}

/** "(" name ":" condition { "," name ":" condition } ")" */
function parseCases(cursor: Cursor, context: AskContext, subject: SubjectId): Case[] {
  const names = new Set<string>();
  return parseBracketed(cursor, () => {
    const start = cursor.at;
    const name = parseNewName(cursor, "a name for the case");
    if (names.has(name))
      cursor.stop(
        { code: "sentence.caseName", message: `two cases are called "${name}"` },
        start,
        start + 1,
      );
    names.add(name);
    if (!cursor.sign(":")) {
      cursor.expect({ kind: "keyword", words: ":", called: ":" });
      cursor.unexpected();
    }
    return cursor.mark({ name, where: parseCondition(cursor, context, subject) }, start);
  });
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

/** "by month": of the date that is meant where none is said. */
function parseUsual(
  cursor: Cursor,
  { catalog }: AskContext,
  subject: SubjectId,
  date: string | undefined,
): { grain: Grain; path: FieldPath } | null {
  const path = date === undefined ? undefined : catalog.findPath(subject, [date]);
  if (!path || isFieldAt(cursor, catalog, subject)) return null;
  const grain = GRAINS_BY_LENGTH.find((one) => cursor.phraseLength(one));
  if (!grain) return null;
  cursor.at += cursor.phraseLength(grain);
  return { grain, path };
}

function parseTop(
  cursor: Cursor,
  context: AskContext,
  subject: SubjectId,
): NonNullable<Group["top"]> {
  const count = parseCount(cursor, 1000);
  if (!cursor.phraseLength("by") || !isMeasureAt(cursor, cursor.at + 1)) return { count };
  cursor.at += 1;
  return { count, by: parseSimpleMeasure(cursor, context, subject, false) };
}

function parseFolds(cursor: Cursor, context: AskContext, path: FieldPath): Fold[] {
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
      if (seen.has(key))
        cursor.stop(
          { code: "sentence.twoFolds", message: "a value can be in one fold only" },
          at,
          cursor.at,
        );
      seen.add(key);
      values.push(value);
    } while (cursor.sign(","));
    if (!cursor.phrase("as")) cursor.unexpected();
    const at = cursor.at;
    const name = parseNewName(cursor, "a name for the fold");
    if (folds.some((fold) => fold.name === name))
      cursor.stop(
        { code: "sentence.foldName", message: `two folds are called "${name}"` },
        at,
        at + 1,
      );
    folds.push(cursor.mark({ name, values }, start));
  } while (cursor.sign(";"));
  closeBracket(cursor, open);
  return folds;
}
