import type { AskContext } from "../catalog";
import { STATUS_IS_OPEN, allOfParts, topParts, type Condition } from "../filter";
import { checkReport, dateGroupOf, shapeInput, type CountReport, type Report } from "../kinds";
import { whyNot, shapes, type ShapeId } from "../shapes";

/** Another way of asking nearly the same. */
export interface Near {
  readonly label: string;
  readonly report: Report;
}

/** Pictures to begin with, the likeliest first; of those that can show a report the first is taken. */
const BY_NUMBER_OF_GROUPS: readonly (readonly ShapeId[])[] = [
  ["number"],
  ["bars", "number"],
  ["stackedBars", "heatMap", "pivot"],
  ["pivot"],
];
const OF_TIME: readonly ShapeId[] = ["columns", "stackedColumns", "line", "pivot"];
const OF_HISTORY: readonly ShapeId[] = [
  "line",
  "area",
  "columns",
  "columnsWithLine",
  "waterfall",
  "planks",
];

/** A report with a picture that fits it, where nobody has chosen one. */
export function pictured(report: Report, context: AskContext): Report {
  if (report.shape) return report;
  const likely = likelyShapes(report, context);
  const input = shapeInput(report, context.catalog);
  const shape = likely.find((one) => whyNot(shapes[one], input) === null);
  return shape ? ({ ...report, shape } as Report) : report;
}

function likelyShapes(report: Report, context: AskContext): readonly ShapeId[] {
  if (report.kind === "list") return ["list"];
  if (report.kind !== "count")
    return report.kind === "crossings" ? ["columns", ...OF_HISTORY] : OF_HISTORY;
  if (dateGroupOf(report, context)) return OF_TIME;
  const groups = report.by.length + (report.split ? 1 : 0);
  return BY_NUMBER_OF_GROUPS[Math.min(groups, 3)];
}

const isOpenTest = (part: Condition): boolean =>
  JSON.stringify(part) === JSON.stringify(STATUS_IS_OPEN);

/** A count by time, of the open ones alone, held against the time before: those of them that are not asked already. */
export function nearTo(report: Report, context: AskContext): readonly Near[] {
  const near: Near[] = [];
  const add = (label: string, other: Report) => {
    if (checkReport(other, context).length === 0) near.push({ label, report: other });
  };
  const parts = topParts(report.where);
  if (report.kind === "list")
    add("how many there are", {
      kind: "count",
      measures: [{ measure: "count" }],
      subject: report.subject,
      by: [],
      ...(report.where ? { where: report.where } : {}),
      ...(report.stood ? { stood: report.stood } : {}),
    });
  if (
    report.subject.id === "items" &&
    report.kind !== "burndown" &&
    report.kind !== "velocity" &&
    !parts.some(isAboutStatus)
  )
    add("only the open ones", {
      ...report,
      where: allOfParts([...parts, STATUS_IS_OPEN]),
    } as Report);
  if (report.kind !== "count") return near;
  if (!dateGroupOf(report, context) && report.by.length < 2) add("by month", byMonth(report));
  if (!report.compared)
    add("compared with the period before", { ...report, compared: "the period before" });
  return near;
}

const isAboutStatus = (part: Condition): boolean =>
  isOpenTest(part) || (part.kind === "test" && ["status", "stage"].includes(part.field[0]));

/** By the date that is told of, or by when they were created. */
function byMonth(report: CountReport): CountReport {
  const dated = topParts(report.where).find(
    (part) => part.kind === "test" && (part.operator === "during" || part.operator === "between"),
  );
  const field = dated?.kind === "test" ? [...dated.field] : ["created"];
  const group = { field, grain: "month" as const };
  return report.by.length
    ? { ...report, by: [group], split: report.by[0] }
    : { ...report, by: [group] };
}
