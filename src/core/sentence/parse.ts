import { fine, refused, type Result, type Problem } from "../base";
import { isDate, lastOf, SUBJECT_IDS, type AskContext, type Subject, type SubjectId } from "../catalog";
import { shapeInput, type CountReport, type Group, type ListReport, type Measure, type Report, type Sort } from "../definition";
import { shapes, SHAPE_IDS, whyNot, type ShapeId } from "../shapes";
import { hasTooManyBuckets, isBucketGrain, MOST_BUCKETS, parseDay, parseInstant, resolvePeriod } from "../time";
import { parseCondition } from "./conditions";
import { Cursor, Stop, type Expected } from "./cursor";
import { parsePath } from "./fields";
import { parseGroup, parseMeasure } from "./groups";
import { lex, LONGEST } from "./lex";
import { parsePeriodHere } from "./values";

/**
 * Reads a sentence into a report.
 * @returns the report, or the first problem with its place and the nearest known words
 */
export function parseSentence(text: string, context: AskContext): Result<Report> {
  return read(text, context).result;
}

/** What may stand at the end of an unfinished sentence. */
export function expectedAfter(text: string, context: AskContext): readonly Expected[] {
  return read(text, context).cursor?.expectedAtEnd() ?? [];
}

function read(text: string, context: AskContext): { result: Result<Report>; cursor?: Cursor } {
  if (text.length > LONGEST) return { result: refused({ code: "sentence.long", message: `a sentence has at most ${LONGEST} characters; this one has ${text.length}` }) };
  const { tokens, problem } = lex(text);
  if (problem) return { result: refused(problem) };
  const cursor = new Cursor(text, tokens);
  try {
    return { result: fine(parseReport(cursor, context)), cursor };
  } catch (stop) {
    if (!(stop instanceof Stop)) throw stop;
    return { result: refused(stop.problem), cursor };
  }
}

function parseReport(cursor: Cursor, context: AskContext): Report {
  if (cursor.phrase("list", "keyword", "list")) {
    const subject = parseSubject(cursor, context);
    const report: ListReport = { kind: "list", subject, showing: [], sorts: [] };
    parseClauses(cursor, context, report, listClauses);
    return report;
  }
  const { measures, subject } = parseCounted(cursor, context);
  const report: CountReport = { kind: "count", measures, subject, by: [] };
  parseClauses(cursor, context, report, countClauses);
  return report;
}

/**
 * measures subject: fields of measures belong to the subject that follows them, so each kind of subject is tried;
 * the attempt that gets furthest tells what is wrong.
 */
function parseCounted(cursor: Cursor, context: AskContext): { measures: Measure[]; subject: Subject } {
  const start = cursor.at;
  let best: { at: number; stop: Stop } | undefined;
  for (const id of SUBJECT_IDS) {
    cursor.at = start;
    try {
      const counted = parseMeasuresOf(cursor, context, id);
      if (counted.subject.id === id) return counted;
      if (!counted.measures.some((measure) => measure.field)) return counted;
    } catch (stop) {
      if (!(stop instanceof Stop)) throw stop;
      if (!best || cursor.at > best.at) best = { at: cursor.at, stop };
    }
  }
  if (best) throw best.stop;
  return cursor.unexpected();
}

function parseMeasuresOf(cursor: Cursor, context: AskContext, id: SubjectId): { measures: Measure[]; subject: Subject } {
  const measures = [parseMeasure(cursor, context, id)];
  while (cursor.sign(",") || cursor.phrase("and", "keyword")) {
    if (cursor.phrase("of", "keyword")) return { measures, subject: parseSubject(cursor, context) };
    measures.push(parseMeasure(cursor, context, id));
  }
  if (!cursor.phrase("of", "keyword") && measures.some((measure) => measure.field)) cursor.unexpected();
  return { measures, subject: parseSubject(cursor, context) };
}

function parseSubject(cursor: Cursor, context: AskContext): Subject {
  const known = context.catalog.subjectNames().sort((a, b) => b.words.length - a.words.length);
  for (const { words, subject } of known) {
    const quoted = cursor.token?.kind === "quoted" && cursor.token.text.toLowerCase() === words.toLowerCase();
    if (quoted) cursor.at += 1;
    if (quoted || cursor.phrase(words, "subject", words)) return subject;
  }
  return cursor.unexpected();
}

type Clause<R> = { readonly words: readonly string[]; readonly name: string; readonly offered?: boolean; readonly read: (cursor: Cursor, context: AskContext, report: R) => void };

const wherePart: Clause<Report> = { name: "where", words: ["where"], read: (c, x, r) => void (r.where = parseCondition(c, x, r.subject.id)) };
const forPart: Clause<CountReport> = { name: "for", words: ["for"], read: (c, x, r) => void (r.period = parsePeriodHere(c, x)) };
const stoodPart: Clause<Report> = { name: "as it stood on", words: ["as it stood on"], read: (c, _x, r) => void (r.stood = parseStood(c)) };
const shapePart: Clause<Report> = { name: "as", words: ["as"], read: (c, _x, r) => void (r.shape = parseShape(c)) };

const countClauses: readonly Clause<CountReport>[] = [
  wherePart,
  { name: "by", words: ["by", "grouped by"], read: (c, x, r) => void (r.by = parseGroups(c, x, r.subject.id)) },
  { name: "split by", words: ["split by"], read: (c, x, r) => void (r.split = parseGroup(c, x, r.subject.id)) },
  forPart,
  { name: "running total", words: ["running total"], read: (_c, _x, r) => void (r.runningTotal = true) },
  stoodPart,
  shapePart,
];

const listClauses: readonly Clause<ListReport>[] = [
  wherePart,
  { name: "showing", words: ["showing"], read: (c, x, r) => void (r.showing = parseListed(c, () => parsePath(c, x.catalog, r.subject.id).map((f) => f.id))) },
  { name: "sorted by", words: ["sorted by"], read: (c, x, r) => void (r.sorts = parseListed(c, () => parseSort(c, x, r.subject.id))) },
  { name: "sorted by", words: ["newest first"], offered: false, read: (_c, _x, r) => void (r.sorts = [{ field: ["created"], descending: true }]) },
  { name: "sorted by", words: ["oldest first"], offered: false, read: (_c, _x, r) => void (r.sorts = [{ field: ["created"] }]) },
  stoodPart,
  shapePart,
];

function parseClauses<R extends Report>(cursor: Cursor, context: AskContext, report: R, clauses: readonly Clause<R>[]): void {
  const said = new Set<string>();
  const starts = new Map<string, number>();
  while (!cursor.done) {
    const start = cursor.at;
    const clause = clauses.flatMap((c) => c.words.map((words) => ({ c, words }))).sort((a, b) => b.words.length - a.words.length).find(({ words }) => cursor.phraseLength(words))?.c;
    if (!clause) {
      offerClauses(cursor, clauses, said);
      cursor.unexpected();
    }
    if (said.has(clause!.name)) cursor.stop({ code: "sentence.twice", message: `"${clause!.name}" stands here twice` });
    said.add(clause!.name);
    starts.set(clause!.name, start);
    cursor.at += cursor.phraseLength(clause!.words.find((words) => cursor.phraseLength(words))!);
    clause!.read(cursor, context, report);
  }
  offerClauses(cursor, clauses, said);
  checkTogether(cursor, context, report, starts);
}

function offerClauses<R>(cursor: Cursor, clauses: readonly Clause<R>[], said: ReadonlySet<string>): void {
  for (const clause of clauses) if (!said.has(clause.name) && clause.offered !== false) cursor.offer({ kind: "clause", words: clause.words[0], called: clause.name });
}

const parseListed = <T>(cursor: Cursor, one: () => T): T[] => {
  const all = [one()];
  while (cursor.sign(",")) all.push(one());
  return all;
};

function parseGroups(cursor: Cursor, context: AskContext, subject: SubjectId): Group[] {
  const groups = [parseGroup(cursor, context, subject)];
  while (cursor.phrase("then", "keyword")) {
    if (groups.length === 3) cursor.stop({ code: "sentence.tiers", message: "a report has at most three groups, one within another" });
    groups.push(parseGroup(cursor, context, subject));
  }
  return groups;
}

function parseSort(cursor: Cursor, context: AskContext, subject: SubjectId): Sort {
  const field = parsePath(cursor, context.catalog, subject).map((step) => step.id);
  return cursor.phrase("descending", "keyword") ? { field, descending: true } : { field };
}

function parseStood(cursor: Cursor): string {
  const token = cursor.token;
  cursor.expect({ kind: "period", words: "", called: "a date, such as 2026-10-31" });
  if (!token) return cursor.unexpected();
  if (parseDay(token.text) === null && parseInstant(token.text) === null) cursor.stop({ code: "sentence.noInstant", message: `"${token.text}" is not a date, and not an instant with Z or an offset`, expected: ["a date, such as 2026-10-31"] });
  cursor.at += 1;
  return token.text;
}

function parseShape(cursor: Cursor): ShapeId {
  const known = [...SHAPE_IDS].sort((a, b) => shapes[b].words.length - shapes[a].words.length);
  for (const id of known) {
    if (cursor.phrase(shapes[id].words, "shape", shapes[id].words, shapes[id].goodFor)) {
      if (cursor.phraseLength("chart")) cursor.at += 1;
      return id;
    }
  }
  return cursor.unexpected();
}

/** What clauses ask of one another. */
function checkTogether(cursor: Cursor, context: AskContext, report: Report, starts: ReadonlyMap<string, number>): void {
  const stopAt = (clause: string, problem: Problem): never => cursor.stop(problem, starts.get(clause) ?? 0, (starts.get(clause) ?? 0) + 1);
  if (report.kind === "count" && report.period && !dateGroupOf(report, context)) {
    stopAt("for", { code: "sentence.whichDate", message: "for limits the date of a date group, and there is none", hint: "say which date: created during last 30 days" });
  }
  const many = tooManyBuckets(report, context);
  if (many) stopAt("for", many);
  if (report.kind === "count" && report.runningTotal && !(report.period && dateGroupOf(report, context))) {
    stopAt("running total", { code: "sentence.runningTotal", message: "a running total needs one group of a date and a period", hint: "such as by week of created for last 12 weeks" });
  }
  if (report.shape) {
    const why = whyNot(shapes[report.shape], shapeInput(report));
    if (why) stopAt("as", { code: "sentence.shape", message: `${shapes[report.shape].words} cannot show this: ${why}` });
  }
}

/** A time axis that could not be drawn whole is refused rather than cut short. */
export function tooManyBuckets(report: Report, context: AskContext): Problem | null {
  if (report.kind === "list") return null;
  const grain = report.period && dateGroupOf(report, context)?.grain;
  if (!report.period || !grain || !isBucketGrain(grain) || !hasTooManyBuckets(resolvePeriod(report.period, context.now, context.calendar), grain)) return null;
  return { code: "sentence.manyBuckets", message: `this period has more than ${MOST_BUCKETS} stretches of a ${grain}`, hint: "take a coarser stretch, such as month" };
}

/** The only group of a date with buckets; undefined for none, or more than one. */
export function dateGroupOf(report: Report, context: Pick<AskContext, "catalog">): Group | undefined {
  if (report.kind === "list") return undefined;
  const groups = [...report.by, ...(report.split ? [report.split] : [])];
  const dated = groups.filter((group) => {
    const path = context.catalog.findPath(report.subject.id, group.field);
    return path && isDate(lastOf(path)) && group.grain && isBucketGrain(group.grain);
  });
  return dated.length === 1 ? dated[0] : undefined;
}
