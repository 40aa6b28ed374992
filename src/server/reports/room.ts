import type { EmptiedBy, ValueLine } from "@/contract/figures";
import { folded } from "@/core/base";
import { isDate, lastOf, typeOf, type Field } from "@/core/catalog";
import { valueKey, type Dress, type Sort } from "@/core/definition";
import { allOfParts, topParts, type Value } from "@/core/filter";
import type { CountReport, Report, Shown, ShownRecords } from "@/core/kinds";
import {
  defaultShowing,
  planEmptied,
  plannedOf,
  recordsShown,
  type Opened,
  viewOf,
} from "@/core/kinds/planned";

import { type EntityManager, runPlan } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { answerCount, answerRecords } from "./answerReport";

/** A report answered for the screen. @param rows how many records of a list */
export const askFigure = (
  em: EntityManager,
  desk: Desk,
  report: Report,
  dress: Dress,
  rows = 100,
): Promise<Shown> =>
  runPlan(em, plannedOf(report).shown(report, dress, viewOf(report, desk.view), rows));

export interface RecordsWanted {
  readonly opened?: Opened;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: readonly Sort[];
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
  return recordsShown(found, report, viewOf(report, desk.view));
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
            .sort((a, b) => (counts.get(valueKey(b.id)) ?? 0) - (counts.get(valueKey(a.id)) ?? 0))
            .slice(0, MOST_VALUES)
        : found;
    return shown.map((one) => ({
      value: { kind: "thing" as const, thing, id: one.id },
      label: names.printed(thing, one),
      count: counts.get(valueKey(one.id)) ?? 0,
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
