import type { Problem } from "../base";
import { isDate, kindWords, lastOf, typeOf, type AskContext, type Field } from "../catalog";
import { shapeInput, type Group, type Measure, type Report } from "../definition";
import { operators, testsOf, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { shapes, whyNot } from "../shapes";
import { dateGroupOf, tooManyBuckets } from "./parse";

/**
 * What is wrong with a report that did not come from a sentence just parsed: fields and values that are gone,
 * operators and measures that do not fit. After this gives nothing, planning cannot fail.
 */
export function checkReport(report: Report, context: AskContext): Problem[] {
  const { catalog } = context;
  const subject = report.subject.id;
  const problems: Problem[] = [];
  const field = (ids: readonly string[], path: string): Field | undefined => {
    const found = catalog.findPath(subject, ids);
    if (!found) problems.push({ code: "report.noField", message: `there is no field ${ids.join("'s ")} any more`, path });
    return found && lastOf(found);
  };
  if (report.subject.kind !== undefined && !catalog.names.find("kind", report.subject.kind)) problems.push({ code: "report.noKind", message: "this kind of item is gone", path: "subject" });
  testsOf(report.where).forEach((test, i) => problems.push(...checkTest(test, field(test.field, `where ${i + 1}`), `where ${i + 1}`)));
  const checkMeasure = (measure: Measure, path: string) => {
    const kind = measures[measure.measure];
    if (!kind.needsField) return;
    const of = measure.field && field(measure.field, path);
    if (!measure.field || (of && !kind.fits(of))) problems.push({ code: "report.measure", message: `${kind.words} needs ${kind.needs}${of ? `; ${of.words} is ${kindWords(of)}` : ""}`, path });
  };
  const checkGroup = (group: Group, path: string) => {
    const of = field(group.field, path);
    if (of && isDate(of) !== (group.grain !== undefined)) problems.push({ code: "report.grain", message: isDate(of) ? `${of.words} is a date: it needs a stretch, such as month` : `${of.words} is ${kindWords(of)}, not a date`, path });
    for (const value of [...(group.without ?? []), ...(group.folds ?? []).flatMap((fold) => fold.values)]) if (of && !fitsValue(value, of)) problems.push({ code: "report.value", message: `a value does not fit ${of.words}`, path });
    if (group.top?.by) checkMeasure(group.top.by, path);
  };
  if (report.kind === "count") {
    report.measures.forEach((measure, i) => checkMeasure(measure, `measure ${i + 1}`));
    report.by.forEach((group, i) => checkGroup(group, `by ${i + 1}`));
    if (report.split) checkGroup(report.split, "split by");
  } else {
    report.showing.forEach((ids) => field(ids, "showing"));
    report.sorts.forEach((sort) => field(sort.field, "sorted by"));
  }
  if (problems.length) return problems;
  if (report.kind === "count" && report.period && !dateGroupOf(report, context)) problems.push({ code: "report.whichDate", message: "for limits the date of a date group, and there is none", path: "for" });
  const many = tooManyBuckets(report, context);
  if (many) problems.push({ ...many, path: "for" });
  const why = report.shape && whyNot(shapes[report.shape], shapeInput(report));
  if (why) problems.push({ code: "report.shape", message: `${shapes[report.shape!].words} cannot show this: ${why}`, path: "as" });
  return problems;
}

function checkTest(test: Test, field: Field | undefined, path: string): Problem[] {
  if (!field) return [];
  const operator = operators[test.operator];
  if (!operator.fits(field)) return [{ code: "report.operator", message: `${operator.words} needs ${operator.needs}; ${field.words} is ${kindWords(field)}`, path }];
  const many = { nothing: [0, 0], numbers: [2, 2], days: [2, 2], values: [1, 1000] }[operator.takes as string] ?? [1, operator.words.startsWith("include ") ? 1000 : 1];
  if (test.values.length < many[0] || test.values.length > many[1]) return [{ code: "report.values", message: `${operator.words} takes another number of values`, path }];
  const fits = (value: Value) =>
    operator.takes === "text" ? value.kind === "text" : operator.takes === "day" || operator.takes === "days" || operator.takes === "period" ? value.kind === "period" : fitsValue(value, field);
  return test.values.every(fits) ? [] : [{ code: "report.value", message: `a value does not fit ${field.words}`, path }];
}

function fitsValue(value: Value, field: Field): boolean {
  if (value.kind === "unset") return true;
  if (field.thing) return (value.kind === "thing" && value.thing === field.thing) || ["viewer", "current"].includes(value.kind) || (value.kind === "stage" && field.thing === "status");
  if (isDate(field)) return value.kind === "period";
  const { kept } = typeOf(field);
  if (kept === "number") return value.kind === "number";
  if (kept === "flag") return value.kind === "flag";
  return value.kind === "text" || (value.kind === "stage" && field.id === "stage");
}
