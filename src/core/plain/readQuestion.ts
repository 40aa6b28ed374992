import type { AskContext, Catalog } from "../catalog";
import { parseSentence, printReport, type Report } from "../kinds";
import { assembled, type Assembled } from "./assemble";
import {
  FIELD_LIST,
  readAmounts,
  readEntries,
  readEvents,
  readGroups,
  readMeasures,
  readOrder,
  readRanks,
  readShape,
  readStates,
  readSubject,
  readTexts,
} from "./clauses";
import { emptyDraft, type Draft } from "./draft";
import { readForms, readSprints } from "./forms";
import { nameIndexOf, respelt, Spellings, stem, takeNames, type NamedPlace } from "./names";
import { plainLetters, Question, TAUGHT, type Use } from "./question";
import { Times } from "./times";
import { FILLERS } from "./words/fillers";
import { PRIORITY_WORDS } from "./words/states";

/** One way in which a question can be read. */
export interface Reading {
  readonly report: Report;
  /** Canonical. */
  readonly sentence: string;
  /** What each stretch of the question became, in its order. */
  readonly uses: readonly Use[];
  /** Everything that carries meaning was used, in one way only. */
  readonly isSure: boolean;
  /** Why it is not sure, in words. */
  readonly doubts: readonly string[];
  /** What words that could be several things were taken for in it. */
  readonly chose: readonly Taught[];
}

/** What words of the desk mean: a condition of the sentence, as somebody said for themselves or for everyone. */
export interface Taught {
  readonly words: string;
  readonly means: string;
}

/** The longest question that is read, in characters. */
export const LONGEST_QUESTION = 400;
const MOST_READINGS = 6;

/**
 * Reads a question in everyday words.
 * @returns its readings, the best first; none where nothing in it can be asked
 */
export function readQuestion(
  text: string,
  context: AskContext,
  taught: readonly Taught[] = [],
): readonly Reading[] {
  const asked = text.slice(0, LONGEST_QUESTION);
  const strict = parseSentence(asked, context);
  if (strict.ok && text.length <= LONGEST_QUESTION) {
    const sentence = printReport(strict.value, context.catalog);
    const whole: Use = { from: 0, to: text.length, part: "kind", rule: "a sentence as it stands" };
    return [{ report: strict.value, sentence, uses: [whole], isSure: true, doubts: [], chose: [] }];
  }
  const first = readOnce(asked, context, [], taught);
  const readings = [first.reading];
  for (const choice of first.choices)
    for (let option = 1; option < choice.options && readings.length < MOST_READINGS; option += 1)
      readings.push(readOnce(asked, context, [{ at: choice.at, option }], taught).reading);
  const found = readings.filter((one) => one !== null);
  const different = found.filter(
    (one, i) => found.findIndex((other) => other.sentence === one.sentence) === i,
  );
  return text.length > LONGEST_QUESTION
    ? different.map((one) => ({
        ...one,
        isSure: false,
        doubts: ["the question is too long to be read whole"],
      }))
    : different;
}

interface Chosen {
  readonly at: number;
  readonly option: number;
}
interface Choice {
  readonly at: number;
  readonly options: number;
  readonly words: string;
}

function readOnce(
  text: string,
  context: AskContext,
  chosen: readonly Chosen[],
  taught: readonly Taught[],
): { reading: Reading | null; choices: readonly Choice[] } {
  const { catalog } = context;
  const question = new Question(text);
  const draft = emptyDraft();
  const times = new Times(context);
  const choices: Choice[] = [];
  const optionAt = (at: number, options: number, words: string): number => {
    if (options > 1) choices.push({ at, options, words });
    return chosen.find((one) => one.at === at)?.option ?? 0;
  };
  readTaught(question, draft, taught);
  readAsks(question, draft);
  readTexts(question, draft);
  readForms(question, draft);
  readComparison(question, draft);
  readLevelEnds(question, draft);
  readAmounts(question, draft);
  readEntries(question, draft);
  draft.times = times.take(question);
  readMine(question, draft);
  const places = takeNames(question, catalog);
  for (const place of places) addName(question, draft, place, optionAt);
  readPriorities(question, draft, context, optionAt);
  readSprints(question, draft);
  readSubjectFirst(question, draft);
  if (question.find("story points") && draft.subject === null) draft.subject = storiesOf(catalog);
  readMeasures(question, draft);
  readRanks(question, draft, catalog);
  readGroups(question, draft, catalog);
  readStates(question, draft, catalog);
  readOrder(question, draft);
  readShape(question, draft);
  readSubject(question, draft, catalog);
  readEvents(question, draft);
  for (const said of FILLERS) question.takeAll(said, "filler", "says nothing by itself");
  const left = question.words();
  if (left.length > 0 && chosen.every(({ at }) => at >= 0)) {
    const mended = respeltQuestion(
      text,
      left.map(({ words, from, to }) => ({ words, from, to })),
      context,
    );
    if (mended !== null && mended !== text) {
      const again = readOnce(mended, context, chosen, taught);
      if (again.reading?.isSure) return again;
    }
  }
  for (const word of left) question.use(word, "not understood", "not understood");
  const isEmpty =
    draft.subject === null &&
    draft.conditions.length +
      draft.values.length +
      draft.groups.length +
      draft.times.length +
      draft.events.length ===
      0 &&
    draft.history === null &&
    draft.measure === null;
  if (isEmpty) return { reading: null, choices: [] };
  const said = assembled(draft, times);
  const parsed = parseSentence(said.sentence, context);
  if (!parsed.ok) return { reading: null, choices: [] };
  const doubts = [
    ...draft.doubts,
    ...left.map(({ from, to }) => `"${text.slice(from, to)}" was not understood`),
    ...choices.map(({ words, options }) => `"${words}" could be ${options} things`),
  ];
  return {
    reading: {
      report: parsed.value,
      sentence: printReport(parsed.value, catalog),
      uses: [...question.uses]
        .sort((a, b) => a.from - b.from)
        .map((use) => ({ ...use, ...meansOf(use, said, draft) })),
      isSure: doubts.length === 0,
      doubts,
      chose: choices.flatMap(({ at, words }) => {
        const means = said.means.get(at);
        return means ? [{ words, means }] : [];
      }),
    },
    choices,
  };
}

/** What the desk says comes before all that everybody says; the longest words first. */
function readTaught(question: Question, draft: Draft, taught: readonly Taught[]): void {
  for (const { words, means } of [...taught].sort((a, b) => b.words.length - a.words.length)) {
    const found = question.take(escapedWords(words), "condition", TAUGHT);
    if (found) draft.conditions.push({ text: means, at: found.from });
  }
}
const escapedWords = (words: string): string =>
  plainLetters(words.trim()).replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/** The part of the sentence that a stretch became. */
function meansOf(use: Use, { means }: Assembled, draft: Draft): { means?: string } {
  if (use.part === "filler" || use.part === "not understood") return {};
  const own = means.get(use.from);
  if (own) return { means: own };
  if (use.part === "subject" && draft.subject) return { means: draft.subject };
  if (use.part === "shape" && draft.shape) return { means: `as ${draft.shape}` };
  if (use.part === "measure" && draft.measure) return { means: draft.measure };
  if (use.part === "order" && draft.sort) return { means: `sorted by ${draft.sort}` };
  return {};
}

function readAsks(question: Question, draft: Draft): void {
  const counts = question.take(
    "how many(?! (?:hours|days|times))|(?:the |a )?(?:number|count|total number|amount|quantity) of|count(?: up)?(?: the| all)?",
    "measure",
    "count",
  );
  if (counts) draft.asks = "count";
  else if (
    question.take(
      "lists?(?: of)?(?: all)?(?: the)?|which(?! (?:team|service|assignee|person|agent|people|priority|project|landing|kind|status|weather|vessel))|what are|what is",
      "kind",
      "a list",
    )
  )
    draft.asks = "list";
}

function readComparison(question: Question, draft: Draft): void {
  const earlier = question.take(
    "(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:(?:the )?same (?:time|period|month|week|quarter) (?:last year|a year ago|the year before)|a year (?:ago|earlier|before)|(?:the )?(?:year before|previous year))|year (?:on|over) year|yoy",
    "comparison",
    "a year earlier",
  );
  if (earlier) draft.comparedWith = "a year earlier";
  const before = question.take(
    "(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:the )?(?:period|one|month|week|quarter|year|time) before(?: (?:that|it))?|(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:the )?(?:previous|prior|preceding) (?:period|one|month|week|quarter)|month (?:on|over) month|week (?:on|over) week",
    "comparison",
    "the period before",
  );
  if (before) draft.comparedWith = "the period before";
  if (
    question.take(
      "compare(?! .* per )|compared (?:with|to)|versus|vs\\.?|(?:more|fewer|less)(?=.* than (?:last|yesterday|in|the))",
      "comparison",
      "a comparison",
    )
  )
    draft.compares = true;
}

/** "at the end of each month": a level. */
function readLevelEnds(question: Question, draft: Draft): void {
  const GRAIN = "day|week|month|quarter|year";
  const ends = question.take(
    `(?:at|on|by) (?:the )?(?:end|ends|close) of (?:each|every|all) (?<grain>${GRAIN})s?|at (?:each |every )?(?<one>${GRAIN}) ends?`,
    "kind",
    "a level at the end of each stretch",
  );
  const grain = ends?.groups.grain ?? ends?.groups.one;
  if (!ends || !grain) return;
  draft.history = "level";
  draft.groups.push({ text: grain, at: ends.from, splits: false, grain });
}

/** Me, my team, my projects. */
function readMine(question: Question, draft: Draft): void {
  const put = (field: string, value: string, pattern: string) => {
    const found = question.take(pattern, "condition", value);
    if (found) draft.values.push({ field, value, isNot: false, at: found.from });
    return found !== null;
  };
  if (draft.history !== "velocity") {
    put(
      "team",
      "my team",
      "(?:does |do |of |for |in |by |has |assigned to )?(?:my|our) team(?:'s)?(?: (?:have|has))?",
    );
    put("team", "my teams", "(?:of |for |in )?(?:my|our) teams(?:')?");
  } else if (question.take("(?:of |for )?(?:my|our) team(?:'s)?", "subject", "my team"))
    draft.team = null;
  put("project", "my projects", "(?:of |in |for |on )?my projects(?:')?");
  put(
    "raised by",
    "me",
    "(?:i|that i|which i) (?:have |'ve )?(?:raised|reported|created|opened|submitted|logged)|(?:raised|reported|created|opened|submitted|requested) by me|my requests raised",
  );
  put(
    "assignee",
    "me",
    "(?:assigned to|owned by|handled by|belonging to|with|for|on) (?:me|myself)|(?:that )?i (?:have|own|am (?:working on|assigned to)|work on)|my(?= )|mine|on my plate",
  );
}

const NEGATION =
  /(?:^|[^\p{L}])(?:not|except(?: for)?|excluding|other than|without|but not|aren't|isn't|are not|is not|no|minus|all but|anything but)(?: (?:for|in|on|from|the|by|a))*\s*$/u;
const RAISED =
  /(?:raised by|reported by|requested by|created by|opened by|submitted by|logged by|from|by requester|requester(?: is)?|reporter(?: is)?)\s+$/u;

function addName(
  question: Question,
  draft: Draft,
  { from, to, names }: NamedPlace,
  optionAt: (at: number, options: number, words: string) => number,
): void {
  const before = question.rest.slice(0, from);
  const fitting = names.filter(
    ({ field }) =>
      fieldWordsBefore(before, field) || fieldWordsAfter(question.rest.slice(to), field),
  );
  const ofForm =
    draft.history === "velocity" ? "team" : draft.history === "burndown" ? "sprint" : null;
  const asked = names.filter((name) => name.field === ofForm);
  const options = asked.length ? asked : fitting.length ? fitting : names;
  const { field, value, rule } =
    options[optionAt(from, options.length, question.text.slice(from, to))] ?? options[0];
  let named = field;
  const raised = RAISED.exec(before);
  if (field === "assignee" && (raised || draft.subject === "requests raised")) {
    if (raised) question.use({ from: raised.index, to: from }, "condition", "who raised it");
    named = "raised by";
  }
  const became =
    /(?:moved|changed|went|gone|set|put|turned|switched|came)(?: back)?(?: in)?(?:to)?\s+$/u.exec(
      before,
    );
  if (field === "status" && became) {
    question.use({ from: became.index, to: from }, "condition", "became");
    draft.conditions.push({ text: `status became ${JSON.stringify(value)}`, at: from });
    return;
  }
  const own = fieldWordsBefore(before, field);
  if (own) question.use({ from: own.from, to: from }, "condition", rule);
  const after = fieldWordsAfter(question.rest.slice(to), field);
  if (after) question.use({ from: to + after.from, to: to + after.to }, "condition", rule);
  const not = NEGATION.exec(question.rest.slice(0, own?.from ?? from));
  if (not) {
    const start = not.index + (/^[^\p{L}]/u.test(not[0]) ? 1 : 0);
    question.use({ from: start, to: own?.from ?? from }, "condition", "not");
  }
  const isNot = not !== null || wasNot(draft, named, before);
  draft.values.push({ field: named, value, isNot, at: from });
}

/** "not P3 or P4": what joins a name to one that is excluded excludes it too. */
const wasNot = (draft: Draft, field: string, before: string): boolean => {
  const last = draft.values[draft.values.length - 1];
  return (
    last !== undefined &&
    last.isNot &&
    last.field === field &&
    /\u0000\s*(?:,|or|and|nor)\s*$/u.test(before)
  );
};

const WORDS_OF: Readonly<Record<string, string>> = {
  assignee: "assignee|agent|technician|owner|assigned to|owned by|handled by|held by|responsible",
  "raised by": "raised by|requester|reporter",
  priority: "priority|priorities|prio",
  status: "status|statuses|state",
  team: "team|teams|crew|squad",
  service: "service|services",
  project: "project|projects",
  sprint: "sprint",
  asset: "asset|assets",
  release: "release|version",
};
function fieldWordsBefore(before: string, field: string): { from: number } | null {
  const words = WORDS_OF[field] ?? field;
  const match = new RegExp(
    `(?<!\\p{L})(?:in |with |of |for |on |by |from )?(?:the )?(?:${words})(?: (?:is|are|=|was|called|named|of))?[\\s:=]+$`,
    "u",
  ).exec(before);
  return match && { from: match.index };
}
function fieldWordsAfter(after: string, field: string): { from: number; to: number } | null {
  const match = new RegExp(`^\\s+(?:${WORDS_OF[field] ?? field})(?!\\p{L})`, "u").exec(after);
  return match && { from: 0, to: match[0].length };
}

function readPriorities(
  question: Question,
  draft: Draft,
  { catalog }: AskContext,
  optionAt: (at: number, options: number, words: string) => number,
): void {
  const list = catalog.names.list("priority");
  if (list.length === 0) return;
  for (const { said, ranks } of PRIORITY_WORDS) {
    const found = question.take(
      `(?:with )?(?:a )?(?:${said})(?: ones)?(?! first)`,
      "condition",
      "a priority by its rank",
    );
    if (!found) continue;
    const chosen = ranks[optionAt(found.from, ranks.length, found.words)] ?? ranks[0];
    for (const rank of chosen) {
      const priority = list.at(rank);
      if (priority)
        draft.values.push({
          field: "priority",
          value: priority.label,
          isNot: false,
          at: found.from,
        });
    }
  }
}

/** Who speaks of story points means stories, where there are any. */
const storiesOf = (catalog: Catalog): string | null =>
  catalog.kinds().find(({ label }) => label.toLowerCase() === "story")?.plural ?? null;

/** Subjects of their own are known before groups are, whose fields are theirs. */
function readSubjectFirst(question: Question, draft: Draft): void {
  if (draft.subject !== null) return;
  for (const [said, subject] of [
    ["(?:list )?projects|which projects", "projects"],
    ["milestones", "milestones"],
    ["assets", "assets"],
  ] as const) {
    const rest = question.rest;
    const isFirst = question.find(`(?<!(?:by|per|each|every|their|my|across) )(?:${said})`);
    const hasOther =
      /(?<!\p{L})(?:faults?|requests?|items?|tickets?|issues?|stories|tasks?|changes|incidents?|bugs?|hours|costs?)(?!\p{L})/u.test(
        rest,
      );
    if (isFirst && !hasOther && draft.values.length === 0) {
      question.use(isFirst, "subject", subject);
      draft.subject = subject;
      return;
    }
  }
}

/** The question with its unknown words spelt as words that are known; null where none is near. */
/** Words with a meaning of their own that no sentence has: they are not taken for a misspelt name. */
const NEVER_RESPELT =
  /^(?:will|would|going|predict|predicted|forecast|expect|expected|likely|good|happy|should|must|why|bad|better)$/;

function respeltQuestion(
  text: string,
  left: readonly { readonly words: string; readonly from: number; readonly to: number }[],
  context: AskContext,
): string | null {
  const known = knownWords(context);
  let [mended, shift] = [text, 0];
  for (const { words, from, to } of left) {
    const better = NEVER_RESPELT.test(words) ? null : respelt(words, known);
    if (better === null) return null;
    mended = mended.slice(0, from + shift) + better + mended.slice(to + shift);
    shift += better.length - (to - from);
  }
  return mended;
}

const VOCABULARY =
  "open closed finished resolved created raised reported overdue unassigned faults fault requests request tickets ticket issues items stories tasks priority assignee assignees status service services team teams average median number count month months week weeks quarter year years today yesterday between since blocked reopened reassigned burndown velocity backlog trend points hours sprint oldest newest agents technician owner".split(
    " ",
  );
function knownWords(context: AskContext): Spellings[] {
  const own = new Spellings();
  for (const word of VOCABULARY) own.add(stem(word));
  for (const field of FIELD_LIST(context.catalog, "items"))
    if (/^[a-z ]+$/.test(field.text)) for (const word of field.text.split(" ")) own.add(stem(word));
  return [own, nameIndexOf(context.catalog).words];
}
