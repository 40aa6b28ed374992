import {
  percentagesOf,
  type CountAnswer,
  type DotsAnswer,
  type HistoryAnswer,
} from "@/core/answer";
import { isDate, lastOf, pathWords, typeOf, type Field } from "@/core/catalog";
import {
  asDrawn,
  MOST_DRAWN,
  unknownThen,
  type CountReport,
  type Dress,
  type Report,
} from "@/core/definition";
import { allOfParts, topParts, type Value } from "@/core/filter";
import {
  figureOf,
  figureSays,
  historyFigure,
  historySays,
  isTooLong,
  valueWords,
  whyBlank,
  type Figure,
  type Said,
} from "@/core/figure";
import { paceOf } from "@/core/history";
import {
  defaultShowing,
  isHistory,
  planEmptied,
  type DecidingStep,
  type HistoryReport,
  type Opened,
  type RecordRow,
} from "@/core/plan";
import type { Viewpoint } from "@/core/sql";
import {
  addDays,
  clockText,
  dayText,
  endOfDay,
  isWorkingDay,
  localDay,
  longDayText,
  parseInstant,
  startOfDay,
  weekdayOf,
  WEEKDAYS,
} from "@/core/time";
import { durationWords, folded, numberText } from "@/core/base";
import type {
  EmptiedBy,
  ShownDots,
  ShownFigure,
  ShownPace,
  ShownRecord,
  ShownRecords,
  ValueLine,
} from "@/contract/room";
import { type EntityManager, runPlan } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { answerCount, answerDots, answerHistory, answerRecords, viewOf } from "./answerReport";

export async function askFigure(
  em: EntityManager,
  desk: Desk,
  report: Report,
  dress: Dress,
  rows = 100,
): Promise<ShownFigure> {
  const view = viewOf(report, desk.view);
  const day = localDay(view.now, view.calendar.zone);
  const asOf = asOfWords(report, view);
  if (report.kind === "list") {
    const records = await askRecords(em, desk, report, {
      showing: report.showing.length ? report.showing : defaultShowing(report),
      sorts: report.sorts,
      offset: 0,
      limit: rows,
    });
    return { kind: "list", records, asOf };
  }
  if (isHistory(report))
    return historyShown(await answerHistory(em, report, desk.view, false), report, dress, view);
  const answer = await answerCount(em, report, desk.view);
  const percentages = percentagesOf(answer, dress.base, dress.decimals);
  const figure =
    (await drawnFigure(em, desk, report, answer, dress)) ??
    figureOf(answer, percentages, dress, report.shape);
  const says = figureSays(answer, figure, {
    counted: view.catalog.countedWords(report.subject, answer.total[0].records),
    date: dayText(day).slice(0, -5),
    ...(report.compared ? { compared: report.compared } : {}),
  });
  const drawn = report.shape === "dots" ? await answerDots(em, report, desk.view) : null;
  return {
    kind: "count",
    answer,
    percentages,
    figure,
    says: [...says, ...(drawn ? dotsSay(drawn) : []), ...notKnownThen(report, view)],
    asOf,
    ...(drawn ? { dots: dotsShown(drawn, answer, dress, view) } : {}),
  };
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
  { calendar }: Viewpoint,
): ShownDots => ({
  of,
  dots: dots.map(({ id, key, at, value }) => ({
    id,
    key,
    at: at / 1000,
    value: Number(value),
    words: valueWords(value, head.unit, dress),
    when: `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`,
  })),
});

/** What an earlier instant does not tell, said under the figure. */
function notKnownThen(report: Report, { catalog }: Viewpoint): Said[] {
  const unknown = report.stood || isHistory(report) ? unknownThen(report, catalog) : [];
  return unknown.length
    ? [{ text: ` Not known of then, and taken as it is now: ${unknown.join(", ")}.` }]
    : [];
}

const asOfWords = (report: Report, view: Viewpoint): string =>
  view.past && report.stood
    ? `${longDayText(localDay(view.now, view.calendar.zone))}, as it stood`
    : clockText(view.now, view.calendar.zone);

/** The figure of a report with more groups than can be drawn: the largest, and all others as the rest. */
async function drawnFigure(
  em: EntityManager,
  desk: Desk,
  report: CountReport,
  answer: CountAnswer,
  dress: Dress,
): Promise<Figure | null> {
  const groups = answer.rows.filter((row) => row.path[0]?.kind !== "none").length;
  const drawn = isTooLong(groups, report.shape) ? asDrawn(report) : null;
  if (!drawn) return null;
  const cut = await answerCount(em, drawn, desk.view);
  return figureOf(
    cut,
    percentagesOf(cut, dress.base, dress.decimals),
    dress,
    report.shape,
    groups - MOST_DRAWN,
  );
}

export function historyShown(
  answer: HistoryAnswer,
  report: HistoryReport,
  dress: Dress,
  view: Viewpoint,
): ShownFigure & { readonly kind: "history" } {
  const words = view.catalog.subjectWords(report.subject);
  const pace =
    answer.kind === "burndown" && answer.burndown ? { pace: paceShown(answer, view) } : {};
  const blank = whyBlank(answer, words, view.calendar);
  return {
    kind: "history",
    answer,
    figure: historyFigure(answer, dress),
    says: [...historySays(answer, words, view.calendar), ...notKnownThen(report, view)],
    asOf: asOfWords(report, view),
    ...pace,
    ...(blank ? { blank } : {}),
  };
}

/** The guide lines of a burndown, and the local days under it with those that are not worked named. */
function paceShown(
  { burndown, span }: Extract<HistoryAnswer, { kind: "burndown" }>,
  { calendar }: Viewpoint,
): ShownPace {
  const { committed } = burndown!;
  const days: ShownPace["days"][number][] = [];
  const last = Math.max(span!.end, burndown!.until);
  for (
    let day = localDay(span!.start, calendar.zone);
    startOfDay(day, calendar.zone) <= last;
    day = addDays(day, 1)
  ) {
    const works = isWorkingDay(day, calendar);
    days.push({
      day,
      start: startOfDay(day, calendar.zone),
      end: endOfDay(day, calendar.zone),
      works,
      name: works ? null : calendar.holidays.has(day) ? "holiday" : WEEKDAYS[weekdayOf(day) - 1],
    });
  }
  return {
    working: paceOf(committed, span!, "working", calendar),
    clock: paceOf(committed, span!, "clock", calendar),
    days,
  };
}

export interface RecordsWanted {
  readonly opened?: Opened;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: Extract<Report, { kind: "list" }>["sorts"];
  readonly offset: number;
  readonly limit: number;
}

/** Records in words, for tables. Unknown columns fall away. */
export async function askRecords(
  em: EntityManager,
  desk: Desk,
  report: Report,
  wanted: RecordsWanted,
): Promise<ShownRecords> {
  const { catalog } = desk.view;
  const known = wanted.showing.filter((ids) => catalog.findPath(report.subject.id, ids));
  const showing = known.length ? known : defaultShowing(report);
  const sorts = wanted.sorts.filter((sort) => catalog.findPath(report.subject.id, sort.field));
  const found = await answerRecords(em, report, { ...wanted, showing, sorts }, desk.view);
  const paths = showing.map((ids) => catalog.findPath(report.subject.id, ids)!);
  return {
    count: found.count,
    columns: paths.map((path, i) => ({
      field: showing[i],
      words: pathWords(path),
      align: !lastOf(path).many && typeOf(lastOf(path)).kept === "number" ? "right" : "left",
    })),
    rows: found.rows.map((row) => ({
      id: row.id,
      key: row.key,
      cells: cellsOf(row, paths.map(lastOf), desk),
      ...(row.decided ? { decided: decidedWords(row.decided, desk) } : {}),
    })),
  };
}

/** The step that decided, in words; what the viewer may not know reads as not set. */
function decidedWords(
  { at, kind, moves }: DecidingStep,
  desk: Desk,
): NonNullable<ShownRecord["decided"]> {
  const { catalog, calendar } = desk.view;
  const words = (field: string, value: string | null) =>
    (value === null ? null : cellWords(value, lastOf(catalog.findPath("items", [field])!), desk)) ??
    "not set";
  const by = moves.find((move) => move.by !== null)?.by ?? null;
  return {
    what:
      kind === "moved"
        ? moves
            .map(
              (move) =>
                `${move.field}: ${words(move.field, move.from)} → ${words(move.field, move.to)}`,
            )
            .join(", ")
        : kind,
    when: `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`,
    by: by === null ? null : (catalog.names.find("person", by)?.label ?? null),
  };
}

const cellsOf = (row: RecordRow, fields: readonly Field[], desk: Desk): (string | null)[] =>
  row.values.map((value, i) =>
    value === null
      ? null
      : typeof value === "string"
        ? cellWords(value, fields[i], desk)
        : value.length
          ? value
              .map((one) => cellWords(one, fields[i], desk) ?? "")
              .filter(Boolean)
              .join(", ")
          : null,
  );

/** A value in words: names, dates with their weekday, durations as "3 d 4 h". */
export function cellWords(value: string, field: Field, desk: Desk): string | null {
  if (field.thing) return desk.view.catalog.names.find(field.thing, Number(value))?.label ?? null;
  const { kept } = typeOf(field);
  if (kept === "instant") {
    const instant = parseInstant(value);
    if (instant === null) return value;
    const { zone } = desk.view.calendar;
    return `${longDayText(localDay(instant, zone))}, ${clockText(instant, zone)}`;
  }
  if (kept === "day") return longDayText(value);
  if (field.type === "duration") return durationWords(Number(value));
  return kept === "number" ? numberText(value) : value;
}

const MOST_VALUES = 200;

/** The values of a field among the records that a report would count without one of its conditions, with how many each would give; those whose names hold some words, if any are given. */
export async function askValues(
  em: EntityManager,
  desk: Desk,
  report: Report,
  ids: readonly string[],
  except?: number,
  words = "",
): Promise<ValueLine[]> {
  const path = desk.view.catalog.findPath(report.subject.id, ids);
  if (!path) return [];
  const field = lastOf(path);
  if (isDate(field)) return [];
  const parts = topParts(report.where).filter((_, index) => index !== except);
  const where = allOfParts(parts);
  const counted: CountReport = {
    kind: "count",
    subject: report.subject,
    measures: [{ measure: "count" }],
    by: [{ field: [...ids] }],
    ...(where ? { where } : {}),
    ...(report.stood ? { stood: report.stood } : {}),
  };
  const answer = await answerCount(em, counted, desk.view);
  const counts = new Map(answer.rows.map((row) => [row.path[0].key, row.cells[0].records]));
  const wanted = folded(words.trim());
  if (field.thing) {
    const { thing } = field;
    const { names } = desk.view.catalog;
    const found = names
      .list(thing)
      .filter(
        (one) => !wanted || folded(one.label).includes(wanted) || folded(one.name).includes(wanted),
      );
    // Where there are more than can be shown, those with records come first.
    const shown =
      found.length > MOST_VALUES
        ? [...found]
            .sort((a, b) => (counts.get(`v${b.id}`) ?? 0) - (counts.get(`v${a.id}`) ?? 0))
            .slice(0, MOST_VALUES)
        : found;
    return shown.map((one) => ({
      value: { kind: "thing" as const, thing, id: one.id },
      label: names.printed(thing, one),
      count: counts.get(`v${one.id}`) ?? 0,
      ...(thing === "person" && one.team !== undefined
        ? { about: names.find("team", one.team)?.label ?? "" }
        : {}),
    }));
  }
  return answer.rows
    .filter(
      (row) =>
        row.path[0].kind === "value" && (!wanted || folded(row.path[0].label).includes(wanted)),
    )
    .slice(0, MOST_VALUES)
    .map((row) => ({
      value: valueOf(row.path[0].name!, field),
      label: row.path[0].label,
      count: row.cells[0].records,
    }));
}

/** Which conditions empty a figure: for each, how many there would be without it. */
export async function askEmptied(
  em: EntityManager,
  desk: Desk,
  report: Report,
): Promise<EmptiedBy[]> {
  const without = await runPlan(em, planEmptied(report, viewOf(report, desk.view)));
  return without
    .map((count, index) => ({ index, without: count }))
    .filter(({ without: count }) => count > 0)
    .sort((a, b) => b.without - a.without);
}

function valueOf(name: string, field: Field): Value {
  if (field.id === "stage") return { kind: "stage", stage: name as "waiting" };
  const { kept } = typeOf(field);
  if (kept === "flag") return { kind: "flag", yes: name === "yes" };
  return kept === "number" ? { kind: "number", number: name } : { kind: "text", text: name };
}
