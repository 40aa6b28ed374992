import { percentagesOf } from "@/core/answer";
import { lastOf, pathWords, typeOf, type Field } from "@/core/catalog";
import type { CountReport, Dress, Report } from "@/core/definition";
import { allOfParts, topParts, type Value } from "@/core/filter";
import { figureOf, figureSays } from "@/core/figure";
import { defaultShowing, type Opened, type RecordRow } from "@/core/plan";
import { clockText, dayText, localDay, longDayText, parseInstant } from "@/core/time";
import { durationWords, numberText } from "@/core/base";
import type { ShownFigure, ShownRecords, ValueLine } from "@/contract/room";
import type { EntityManager } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { answerCount, answerRecords, viewOf } from "./answerReport";

export async function askFigure(em: EntityManager, desk: Desk, report: Report, dress: Dress): Promise<ShownFigure> {
  const view = viewOf(report, desk.view);
  const day = localDay(view.now, view.calendar.zone);
  const asOf = view.past && report.stood ? `${longDayText(day)}, as it stood` : clockText(view.now, view.calendar.zone);
  if (report.kind === "list") {
    const records = await askRecords(em, desk, report, { showing: report.showing.length ? report.showing : defaultShowing(report), sorts: report.sorts, offset: 0, limit: 100 });
    return { kind: "list", records, asOf };
  }
  const answer = await answerCount(em, report, desk.view);
  const percentages = percentagesOf(answer, dress.base, dress.decimals);
  const figure = figureOf(answer, percentages, dress, report.shape);
  const says = figureSays(answer, figure, { counted: view.catalog.countedWords(report.subject, answer.total[0].records), date: dayText(day).slice(0, -5) });
  return { kind: "count", answer, percentages, figure, says, asOf };
}

export interface RecordsWanted {
  readonly opened?: Opened;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: Extract<Report, { kind: "list" }>["sorts"];
  readonly offset: number;
  readonly limit: number;
}

/** Records in words, for tables. Unknown columns fall away. */
export async function askRecords(em: EntityManager, desk: Desk, report: Report, wanted: RecordsWanted): Promise<ShownRecords> {
  const { catalog } = desk.view;
  const known = wanted.showing.filter((ids) => catalog.findPath(report.subject.id, ids));
  const showing = known.length ? known : defaultShowing(report);
  const sorts = wanted.sorts.filter((sort) => catalog.findPath(report.subject.id, sort.field));
  const found = await answerRecords(em, report, { ...wanted, showing, sorts }, desk.view);
  const paths = showing.map((ids) => catalog.findPath(report.subject.id, ids)!);
  return {
    count: found.count,
    columns: paths.map((path, i) => ({ field: showing[i], words: pathWords(path), align: typeOf(lastOf(path)).kept === "number" ? "right" : "left" })),
    rows: found.rows.map((row) => ({ id: row.id, key: row.key, cells: cellsOf(row, paths.map(lastOf), desk) })),
  };
}

const cellsOf = (row: RecordRow, fields: readonly Field[], desk: Desk): (string | null)[] =>
  row.values.map((value, i) => (value === null ? null : typeof value === "string" ? cellWords(value, fields[i], desk) : value.length ? value.map((one) => cellWords(one, fields[i], desk) ?? "").filter(Boolean).join(", ") : null));

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

/** The values of a field among the records that a report would count without one of its conditions, with how many each would give. */
export async function askValues(em: EntityManager, desk: Desk, report: Report, ids: readonly string[], except?: number): Promise<ValueLine[]> {
  const path = desk.view.catalog.findPath(report.subject.id, ids);
  if (!path) return [];
  const field = lastOf(path);
  const parts = topParts(report.where).filter((_, index) => index !== except);
  const where = allOfParts(parts);
  const counted: CountReport = { kind: "count", subject: report.subject, measures: [{ measure: "count" }], by: [{ field: [...ids] }], ...(where ? { where } : {}), ...(report.stood ? { stood: report.stood } : {}) };
  const answer = await answerCount(em, counted, desk.view);
  const counts = new Map(answer.rows.map((row) => [row.path[0].key, row.cells[0].records]));
  if (field.thing) {
    const { thing } = field;
    return desk.view.catalog.names.list(thing).map((one) => ({ value: { kind: "thing" as const, thing, id: one.id }, label: desk.view.catalog.names.printed(thing, one), count: counts.get(`v${one.id}`) ?? 0 }));
  }
  return answer.rows.filter((row) => row.path[0].kind === "value").slice(0, 500).map((row) => ({ value: valueOf(row.path[0].name!, field), label: row.path[0].label, count: row.cells[0].records }));
}

function valueOf(name: string, field: Field): Value {
  if (field.id === "stage") return { kind: "stage", stage: name as "waiting" };
  const { kept } = typeOf(field);
  if (kept === "flag") return { kind: "flag", yes: name === "yes" };
  return kept === "number" ? { kind: "number", number: name } : { kind: "text", text: name };
}

