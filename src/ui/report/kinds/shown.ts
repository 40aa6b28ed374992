import type { AskContext } from "@/core/catalog";
import { isBareCount } from "@/core/definition";
import type { Answer, AnswerOf, Drawable, Report, ReportKind, ReportOf } from "@/core/kinds";
import type { SentencePart } from "@/core/sentence";
import { dayText, type Bucket } from "@/core/time";
import type { Trend, TrendAnswer } from "../explore/steps";

/** What tells how records are called. */
interface Calling {
  readonly catalog: Pick<AskContext["catalog"], "countedWords" | "subjectWords">;
}

/** What is shown of one kind of report: nothing of what a builder chooses with, so that tiles and paper are light. */
interface ShownKind<R extends Report, A extends Answer> {
  /** Enough is said for it to be asked. */
  readonly isBegun: (report: R) => boolean;
  /** The parts that are still to be said, each a gap in the headline. */
  readonly gaps?: (report: R) => readonly Gap[];
  /** What it could mean, where its answer asks which. */
  readonly choices?: (report: R, answer: A, context: AskContext) => readonly MeaningChoice[];
  /** It burns down, by working days or by the clock. */
  readonly hasPace: boolean;
  /** Its picture on a tile needs its sentence beside it. */
  readonly tellsInTile?: true;
  /** The trend in it that can be explored. */
  readonly trend?: (report: R, answer: A) => Explored;
  /** In a word: what its figure's number is of. */
  readonly measureWords: (answer: A, report: Report, context: Calling | null) => string;
  /** What its two ends are called. */
  readonly ends?: (report: R) => readonly [string, string];
  /** The stretches of time along it, in its order, and since when (ms) there is anything to tell. */
  readonly axis?: (answer: A) => {
    readonly buckets: readonly (Bucket | undefined)[];
    readonly begins: number | null;
  };
}

export interface Gap {
  readonly part: SentencePart;
  /** The word of the sentence before it. */
  readonly before: string;
  readonly words: string;
}

/** One of several things that a report could mean. */
interface MeaningChoice {
  readonly label: string;
  readonly report: Report;
}

export interface Explored {
  readonly report: Trend;
  readonly answer: TrendAnswer;
}

/** The words of what a report is about, where a measure has none of its own. */
const subjectWords = (_answer: unknown, report: Report, context: Calling | null) =>
  context ? context.catalog.subjectWords(report.subject) : "";

const endText = (moment: string): string =>
  /^\d{4}-\d\d-\d\d/.test(moment) ? dayText(moment.slice(0, 10)) : moment;

const WHICH: Gap = { part: { area: "where", index: 0 }, before: "where", words: "which ones?" };
const WHAT: Gap = { part: { area: "by", index: 0 }, before: "by", words: "what?" };
/** Its sentence is whole as soon as it is begun. */
const WHOLE = { isBegun: () => true, hasPace: false } as const;

const shownKinds = {
  count: {
    isBegun: ({ shape, where, by, measures }) =>
      Boolean(shape || where || by.length || !measures.every(isBareCount)),
    gaps: ({ where, by, shape }) =>
      shape ? [] : [...(where ? [] : [WHICH]), ...(by.length ? [] : [WHAT])],
    hasPace: false,
    measureWords: (answer, report, context) => {
      const [measure] = answer.measures;
      return measure.words === "count" && context
        ? context.catalog.countedWords(report.subject, answer.total[0].value ?? 0)
        : measure.words;
    },
    axis: ({ rows }) => ({
      buckets: rows.map((row) => row.path.find((head) => head.bucket)?.bucket),
      begins: null,
    }),
  },
  list: { ...WHOLE, measureWords: () => "" },
  level: {
    ...WHOLE,
    trend: (report, answer) => ({ report, answer }),
    measureWords: (answer, report, context) =>
      answer.measure.words === "count"
        ? subjectWords(answer, report, context)
        : answer.measure.words,
    axis: ({ rows, begins }) => ({ buckets: rows.map((row) => row.bucket), begins }),
  },
  crossings: {
    ...WHOLE,
    trend: (report, answer) => ({ report, answer }),
    measureWords: (answer, report, context) =>
      answer.which === "both" ? "net" : subjectWords(answer, report, context),
    axis: ({ rows, begins }) => ({ buckets: rows.map((row) => row.bucket), begins }),
  },
  bridge: {
    ...WHOLE,
    measureWords: subjectWords,
    ends: ({ from, to }) => [endText(from), endText(to)],
  },
  burndown: {
    ...WHOLE,
    hasPace: true,
    tellsInTile: true,
    measureWords: subjectWords,
    choices: (report, { choices }, { catalog: { names } }) =>
      choices.flatMap((id) => {
        const sprint = names.find("sprint", id);
        if (!sprint) return [];
        const team = sprint.team === undefined ? undefined : names.find("team", sprint.team);
        const label = team ? `${sprint.label}, ${team.label}` : sprint.label;
        return [{ label, report: { ...report, of: { kind: "sprint", sprint: id } } }];
      }),
  },
  budget: { ...WHOLE, tellsInTile: true, measureWords: () => "left" },
  sCurve: {
    ...WHOLE,
    tellsInTile: true,
    measureWords: ({ of }) => of,
    axis: ({ rows }) => ({ buckets: rows.map((row) => row.bucket), begins: null }),
  },
  velocity: { ...WHOLE, tellsInTile: true, measureWords: subjectWords },
  /** An answer, of whatever kind of report, to who may see none of it. */
  hidden: { ...WHOLE, measureWords: () => "" },
} as const satisfies { readonly [K in ReportKind]: ShownKind<ReportOf<K>, AnswerOf<K>> } & {
  readonly hidden: ShownKind<Report, Answer>;
};

export const shownKindOf = ({
  kind,
}: {
  readonly kind: keyof typeof shownKinds;
}): ShownKind<Report, Answer> => shownKinds[kind] as unknown as ShownKind<Report, Answer>;

/** Whether a picture on a tile needs its sentence beside it. */
export const tellsInTile = (report: Report): boolean => shownKindOf(report).tellsInTile === true;

/** In a word: what a figure's number is of. */
export const measureWords = (
  { answer }: Drawable,
  report: Report,
  context: Calling | null,
): string => shownKindOf(answer).measureWords(answer, report, context);

/** The trend in a figure that can be explored. */
export const trendOf = (report: Report, drawn: Drawable | null): Explored | null =>
  drawn && drawn.answer.kind === report.kind
    ? (shownKindOf(report).trend?.(report, drawn.answer) ?? null)
    : null;

/** What a figure could mean, where the reader has to say which. */
export const choicesOf = (
  report: Report,
  { answer }: Drawable,
  context: AskContext,
): readonly MeaningChoice[] =>
  answer.kind === report.kind ? (shownKindOf(report).choices?.(report, answer, context) ?? []) : [];
