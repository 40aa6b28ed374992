import { isNamed, NONE, plainMeasure, type Dress } from "../../definition";
import { valuesOf, stretchOf } from "../../filter";

import { nameKey, valueWords, type Figure, type Said } from "../../figure";
import { planned, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { measureText } from "../../sentence";
import { clockText, localDay, longDayText, periodDatesText } from "../../time";
import { numberText } from "../../base";
import { definePlanned, type FigureTable, type NamedGroup, type Note } from "../definePlanned";
import { isNamedBy, sheetNumber } from "../numbers";
import type { Opened } from "../opened";
import { notKnownThen } from "../past";
import { asOfWords, type ShownCount, type ShownDots } from "../shown";
import { speakingOf } from "../speaking";
import { asDrawn, MOST_DRAWN } from "./asDrawn";
import { countBody, dotsBody } from "./body";
import { countAnswer, type CountAnswer } from "./countAnswer";
import { periodTests } from "./counted";
import type { CountReport } from "./definition";
import { dotsAnswer, type DotsAnswer } from "./dotsAnswer";
import { figureOf, isTooLong } from "./figureOf";
import { figureSays } from "./figureSays";
import { percentagesOf } from "./percentages";
import { cutTo, planCount, type CountParts } from "./planCount";
import { planDots } from "./planDots";
import { countSource } from "./source";

/** What a count comes to, as a table. */
export function* answerOfCount(report: CountReport, view: Viewpoint): Plan<CountAnswer> {
  return countAnswer(yield* planCount(report, view));
}

const dotsOf = function* (report: CountReport, view: Viewpoint): Plan<DotsAnswer | null> {
  return report.shape === "dots" ? dotsAnswer(yield* planDots(report, view)) : null;
};

function* shown(report: CountReport, dress: Dress, view: Viewpoint): Plan<ShownCount> {
  const parts = yield* planCount(report, view);
  const given = countAnswer(parts);
  const percentages = percentagesOf(given, dress.base, dress.decimals);
  const figure =
    (yield* cutFigure(parts, given, dress)) ?? figureOf(given, percentages, dress, report.shape);
  const dots = yield* dotsOf(report, view);
  const says = figureSays(given, figure, speakingOf(report, view));
  return {
    kind: "count",
    answer: given,
    percentages,
    figure,
    says: [
      ...says,
      ...(dots ? dotsSay(dots) : []),
      ...(report.stood ? notKnownThen(report, view.catalog) : []),
    ],
    asOf: asOfWords(report, view),
    ...(dots ? { dots: dotsShown(dots, given, dress, view) } : {}),
  };
}

/** The figure of a report with more groups than can be drawn: the largest, and all others as the rest. */
function* cutFigure(parts: CountParts, given: CountAnswer, dress: Dress): Plan<Figure | null> {
  const { report } = parts;
  const groups = given.rows.filter((row) => row.path[0]?.key !== NONE).length;
  const drawn = isTooLong(groups, report.shape) ? asDrawn(report) : null;
  if (!drawn) return null;
  const cut = countAnswer(yield* cutTo(parts, drawn));
  const percentages = percentagesOf(cut, dress.base, dress.decimals);
  return figureOf(cut, percentages, dress, report.shape, groups - MOST_DRAWN);
}

const dotsSay = ({ of, dots }: DotsAnswer): Said[] =>
  of > dots.length
    ? [
        {
          text: ` ${numberText(dots.length)} of ${numberText(of)} are drawn one by one, picked evenly; the lines are of all.`,
        },
      ]
    : [];

const dotsShown = (
  { of, dots }: DotsAnswer,
  { measures: [head] }: CountAnswer,
  dress: Dress,
  { calendar: { zone } }: Viewpoint,
): ShownDots => ({
  of,
  dots: dots.map(({ id, key, at, value }) => ({
    id,
    key,
    at: at / 1000,
    value: Number(value),
    words: valueWords(value, head.unit, dress),
    when: `${longDayText(localDay(at, zone))}, ${clockText(at, zone)}`,
  })),
});

/** Finds the keys of a row from its group values, as the answer gave them. */
function* partNamed(
  report: CountReport,
  group: readonly NamedGroup[],
  split: NamedGroup | undefined,
  view: Viewpoint,
): Plan<Opened | null> {
  if (group.length === 0 && split === undefined) return { path: [] };
  if (group.length > report.by.length) return null;
  const given = yield* answerOfCount(report, view);
  const isWhole = group.length === report.by.length;
  const rows = isWhole ? given.rows : (given.tiers[group.length - 1] ?? []);
  const path =
    group.length === 0
      ? []
      : rows.find((row) => row.path.every((head, i) => isNamedBy(head, group[i])))?.path;
  const part = given.split.find((head) => split !== undefined && isNamedBy(head, split));
  if (!path || (split !== undefined && !part)) return null;
  return { path: path.map((head) => head.key), ...(part ? { split: part.key } : {}) };
}

function table(given: CountAnswer, report: CountReport, dress: Dress): FigureTable {
  const shares = percentagesOf(given, dress.base, 4);
  const hasShares = shares.rows.some((share) => share !== null);
  const name = (place: number | "split", head: { key: string; label: string }) =>
    dress.names[nameKey(place, head.key)] ?? head.label;
  const measures = given.measures.map(
    (measure, i) => dress.names[nameKey("measure", String(i))] ?? measure.words,
  );
  const split = given.split.flatMap((head) =>
    measures.map((words) =>
      measures.length > 1 ? `${name("split", head)}: ${words}` : name("split", head),
    ),
  );
  const groups = report.by.map((group) =>
    group.cases ? "case" : `${group.grain ? `${group.grain} of ` : ""}${group.field.join("'s ")}`,
  );
  const numbers = (cells: readonly { value: string | null }[]) =>
    cells.map((cell) => sheetNumber(cell.value));
  const rows = given.rows.map((row, i) => [
    ...row.path.map((head, tier) => name(tier, head)),
    ...row.parts.flatMap(numbers),
    ...numbers(row.cells),
    ...(hasShares ? [sheetNumber(shares.rows[i])] : []),
    ...(row.before === undefined ? [] : [sheetNumber(row.before?.[0]?.value ?? null)]),
  ]);
  const total = [
    ...(groups.length ? ["All", ...groups.slice(1).map(() => null)] : []),
    ...given.columnTotals.flatMap(numbers),
    ...numbers(given.total),
    ...(hasShares ? [null] : []),
    ...(given.before ? [sheetNumber(given.before[0].value)] : []),
  ];
  return {
    columns: [
      ...groups,
      ...split,
      ...measures,
      ...(hasShares ? ["percent"] : []),
      ...(given.before ? ["before"] : []),
    ],
    rows: [...rows, total],
  };
}

/** What its measures mean, and what it is compared with. */
function notes(report: CountReport, view: Viewpoint): Note[] {
  const { catalog } = view;
  const measureNotes = report.measures.flatMap((measure): Note[] => {
    const plain = plainMeasure(measure, catalog);
    const says = measureText(plain, catalog, report.subject.id);
    if (!isNamed(measure)) return plain.where || plain.per ? [{ about: "measure", says }] : [];
    const { name, means } = catalog.findMeasure(measure.named)!;
    return [{ about: name, says: `${means}: ${says}` }];
  });
  if (!report.compared) return measureNotes;
  const then = { ...view, compared: report.compared };
  const periods = valuesOf(report.where).flatMap((value) =>
    value.kind === "period" ? [value.period] : [],
  );
  const dates = [...periods, ...(report.period ? [report.period] : [])].map((period) =>
    periodDatesText(stretchOf(period, then)),
  );
  const says = [report.compared, ...(dates.length ? [[...new Set(dates)].join("; ")] : [])];
  return [...measureNotes, { about: "compared with", says: says.join(": ") }];
}

export const countPlanned = definePlanned<CountReport, CountAnswer>({
  answer: answerOfCount,
  shown,
  *body(given, report, view, { percent }) {
    const dots = yield* dotsOf(report, view);
    return { ...countBody(given, report, percent), ...(dots ? dotsBody(dots) : {}) };
  },
  table,
  addsUp: () => null,
  source: countSource,
  partNamed,
  notes: (report, view) => planned(notes(report, view)),
  periodTests,
});
