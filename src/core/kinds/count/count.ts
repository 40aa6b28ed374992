import {
  isNumeric,
  lastOf,
  SUBJECT_IDS,
  type AskContext,
  type Catalog,
  type Subject,
  type SubjectId,
} from "../../catalog";
import {
  findPlainMeasure,
  isBareCount,
  isNamed,
  measuredValueOf,
  type Group,
  type Measure,
} from "../../definition";
import { leavesOf, type Leaf } from "../../filter";
import { measures } from "../../measure";
import {
  fieldText,
  forClause,
  parseDateOf,
  groupText,
  measureText,
  parseGroup,
  parseMeasure,
  parseSubject,
  runningClause,
  said,
  shapeClause,
  splitClause,
  stoodClause,
  Stop,
  subjectPiece,
  whereClause,
  type Clause,
  type Cursor,
  type Piece,
} from "../../sentence";
import { COMPARISONS, isBucketGrain, periodText } from "../../time";
import { conflict, defineKind, type Conflict } from "../defineKind";
import { basePlaces, groupPlace, withoutAt, withoutKey, type Place } from "../places";
import { dateGroupOf, dateGroupsOf, groupsOfCount, type CountReport } from "./definition";

type Counted = Pick<CountReport, "measures" | "subject">;

/**
 * measures subject: fields of measures belong to the subject that follows them, so each kind of subject is tried;
 * the attempt that gets furthest tells what is wrong.
 */
function parseCounted(cursor: Cursor, context: AskContext): Counted {
  const start = cursor.at;
  let best: { at: number; stop: Stop } | undefined;
  for (const id of SUBJECT_IDS) {
    cursor.at = start;
    try {
      const counted = parseMeasuresOf(cursor, context, id);
      if (counted.subject.id === id || counted.measures.every(isBareCount)) return counted;
    } catch (stop) {
      if (!(stop instanceof Stop)) throw stop;
      if (!best || cursor.at > best.at) best = { at: cursor.at, stop };
    }
  }
  if (best) throw best.stop;
  return cursor.unexpected();
}

function parseMeasuresOf(cursor: Cursor, context: AskContext, id: SubjectId): Counted {
  const list = [parseMeasure(cursor, context, id)];
  while (cursor.sign(",") || cursor.phrase("and", "keyword")) {
    if (cursor.phrase("of", "keyword"))
      return { measures: list, subject: parseSubject(cursor, context) };
    if (list.length === 6)
      cursor.stop({ code: "sentence.measures", message: "a report has at most six measures" });
    list.push(parseMeasure(cursor, context, id));
  }
  if (!cursor.phrase("of", "keyword") && !list.every(isBareCount)) cursor.unexpected();
  return { measures: list, subject: parseSubject(cursor, context) };
}

/** Measures with conditions of their own are parted by commas, so that no `and` is read twice. */
function measurePieces(list: readonly Measure[], subject: Subject, catalog: Catalog): Piece[] {
  const hasCommas = list.some(
    (measure) => !isNamed(measure) && (measure.where || measure.per?.where),
  );
  const pieces = list.flatMap((measure, index): Piece[] => [
    ...(index === 0 ? [] : [{ text: index === list.length - 1 && !hasCommas ? "and" : "," }]),
    { text: measureText(measure, catalog, subject.id), part: { area: "measure", index } },
  ]);
  if (list.every(isBareCount)) return pieces;
  return [...pieces, ...(hasCommas && list.length > 1 ? [{ text: "," }] : []), { text: "of" }];
}

const byClause: Clause<CountReport> = {
  name: "by",
  words: ["by", "grouped by", "per"],
  read: (cursor, context, report) => {
    report.by = parseGroups(cursor, context, report);
  },
  print: ({ by, subject }, catalog) =>
    by.flatMap((group, index): Piece[] => [
      { text: index === 0 ? "by" : "then" },
      { text: groupText(group, catalog, subject.id), part: { area: "by", index } },
    ]),
};

/** What is known of a record when it is finished is told by when it was. */
const KNOWN_WHEN_FINISHED: ReadonlySet<string> = new Set(["lead time", "cycle time"]);
const isKnownWhenFinished = (measure: Measure): boolean =>
  !isNamed(measure) && KNOWN_WHEN_FINISHED.has(measure.field?.join() ?? "");

function parseGroups(cursor: Cursor, context: AskContext, report: CountReport): Group[] {
  const subject = report.subject.id;
  const date = report.measures.every(isKnownWhenFinished) ? "finished" : undefined;
  const groups = [parseGroup(cursor, context, subject, date)];
  while (cursor.phrase("then", "keyword")) {
    if (groups.length === 3)
      cursor.stop({
        code: "sentence.tiers",
        message: "a report has at most three groups, one within another",
      });
    groups.push(parseGroup(cursor, context, subject, date));
  }
  return groups;
}

/** A period for the only date group, or for the one that is named. */
const forOfClause: Clause<CountReport> = {
  ...forClause,
  read: (cursor, context, report) => {
    forClause.read(cursor, context, report);
    if (cursor.phrase("of", "keyword"))
      report.periodOf = parseDateOf(cursor, context, report.subject.id);
  },
  print: ({ period, periodOf, subject }, catalog) => {
    const of = periodOf ? ` of ${fieldText(catalog, subject.id, periodOf)}` : "";
    return period ? said("for", periodText(period) + of, "period") : [];
  },
};

/** What is read as the same. */
const ALSO_CALLED: Readonly<Record<(typeof COMPARISONS)[number], readonly string[]>> = {
  "the period before": ["the previous period", "the one before", "before"],
  "a year earlier": ["a year ago", "a year before", "the year before"],
};

/** Takes words if they stand here, without offering them. */
function takeWords(cursor: Cursor, words: string): boolean {
  const length = cursor.phraseLength(words);
  cursor.at += length;
  return length > 0;
}

const comparedClause: Clause<CountReport> = {
  name: "compared with",
  words: ["compared with", "compared to", "vs", "versus"],
  read: (cursor, _context, report) => {
    report.compared =
      COMPARISONS.find((how) => cursor.phrase(how, "keyword")) ??
      COMPARISONS.find((how) => ALSO_CALLED[how].some((words) => takeWords(cursor, words))) ??
      cursor.unexpected();
  },
  print: ({ compared }) => (compared ? said("compared with", compared, "compared") : []),
};

function conflicts(report: CountReport, context: AskContext): Conflict[] {
  const found: Conflict[] = [];
  const dated = dateGroupOf(report, context);
  if (report.period && !dated) found.push(whichDate(report, context));
  if (report.runningTotal && !(report.period && dated))
    found.push(
      conflict(
        "running total",
        "runningTotal",
        "a running total needs one group of a date and a period",
        "such as by week of created for last 12 weeks",
      ),
    );
  const stretches = stretchesOf(report);
  if (report.compared && stretches.said === 0 && !stretches.mayBeNamed)
    found.push(
      conflict(
        "compared with",
        "compared",
        "there is no period to compare",
        "say one, such as created during this month so far",
      ),
    );
  if (report.compared && stretches.said > 1)
    found.push(
      conflict(
        "compared with",
        "compared",
        `there are ${stretches.said} periods, and only one can be compared with another`,
        "leave one of them, or ask without comparing",
      ),
    );
  return found;
}

function whichDate(report: CountReport, context: AskContext): Conflict {
  const { catalog } = context;
  const words = (field: readonly string[]) => fieldText(catalog, report.subject.id, field);
  const dated = dateGroupsOf(report, context).map((group) => words(group.field));
  const [problem, hint] = report.periodOf
    ? [
        `there is no group of ${words(report.periodOf)} for the period to limit`,
        `say it as a condition: ${words(report.periodOf)} during ${periodText(report.period!)}`,
      ]
    : dated.length
      ? [
          `there are ${dated.length} groups of dates: ${dated.join(" and ")}`,
          `say which the period limits: for ${periodText(report.period!)} of ${dated[0]}`,
        ]
      : [
          "for limits the date of a date group, and there is none",
          "say which date: created during last 30 days",
        ];
  return conflict("for", "whichDate", problem, hint);
}

/** How many periods a report says that could be others, and whether something that it names may say one. */
function stretchesOf({ period, where, measures: list }: CountReport): {
  said: number;
  mayBeNamed: boolean;
} {
  const wheres = [
    where,
    ...list.flatMap((measure) => (isNamed(measure) ? [] : [measure.where, measure.per?.where])),
  ];
  const leaves = wheres.flatMap(leavesOf);
  const isStretch = (leaf: Leaf): boolean =>
    leaf.kind === "test" ? leaf.operator === "during" : leaf.kind === "became" && !!leaf.during;
  return {
    said: leaves.filter(isStretch).length + (period ? 1 : 0),
    mayBeNamed: list.some(isNamed) || leaves.some((leaf) => leaf.kind === "filter"),
  };
}

function places(report: CountReport): Place[] {
  const plain = withoutKey(report, "shape");
  return [
    ...basePlaces(report),
    ...(report.periodOf
      ? [
          {
            kind: "field" as const,
            path: "for",
            clause: "for",
            field: report.periodOf,
            without: withoutKey(withoutKey(report, "period"), "periodOf"),
          },
        ]
      : []),
    ...report.measures.map((measure, i) => ({
      kind: "measure" as const,
      path: `measure ${i + 1}`,
      clause: "",
      measure,
      without: {
        ...plain,
        measures:
          report.measures.length > 1
            ? withoutAt(report.measures, i)
            : [{ measure: "count" as const }],
      },
    })),
    ...report.by.map((group, i) => ({
      kind: "group" as const,
      path: `by ${i + 1}`,
      clause: "by",
      group,
      without: { ...plain, by: withoutAt(report.by, i) },
    })),
    ...groupPlace(plain, "split", "split by"),
  ];
}

function isOneAmount({ measures: list, subject }: CountReport, catalog: Catalog): boolean {
  const field = measuredValueOf(list, catalog)?.field;
  const path = field && catalog.findPath(subject.id, field);
  return path !== undefined && isNumeric(lastOf(path));
}

export const count = defineKind<CountReport>({
  words: "count",
  tells: "how many, or how much",
  isPast: false,
  isRecords: false,
  opens: [],
  begin: (cursor, context) => ({ kind: "count", ...parseCounted(cursor, context), by: [] }),
  opening: ({ measures: list, subject }, catalog) => [
    ...measurePieces(list, subject, catalog),
    subjectPiece(subject, catalog),
  ],
  clauses: () => [
    whereClause,
    byClause,
    splitClause,
    forOfClause,
    comparedClause,
    runningClause,
    stoodClause,
    shapeClause,
  ],
  needed: () => [],
  conflicts,
  places,
  shapeInput: (report, catalog) => {
    const plain = report.measures.map((measure) => findPlainMeasure(measure, catalog));
    const [first] = report.by;
    return {
      kind: "count",
      groups: report.by.length,
      split: report.split !== undefined,
      measures: report.measures.length,
      beside: false,
      additive: plain.every(
        (measure) => measure && !measure.per && measures[measure.measure].additive,
      ),
      oneValue: isOneAmount(report, catalog),
      isTime: report.by.length === 1 && first.grain !== undefined && isBucketGrain(first.grain),
      hasDays: groupsOfCount(report).some((group) => group.grain === "day"),
    };
  },
  telling: ({ by, split }, part) => {
    if (part.path.length > by.length || (part.split !== undefined && !split)) return null;
    const parted = part.split === undefined ? [] : [[split!, part.split] as const];
    return {
      groups: [...part.path.map((key, i) => [by[i], key] as const), ...parted],
      stretch: null,
    };
  },
  axis: (report, context) => {
    const grain = report.period && dateGroupOf(report, context)?.grain;
    return report.period && grain && isBucketGrain(grain) ? { grain, period: report.period } : null;
  },
});
