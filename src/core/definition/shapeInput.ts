import { isNumeric, lastOf, type Catalog } from "../catalog";
import { measures } from "../measure";
import type { ShapeInput } from "../shapes";
import { findPlainMeasure, measuredValueOf } from "./measure";
import { groupsOf, type CountReport, type Report } from "./report";

/** What the shapes ask about a report. */
export function shapeInput(report: Report, catalog: Catalog): ShapeInput {
  const hasDays = groupsOf(report).some((group) => group.grain === "day");
  if (report.kind !== "count")
    return {
      kind: report.kind,
      groups: 0,
      split: report.kind === "level" && report.split !== undefined,
      measures: 1,
      beside: report.kind === "crossings" && report.beside !== undefined,
      additive: isAdditiveLevel(report),
      oneValue: false,
      isTime: true,
      hasDays,
    };
  const plain = report.measures.map((measure) => findPlainMeasure(measure, catalog));
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
    isTime:
      report.by.length === 1 &&
      report.by[0].grain !== undefined &&
      report.by[0].grain !== "weekday" &&
      report.by[0].grain !== "hour",
    hasDays,
  };
}

function isOneAmount({ measures: list, subject }: CountReport, catalog: Catalog): boolean {
  const field = measuredValueOf(list, catalog)?.field;
  const path = field && catalog.findPath(subject.id, field);
  return path !== undefined && isNumeric(lastOf(path));
}

const isAdditiveLevel = (report: Report): boolean =>
  report.kind === "level" && measures[report.measure?.measure ?? "count"].additive;
