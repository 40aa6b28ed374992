import { fine, refused, type Result } from "../base";
import { SUBJECT_IDS, type AskContext, type Subject, type SubjectId } from "../catalog";
import {
  BESIDES,
  isBareCount,
  WORK_UNITS,
  type Beside,
  type BridgeReport,
  type BurndownReport,
  type CountReport,
  type CrossingsReport,
  type Group,
  type LevelReport,
  type ListReport,
  type Report,
  type SimpleMeasure,
  type Sort,
  type VelocityReport,
} from "../definition";
import type { Condition } from "../filter";
import { shapes, SHAPE_IDS, type ShapeId } from "../shapes";
import { BUCKET_GRAINS, COMPARISONS, parseDay, parseInstant, type BucketGrain } from "../time";
import { parseCondition } from "./conditions";
import { Cursor, Stop, type Expected } from "./cursor";
import { parsePath } from "./fields";
import { parseGroup } from "./groups";
import { lex, LONGEST } from "./lex";
import { isMeasureAt, parseMeasure, parseSimpleMeasure } from "./measures";
import { conflictsIn } from "./together";
import { parseCount, parseNamed, parsePeriodHere, parseThing } from "./values";

/**
 * Reads a sentence into a report.
 * @returns the report, or the first problem with its place and the nearest known words
 */
export function parseSentence(text: string, context: AskContext): Result<Report> {
  return read(text, context).result;
}

/** Reads a condition alone: "status is open and not (tags include parked)". */
export function parseConditionText(
  text: string,
  subject: SubjectId,
  context: AskContext,
): Result<Condition> {
  const { tokens, problem } = lex(text);
  if (problem) return refused(problem);
  const cursor = new Cursor(text, tokens);
  try {
    const condition = parseCondition(cursor, context, subject);
    if (!cursor.done) cursor.unexpected();
    return fine(condition);
  } catch (stop) {
    if (!(stop instanceof Stop)) throw stop;
    return refused(stop.problem);
  }
}

/** What may stand at the end of an unfinished sentence. */
export function expectedAfter(text: string, context: AskContext): readonly Expected[] {
  return read(text, context).cursor?.expectedAtEnd() ?? [];
}

function read(text: string, context: AskContext): { result: Result<Report>; cursor?: Cursor } {
  if (text.length > LONGEST)
    return {
      result: refused({
        code: "sentence.long",
        message: `a sentence has at most ${LONGEST} characters; this one has ${text.length}`,
      }),
    };
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
  for (const { words, read: begin } of kinds) {
    const said = words.find((phrase) => cursor.phrase(phrase, "keyword", phrase));
    if (said) return begin(cursor, context, said);
  }
  const { measures, subject } = parseCounted(cursor, context);
  const report: CountReport = { kind: "count", measures, subject, by: [] };
  parseClauses(cursor, context, report, countClauses);
  return report;
}

/** How each kind of report but a count begins; the longest wording first. */
const kinds: readonly {
  readonly words: readonly string[];
  readonly read: (cursor: Cursor, context: AskContext, said: string) => Report;
}[] = [
  {
    words: ["list"],
    read: (cursor, context) => {
      const report: ListReport = {
        kind: "list",
        subject: parseSubject(cursor, context),
        showing: [],
        sorts: [],
      };
      return parseClauses(cursor, context, report, listClauses);
    },
  },
  {
    words: ["level of"],
    read: (cursor, context) => {
      const report = {
        kind: "level" as const,
        ...parseMeasuredSubject(cursor, context),
        grain: "month",
        period: { kind: "rolling", way: "last", count: 12, unit: "month" },
      } as LevelReport;
      return parseClauses(cursor, context, report, levelClauses, ["at", "for"]);
    },
  },
  {
    words: ["arrivals and departures of", "arrivals of", "departures of"],
    read: (cursor, context, said) => {
      const which = said.startsWith("arrivals and")
        ? "both"
        : said.startsWith("arrivals")
          ? "arrivals"
          : "departures";
      const report = {
        kind: "crossings" as const,
        which,
        ...parseMeasuredSubject(cursor, context),
        grain: "month",
        period: { kind: "rolling", way: "last", count: 12, unit: "month" },
      } as CrossingsReport;
      return parseClauses(cursor, context, report, crossingsClauses, ["by", "for"]);
    },
  },
  {
    words: ["bridge of"],
    read: (cursor, context) => {
      const report: BridgeReport = {
        kind: "bridge",
        ...parseMeasuredSubject(cursor, context),
        from: "",
        to: "",
      };
      return parseClauses(cursor, context, report, bridgeClauses, ["from"]);
    },
  },
  { words: ["burndown of"], read: parseBurndown },
  {
    words: ["velocity of team"],
    read: (cursor, context) => {
      const team = cursor.phrase("my team", "value", "my team", "whoever is looking")
        ? null
        : parseThing(cursor, context, "team");
      const report: VelocityReport = {
        kind: "velocity",
        subject: { id: "items" },
        team: team?.kind === "thing" ? team.id : null,
      };
      return parseClauses(cursor, context, report, velocityClauses);
    },
  },
];

/** [ measure "of" ] subject, of items. */
function parseMeasuredSubject(
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

/** Only items have a past. */
function parseItems(cursor: Cursor, context: AskContext): Subject {
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

function parseBurndown(cursor: Cursor, context: AskContext): Report {
  const start = cursor.at;
  const base = { kind: "burndown" as const, subject: { id: "items" as const } };
  if (cursor.phrase("sprint", "keyword")) {
    if (cursor.phrase("current", "value", "current", "begun and not closed"))
      return parseClauses(
        cursor,
        context,
        { ...base, of: { kind: "current sprint" } } as BurndownReport,
        workClauses,
      );
    const sprint = parseThing(cursor, context, "sprint");
    return parseClauses(
      cursor,
      context,
      {
        ...base,
        of: { kind: "sprint", sprint: sprint.kind === "thing" ? sprint.id : 0 },
      } as BurndownReport,
      workClauses,
    );
  }
  if (cursor.phrase("release", "keyword")) {
    const release = parseThing(cursor, context, "release");
    return parseClauses(
      cursor,
      context,
      {
        ...base,
        of: { kind: "release", release: release.kind === "thing" ? release.id : 0 },
      } as BurndownReport,
      workClauses,
    );
  }
  const report: BurndownReport = {
    ...base,
    subject: parseItems(cursor, context),
    of: { kind: "filter", from: "", to: "" },
  };
  const read = parseClauses(cursor, context, report, filterBurndownClauses, ["from"]);
  return cursor.mark(read, start);
}

/**
 * measures subject: fields of measures belong to the subject that follows them, so each kind of subject is tried;
 * the attempt that gets furthest tells what is wrong.
 */
function parseCounted(
  cursor: Cursor,
  context: AskContext,
): { measures: CountReport["measures"]; subject: Subject } {
  const start = cursor.at;
  let best: { at: number; stop: Stop } | undefined;
  for (const id of SUBJECT_IDS) {
    cursor.at = start;
    try {
      const counted = parseMeasuresOf(cursor, context, id);
      if (counted.subject.id === id) return counted;
      if (counted.measures.every(isBareCount)) return counted;
    } catch (stop) {
      if (!(stop instanceof Stop)) throw stop;
      if (!best || cursor.at > best.at) best = { at: cursor.at, stop };
    }
  }
  if (best) throw best.stop;
  return cursor.unexpected();
}

function parseMeasuresOf(
  cursor: Cursor,
  context: AskContext,
  id: SubjectId,
): { measures: CountReport["measures"]; subject: Subject } {
  const measures = [parseMeasure(cursor, context, id)];
  while (cursor.sign(",") || cursor.phrase("and", "keyword")) {
    if (cursor.phrase("of", "keyword")) return { measures, subject: parseSubject(cursor, context) };
    if (measures.length === 6)
      cursor.stop({ code: "sentence.measures", message: "a report has at most six measures" });
    measures.push(parseMeasure(cursor, context, id));
  }
  if (!cursor.phrase("of", "keyword") && !measures.every(isBareCount)) cursor.unexpected();
  return { measures, subject: parseSubject(cursor, context) };
}

function parseSubject(cursor: Cursor, context: AskContext): Subject {
  const known = context.catalog.subjectNames().sort((a, b) => b.words.length - a.words.length);
  for (const { words, subject } of known) {
    const quoted =
      cursor.token?.kind === "quoted" && cursor.token.text.toLowerCase() === words.toLowerCase();
    if (quoted) cursor.at += 1;
    if (quoted || cursor.phrase(words, "subject", words)) return subject;
  }
  if (context.catalog.filters.length && cursor.phrase("filter", "keyword")) {
    const filter = parseNamed(cursor, context.catalog.filters, "saved filter");
    return { ...filter.subject, filter: filter.id };
  }
  return cursor.unexpected();
}

type Clause<R> = {
  readonly words: readonly string[];
  readonly name: string;
  readonly offered?: boolean;
  readonly read: (cursor: Cursor, context: AskContext, report: R) => void;
};

const wherePart: Clause<Report> = {
  name: "where",
  words: ["where"],
  read: (c, x, r) => void (r.where = parseCondition(c, x, r.subject.id)),
};
const forPart: Clause<CountReport | LevelReport | CrossingsReport> = {
  name: "for",
  words: ["for"],
  read: (c, x, r) => void (r.period = parsePeriodHere(c, x)),
};
const runningPart: Clause<CountReport | CrossingsReport> = {
  name: "running total",
  words: ["running total"],
  read: (_c, _x, r) => void (r.runningTotal = true),
};
const splitPart: Clause<CountReport | LevelReport> = {
  name: "split by",
  words: ["split by"],
  read: (c, x, r) => void (r.split = parseGroup(c, x, r.subject.id)),
};
const stoodPart: Clause<Report> = {
  name: "as it stood on",
  words: ["as it stood on"],
  read: (c, _x, r) => void (r.stood = parseMoment(c)),
};
const shapePart: Clause<Report> = {
  name: "as",
  words: ["as"],
  read: (c, _x, r) => void (r.shape = parseShape(c)),
};
const unitPart: Clause<BurndownReport | VelocityReport> = {
  name: "in",
  words: ["in"],
  read: (c, _x, r) =>
    void (r.unit = WORK_UNITS.find((unit) => c.phrase(unit, "unit")) ?? c.unexpected()),
};

const countClauses: readonly Clause<CountReport>[] = [
  wherePart,
  {
    name: "by",
    words: ["by", "grouped by"],
    read: (c, x, r) => void (r.by = parseGroups(c, x, r.subject.id)),
  },
  splitPart,
  forPart,
  {
    name: "compared with",
    words: ["compared with"],
    read: (c, _x, r) =>
      void (r.compared = COMPARISONS.find((how) => c.phrase(how, "keyword")) ?? c.unexpected()),
  },
  runningPart,
  stoodPart,
  shapePart,
];

const listClauses: readonly Clause<ListReport>[] = [
  wherePart,
  {
    name: "grouped by",
    words: ["grouped by"],
    read: (c, x, r) => void (r.by = parseGroup(c, x, r.subject.id)),
  },
  {
    name: "showing",
    words: ["showing"],
    read: (c, x, r) =>
      void (r.showing = parseListed(c, () =>
        parsePath(c, x.catalog, r.subject.id).map((f) => f.id),
      )),
  },
  {
    name: "sorted by",
    words: ["sorted by"],
    read: (c, x, r) => void (r.sorts = parseListed(c, () => parseSort(c, x, r.subject.id))),
  },
  {
    name: "sorted by",
    words: ["newest first"],
    offered: false,
    read: (_c, _x, r) => void (r.sorts = [{ field: ["created"], descending: true }]),
  },
  {
    name: "sorted by",
    words: ["oldest first"],
    offered: false,
    read: (_c, _x, r) => void (r.sorts = [{ field: ["created"] }]),
  },
  stoodPart,
  shapePart,
];

const levelClauses: readonly Clause<LevelReport>[] = [
  wherePart,
  {
    name: "at",
    words: ["at"],
    read: (c, _x, r) => {
      r.grain = parseBucketGrain(c);
      if (!c.phrase("ends")) c.unexpected();
    },
  },
  forPart,
  splitPart,
  stoodPart,
  shapePart,
];

const crossingsClauses: readonly Clause<CrossingsReport>[] = [
  wherePart,
  { name: "by", words: ["by"], read: (c, _x, r) => void (r.grain = parseBucketGrain(c)) },
  forPart,
  runningPart,
  { name: "with", words: ["with"], read: (c, _x, r) => void (r.beside = parseBesides(c)) },
  stoodPart,
  shapePart,
];

const bridgeClauses: readonly Clause<BridgeReport>[] = [
  wherePart,
  {
    name: "from",
    words: ["from"],
    read: (c, _x, r) => {
      r.from = parseMoment(c);
      if (!c.phrase("to")) c.unexpected();
      r.to = parseMoment(c);
    },
  },
  stoodPart,
  shapePart,
];

const workClauses: readonly Clause<BurndownReport>[] = [unitPart, stoodPart, shapePart];
const filterBurndownClauses: readonly Clause<BurndownReport>[] = [
  wherePart,
  {
    name: "from",
    words: ["from"],
    read: (c, _x, r) => {
      const from = parseDayHere(c);
      if (!c.phrase("to")) c.unexpected();
      r.of = { kind: "filter", from, to: parseDayHere(c) };
    },
  },
  ...workClauses,
];
const velocityClauses: readonly Clause<VelocityReport>[] = [
  unitPart,
  {
    name: "over last",
    words: ["over last"],
    read: (c, _x, r) => {
      r.last = parseCount(c, 100);
      if (!c.phrase("sprints") && !c.phraseLength("sprint")) c.unexpected();
    },
  },
  stoodPart,
  shapePart,
];

/** Reads the clauses of a kind of report, each once and in any order; those in `needed` must be there. */
function parseClauses<R extends Report>(
  cursor: Cursor,
  context: AskContext,
  report: R,
  clauses: readonly Clause<R>[],
  needed: readonly string[] = [],
): R {
  const said = new Set<string>();
  const starts = new Map<string, number>();
  while (!cursor.done) {
    const start = cursor.at;
    const clause = clauses
      .flatMap((c) => c.words.map((words) => ({ c, words })))
      .sort((a, b) => b.words.length - a.words.length)
      .find(({ words }) => cursor.phraseLength(words))?.c;
    if (!clause) {
      offerClauses(cursor, clauses, said);
      cursor.unexpected();
    }
    if (said.has(clause!.name))
      cursor.stop({ code: "sentence.twice", message: `"${clause!.name}" stands here twice` });
    said.add(clause!.name);
    starts.set(clause!.name, start);
    cursor.at += cursor.phraseLength(clause!.words.find((words) => cursor.phraseLength(words))!);
    clause!.read(cursor, context, report);
  }
  offerClauses(cursor, clauses, said);
  if (needed.some((name) => !said.has(name))) cursor.unexpected();
  for (const { clause, problem } of conflictsIn(report, context))
    cursor.stop(problem, starts.get(clause) ?? 0, (starts.get(clause) ?? 0) + 1);
  return report;
}

function offerClauses<R>(
  cursor: Cursor,
  clauses: readonly Clause<R>[],
  said: ReadonlySet<string>,
): void {
  for (const clause of clauses)
    if (!said.has(clause.name) && clause.offered !== false)
      cursor.offer({ kind: "clause", words: clause.words[0], called: clause.name });
}

const parseListed = <T>(cursor: Cursor, one: () => T): T[] => {
  const all = [one()];
  while (cursor.sign(",")) all.push(one());
  return all;
};

/** "net" | "level" | both, in their order. */
function parseBesides(cursor: Cursor): Beside[] {
  const said = new Set<Beside>();
  do
    said.add(
      BESIDES.find((beside) =>
        cursor.phrase(
          beside,
          "keyword",
          beside,
          { net: "what came in less what went out", level: "how many there were at each end" }[
            beside
          ],
        ),
      ) ?? cursor.unexpected(),
    );
  while (cursor.phrase("and", "keyword"));
  return BESIDES.filter((beside) => said.has(beside));
}

function parseGroups(cursor: Cursor, context: AskContext, subject: SubjectId): Group[] {
  const groups = [parseGroup(cursor, context, subject)];
  while (cursor.phrase("then", "keyword")) {
    if (groups.length === 3)
      cursor.stop({
        code: "sentence.tiers",
        message: "a report has at most three groups, one within another",
      });
    groups.push(parseGroup(cursor, context, subject));
  }
  return groups;
}

function parseSort(cursor: Cursor, context: AskContext, subject: SubjectId): Sort {
  const field = parsePath(cursor, context.catalog, subject).map((step) => step.id);
  return cursor.phrase("descending", "keyword") ? { field, descending: true } : { field };
}

/** instant = day [ "T" time ] with offset or Z, or a bare day */
function parseMoment(cursor: Cursor): string {
  const token = cursor.token;
  cursor.expect({ kind: "period", words: "", called: "a date, such as 2026-10-31" });
  if (!token) return cursor.unexpected();
  if (parseDay(token.text) === null && parseInstant(token.text) === null)
    cursor.stop({
      code: "sentence.noInstant",
      message: `"${token.text}" is not a date, and not an instant with Z or an offset`,
      expected: ["a date, such as 2026-10-31"],
    });
  cursor.at += 1;
  return token.text;
}

function parseDayHere(cursor: Cursor): string {
  const start = cursor.at;
  const moment = parseMoment(cursor);
  if (parseDay(moment) === null)
    cursor.stop(
      {
        code: "sentence.noDay",
        message: `a burndown runs from a day to a day; "${moment}" is an instant`,
      },
      start,
      start + 1,
    );
  return moment;
}

const GRAINS_BY_LENGTH = [...BUCKET_GRAINS].sort((a, b) => b.length - a.length);
const parseBucketGrain = (cursor: Cursor): BucketGrain =>
  GRAINS_BY_LENGTH.find((grain) => cursor.phrase(grain, "grain", grain)) ?? cursor.unexpected();

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
