import type { Problem } from "../base";
import type { AskContext, Catalog } from "../catalog";
import { shapes, whyNot, type ShapeInput } from "../shapes";
import { hasTooManyBuckets, MOST_BUCKETS, resolvePeriod } from "../time";
import { conflict, type Conflict } from "./defineKind";
import { whyNoDays } from "./personDays";
import { kindOf, type Report } from "./registry";

/** What the shapes ask about a report. */
export const shapeInput = (report: Report, catalog: Catalog): ShapeInput =>
  kindOf(report).shapeInput(report, catalog);

/** What the clauses of a report ask of one another. */
export function conflictsIn(report: Report, context: AskContext): Conflict[] {
  const found = [...kindOf(report).conflicts(report, context)];
  const noDays = whyNoDays(report, context);
  if (noDays) found.push(conflict("where", "days", noDays));
  const many = tooManyBuckets(report, context);
  if (many) found.push({ clause: "for", problem: many });
  const shape = report.shape && shapes[report.shape];
  const why = shape && whyNot(shape, shapeInput(report, context.catalog));
  if (why) found.push(conflict("as", "shape", `${shape.words} cannot show this: ${why}`));
  return found;
}

/** A time axis that could not be drawn whole is refused rather than cut short. */
function tooManyBuckets(report: Report, context: AskContext): Problem | null {
  const axis = kindOf(report).axis(report, context);
  if (!axis) return null;
  const dates = resolvePeriod(axis.period, context.now, context.calendar);
  if (!hasTooManyBuckets(dates, axis.grain)) return null;
  return {
    code: "sentence.manyBuckets",
    message: `this period has more than ${MOST_BUCKETS} stretches of a ${axis.grain}`,
    hint: "take a coarser stretch, such as month",
  };
}
