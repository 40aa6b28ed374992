import {
  isDate,
  lastOf,
  pathWords,
  typeOf,
  type AskContext,
  type Catalog,
  type SubjectId,
} from "../catalog";
import type { Group, ReportBase } from "../definition";
import { allOfParts, topParts } from "../filter";
import { shapes, SHAPE_IDS, type ShapeId } from "../shapes";
import { BUCKET_GRAINS, isMoment, periodText, type BucketGrain, type Period } from "../time";
import { parseCondition } from "./conditions";
import type { Cursor } from "./cursor";
import { parsePath } from "./fields";
import { parseGroup } from "./groups";
import { said, type Piece } from "./pieces";
import { conditionText, groupText } from "./texts";
import { parsePeriodHere } from "./values";

/** A clause of a sentence: how it is read into a report, and how it is printed from one. */
export interface Clause<R> {
  /** A clause stands once: several wordings of one have the same name. */
  readonly name: string;
  readonly words: readonly string[];
  /** Not among what completion offers. */
  readonly isHidden?: true;
  read(cursor: Cursor, context: AskContext, report: R): void;
  /** Its pieces with the words that join them; nothing where the report does not say it. */
  print?(report: R, catalog: Catalog): readonly Piece[];
}

/**
 * Reads the clauses of a report, each once and in any order.
 * @param needed names of those that must be there
 * @returns where each began, by its name
 */
export function parseClauses<R>(
  cursor: Cursor,
  context: AskContext,
  report: R,
  clauses: readonly Clause<R>[],
  needed: readonly string[],
): ReadonlyMap<string, number> {
  const starts = new Map<string, number>();
  const wordings = clauses
    .flatMap((clause) => clause.words.map((words) => ({ clause, words })))
    .sort((a, b) => b.words.length - a.words.length);
  while (!cursor.done) {
    const found = wordings.find(({ words }) => cursor.phraseLength(words));
    if (!found) {
      offerClauses(cursor, clauses, starts);
      return cursor.unexpected();
    }
    const { clause, words } = found;
    if (starts.has(clause.name))
      cursor.stop({ code: "sentence.twice", message: `"${clause.name}" stands here twice` });
    starts.set(clause.name, cursor.at);
    cursor.at += cursor.phraseLength(words);
    clause.read(cursor, context, report);
  }
  offerClauses(cursor, clauses, starts);
  if (needed.some((name) => !starts.has(name))) cursor.unexpected();
  return starts;
}

function offerClauses<R>(
  cursor: Cursor,
  clauses: readonly Clause<R>[],
  starts: ReadonlyMap<string, number>,
): void {
  for (const clause of clauses)
    if (!starts.has(clause.name) && !clause.isHidden)
      cursor.offer({ kind: "clause", words: clause.words[0], called: clause.name });
}

// ── clauses that several kinds of report have ──

export const whereClause: Clause<ReportBase> = {
  name: "where",
  words: ["where"],
  read: (cursor, context, report) => {
    const said = parseCondition(cursor, context, report.subject.id);
    report.where = report.where ? allOfParts([report.where, said]) : said;
  },
  print: ({ where, subject }, catalog) =>
    topParts(where).flatMap((condition, index, all): Piece[] => [
      { text: index === 0 ? "where" : "and" },
      {
        text: conditionText(condition, catalog, subject.id, all.length > 1 ? "all" : "top"),
        part: { area: "where", index },
      },
    ]),
};

export const stoodClause: Clause<ReportBase> = {
  name: "as it stood on",
  words: ["as it stood on"],
  read: (cursor, _context, report) => {
    report.stood = parseMoment(cursor);
  },
  print: ({ stood }) => (stood ? said("as it stood on", stood, "stood") : []),
};

export const shapeClause: Clause<ReportBase> = {
  name: "as",
  words: ["as"],
  read: (cursor, _context, report) => {
    report.shape = parseShape(cursor);
  },
  print: ({ shape }) => (shape ? said("as", shapes[shape].words, "shape") : []),
};

export const forClause: Clause<{ period?: Period }> = {
  name: "for",
  words: ["for"],
  read: (cursor, context, report) => {
    report.period = parsePeriodHere(cursor, context);
  },
  print: ({ period }) => (period ? said("for", periodText(period), "period") : []),
};

/** A date field after `of`: the one that a period limits. */
export function parseDateOf(cursor: Cursor, context: AskContext, subject: SubjectId): string[] {
  const from = cursor.at;
  const path = parsePath(cursor, context.catalog, subject);
  if (!isDate(lastOf(path)))
    cursor.stop(
      {
        code: "sentence.noDate",
        message: `${pathWords(path)} is ${typeOf(lastOf(path)).words}; a period limits a date`,
      },
      from,
      cursor.at,
    );
  return path.map((field) => field.id);
}

export const splitClause: Clause<{ subject: { id: SubjectId }; split?: Group }> = {
  name: "split by",
  words: ["split by"],
  read: (cursor, context, report) => {
    report.split = parseGroup(cursor, context, report.subject.id);
  },
  print: ({ split, subject }, catalog) =>
    split ? said("split by", groupText(split, catalog, subject.id), "split") : [],
};

export const runningClause: Clause<{ runningTotal?: true }> = {
  name: "running total",
  words: ["running total"],
  read: (_cursor, _context, report) => {
    report.runningTotal = true;
  },
  print: ({ runningTotal }) =>
    runningTotal ? [{ text: "running total", part: { area: "runningTotal" } }] : [],
};

// ── what clauses are read from ──

export const parseListed = <T>(cursor: Cursor, one: () => T): T[] => {
  const all = [one()];
  while (cursor.sign(",")) all.push(one());
  return all;
};

/** instant = day [ "T" time ] with offset or Z, or a bare day */
export function parseMoment(cursor: Cursor): string {
  const token = cursor.token;
  cursor.expect({ kind: "period", words: "", called: "a date, such as 2026-10-31" });
  if (!token) return cursor.unexpected();
  if (!isMoment(token.text))
    cursor.stop({
      code: "sentence.noInstant",
      message: `"${token.text}" is not a date, and not an instant with Z or an offset`,
      expected: ["a date, such as 2026-10-31"],
    });
  cursor.at += 1;
  return token.text;
}

/** Two moments, or whatever else is read: FROM "to" TO. */
export function parseEnds(
  cursor: Cursor,
  one: (cursor: Cursor) => string,
): { from: string; to: string } {
  const from = one(cursor);
  if (!cursor.phrase("to")) cursor.unexpected();
  return { from, to: one(cursor) };
}

const GRAINS_BY_LENGTH = [...BUCKET_GRAINS].sort((a, b) => b.length - a.length);
export const parseBucketGrain = (cursor: Cursor): BucketGrain =>
  GRAINS_BY_LENGTH.find((grain) => cursor.phrase(grain, "grain", grain)) ?? cursor.unexpected();

const SHAPES_BY_LENGTH = [...SHAPE_IDS].sort(
  (a, b) => shapes[b].words.length - shapes[a].words.length,
);

function parseShape(cursor: Cursor): ShapeId {
  for (const id of SHAPES_BY_LENGTH) {
    const { words, goodFor } = shapes[id];
    if (!cursor.phrase(words, "shape", words, goodFor)) continue;
    if (cursor.phraseLength("chart")) cursor.at += 1;
    return id;
  }
  return cursor.unexpected();
}
