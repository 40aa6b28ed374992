import type { AskContext } from "../catalog";
import { parseSentence, printReport, type Report } from "../kinds";
import { assembled, type Assembled } from "./assemble";
import {
  readAsks,
  readComparison,
  readLevelEnds,
  readMine,
  readWhich,
  readWorkload,
} from "./clauses/asks";
import { readAmounts } from "./clauses/amounts";
import { readEmpty, readStates, readTexts } from "./clauses/conditions";
import { readGroups } from "./clauses/groups";
import { readRanks } from "./clauses/ranks";
import { readDistinct, readEntries, readMeasures, readTimeIn } from "./clauses/measures";
import { readEvents, readOrder, readShape, readSorted } from "./clauses/rest";
import { readSubject, readSubjectFirst, storiesOf } from "./clauses/subject";
import { addNames, readOr, readPriorities } from "./clauses/values";
import { emptyDraft, type Draft } from "./draft";
import { respeltQuestion } from "./respelt";
import { readForms, readSprints } from "./forms";
import { takeNames } from "./names";
import { plainLetters, Question, TAUGHT, type Use } from "./question";
import { Times } from "./times";
import { FILLERS } from "./words/fillers";

/** One way in which a question can be read. */
export interface Reading {
  /** The question as it was read: with misspelt words as what they were meant to be. */
  readonly text: string;
  readonly report: Report;
  /** Canonical. */
  readonly sentence: string;
  /** What each stretch of its text became, in its order. */
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
    return [
      {
        text: asked,
        report: strict.value,
        sentence,
        uses: [whole],
        isSure: true,
        doubts: [],
        chose: [],
      },
    ];
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
  readDistinct(question, draft, catalog);
  readTimeIn(question, draft, catalog);
  readAsks(question, draft);
  readTexts(question, draft);
  readForms(question, draft);
  readComparison(question, draft);
  readLevelEnds(question, draft);
  readAmounts(question, draft);
  readEntries(question, draft);
  draft.times = times.take(question);
  readMine(question, draft);
  addNames(question, draft, takeNames(question, catalog), optionAt);
  readPriorities(question, draft, context, optionAt);
  readSprints(question, draft);
  readSubjectFirst(question, draft, catalog);
  if (question.find("story points") && draft.subject === null) draft.subject = storiesOf(catalog);
  readEmpty(question, draft, catalog);
  readSorted(question, draft, catalog);
  readMeasures(question, draft);
  readWorkload(question, draft);
  readRanks(question, draft, catalog);
  readGroups(question, draft, catalog);
  readWhich(question, draft);
  readStates(question, draft, catalog);
  readOrder(question, draft, catalog);
  readShape(question, draft);
  readSubject(question, draft, catalog);
  readEvents(question, draft);
  readOr(question, draft);
  for (const said of FILLERS) question.takeAll(said, "filler", "says nothing by itself");
  const sign = /[<>=≠≤≥]|!=/.exec(question.rest);
  if (sign) draft.doubts.push(`"${sign[0]}" was not understood`);
  const left = question.words();
  if (left.length > 0) {
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
  const made = madeSentence(draft, times, context);
  if (made === null) return { reading: null, choices: [] };
  const { said, report } = made;
  const doubts = [
    ...draft.doubts,
    ...said.doubts,
    ...left.map(({ from, to }) => `"${text.slice(from, to)}" was not understood`),
    ...choices.map(({ words, options }) => `"${words}" could be ${options} things`),
  ];
  return {
    reading: {
      text,
      report,
      sentence: printReport(report, catalog),
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

/** Parts that a question can do without, the least important first. */
const DISPENSABLE = ["shape", "sort", "top", "measure", "groups", "conditions"] as const;

/** The sentence of what was said; what it cannot be said with is left out, and is a doubt. */
function madeSentence(
  draft: Draft,
  times: Times,
  context: AskContext,
): { said: Assembled; report: Report } | null {
  const left = structuredClone(draft);
  for (const part of [null, ...DISPENSABLE]) {
    if (part === "groups" || part === "conditions") {
      for (const { text } of left[part]) draft.doubts.push(`"${text}" does not fit the rest`);
      left[part] = [];
    } else if (part !== null) {
      if (left[part] === null) continue;
      draft.doubts.push(`"${left[part]}" does not fit the rest`);
      left[part] = null;
    }
    const said = assembled(structuredClone(left), times);
    const parsed = parseSentence(said.sentence, context);
    if (parsed.ok) return { said, report: parsed.value };
  }
  return null;
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
