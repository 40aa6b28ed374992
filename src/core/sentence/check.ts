import type { Problem } from "../base";
import {
  isDate,
  isNumeric,
  kindWords,
  lastOf,
  typeOf,
  type AskContext,
  type Field,
  type FieldPath,
  type SubjectId,
} from "../catalog";
import {
  findPlainMeasure,
  type Group,
  type Measure,
  type Report,
  type SimpleMeasure,
} from "../definition";
import { leavesOf, operators, type Condition, type Leaf, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { isMoved, isOfItem } from "./conditions";
import { whyNoRatio } from "./measures";
import { conflictsIn } from "./together";

/**
 * What is wrong with a report that did not come from a sentence just parsed: fields and values that are gone,
 * operators and measures that do not fit. After this gives nothing, planning cannot fail.
 */
export function checkReport(report: Report, context: AskContext): Problem[] {
  const check = new Check(report.subject.id, context);
  check.subject(report);
  check.condition(report.where, "where");
  switch (report.kind) {
    case "count":
      report.measures.forEach((measure, i) => check.measure(measure, `measure ${i + 1}`));
      report.by.forEach((group, i) => check.group(group, `by ${i + 1}`));
      if (report.split) check.group(report.split, "split by");
      break;
    case "list":
      if (report.by) check.group(report.by, "grouped by");
      report.showing.forEach((ids) => check.field(ids, "showing"));
      report.sorts.forEach((sort) => check.field(sort.field, "sorted by"));
      break;
    case "level":
      if (report.split) check.group(report.split, "split by");
      break;
    default:
      break;
  }
  if (report.kind !== "count" && report.kind !== "list") check.ofItems(report);
  if (
    (report.kind === "level" || report.kind === "crossings" || report.kind === "bridge") &&
    report.measure
  )
    check.simple(report.measure, "measure 1");
  if (check.problems.length) return check.problems;
  return conflictsIn(report, context).map(({ clause, problem }) => ({
    ...problem,
    code: problem.code
      .replace("sentence.which", "report.which")
      .replace("sentence.shape", "report.shape"),
    path: clause,
  }));
}

/** The same for a condition alone, such as that of a saved filter. */
export function checkCondition(
  where: Condition | undefined,
  subject: SubjectId,
  context: AskContext,
): Problem[] {
  const check = new Check(subject, context);
  check.condition(where, "where");
  return check.problems;
}

/** The same for a measure alone. */
export function checkMeasure(measure: Measure, subject: SubjectId, context: AskContext): Problem[] {
  const check = new Check(subject, context);
  check.measure(measure, "measure");
  return check.problems;
}

class Check {
  readonly problems: Problem[] = [];

  constructor(
    private readonly id: SubjectId,
    private readonly context: AskContext,
  ) {}

  private add(code: string, message: string, path: string): void {
    this.problems.push({ code: `report.${code}`, message, path });
  }

  private path(ids: readonly string[], path: string): FieldPath | undefined {
    const found = this.context.catalog.findPath(this.id, ids);
    if (!found) this.add("noField", `there is no field ${ids.join("'s ")} any more`, path);
    return found;
  }

  field(ids: readonly string[], path: string): Field | undefined {
    const found = this.path(ids, path);
    return found && lastOf(found);
  }

  subject({ subject }: Report): void {
    const { catalog } = this.context;
    if (subject.kind !== undefined && !catalog.names.find("kind", subject.kind))
      this.add("noKind", "this kind of item is gone", "subject");
    if (subject.filter === undefined) return;
    const filter = catalog.findFilter(subject.filter);
    if (!filter) this.add("noFilter", "this saved filter is gone, or not yours to see", "subject");
    else if (filter.subject.id !== subject.id || filter.subject.kind !== subject.kind)
      this.add("filterSubject", "this saved filter is of another subject", "subject");
  }

  ofItems(report: Report): void {
    if (report.subject.id !== "items") this.add("noPast", "only items have a past", "subject");
    const { names } = this.context.catalog;
    const gone = (what: string) =>
      this.add("noThing", `this ${what} is gone, or not yours to see`, what);
    if (
      report.kind === "burndown" &&
      report.of.kind === "sprint" &&
      !names.find("sprint", report.of.sprint)
    )
      gone("sprint");
    if (
      report.kind === "burndown" &&
      report.of.kind === "release" &&
      !names.find("release", report.of.release)
    )
      gone("release");
    if (report.kind === "velocity" && report.team !== null && !names.find("team", report.team))
      gone("team");
  }

  condition(where: Condition | undefined, path: string): void {
    leavesOf(where).forEach((leaf, i) => this.leaf(leaf, `${path} ${i + 1}`));
  }

  private leaf(leaf: Leaf, path: string): void {
    const { catalog } = this.context;
    switch (leaf.kind) {
      case "test":
        return this.test(leaf, path);
      case "became": {
        const found = this.path(leaf.field, path);
        if (!found) return;
        if (!isMoved(found, this.id))
          return this.add(
            "operator",
            `became needs a field whose moves are kept; ${lastOf(found).words} is none`,
            path,
          );
        if (
          ![leaf.to, ...(leaf.from ? [leaf.from] : [])].every((value) =>
            fitsValue(value, lastOf(found)),
          )
        )
          this.add("value", `a value does not fit ${lastOf(found).words}`, path);
        return;
      }
      case "link":
        if (this.id !== "items") this.add("link", "only items are linked", path);
        else if (!catalog.links.includes(leaf.link))
          this.add("noLink", `no items are linked by "${leaf.link}"`, path);
        return;
      case "filter": {
        const filter = catalog.findFilter(leaf.filter);
        if (!filter) this.add("noFilter", "a saved filter is gone, or not yours to see", path);
        else if (filter.subject.id !== this.id)
          this.add("filterSubject", `the saved filter ${filter.name} is of another subject`, path);
      }
    }
  }

  private test(test: Test, path: string): void {
    const found = this.path(test.field, path);
    if (!found) return;
    const field = lastOf(found);
    const operator = operators[test.operator];
    if (test.asOf && !isOfItem(found, this.id))
      return this.add("operator", `only items have a past; ${field.words} is of none`, path);
    if (!operator.fits(field))
      return this.add(
        "operator",
        `${operator.words} needs ${operator.needs}; ${field.words} is ${kindWords(field)}`,
        path,
      );
    const many = { nothing: [0, 0], numbers: [2, 2], days: [2, 2], values: [1, 1000] }[
      operator.takes as string
    ] ?? [1, operator.words.startsWith("include ") ? 1000 : 1];
    if (test.values.length < many[0] || test.values.length > many[1])
      return this.add("values", `${operator.words} takes another number of values`, path);
    const fits = (value: Value) =>
      operator.takes === "text"
        ? value.kind === "text"
        : operator.takes === "day" || operator.takes === "days" || operator.takes === "period"
          ? value.kind === "period"
          : fitsValue(value, field);
    if (!test.values.every(fits)) this.add("value", `a value does not fit ${field.words}`, path);
  }

  measure(measure: Measure, path: string): void {
    const plain = findPlainMeasure(measure, this.context.catalog);
    if (!plain) return this.add("noMeasure", "this named measure is gone", path);
    this.simple(plain, path);
    if (plain.per) this.simple(plain.per, path);
    const why = whyNoRatio(plain, this.context, this.id);
    if (why) this.add("measure", why, path);
  }

  simple(measure: SimpleMeasure, path: string): void {
    this.condition(measure.where, path);
    const kind = measures[measure.measure];
    if (!kind.needsField) return;
    const of = measure.field && this.field(measure.field, path);
    if (!measure.field || (of && !kind.fits(of)))
      return this.add(
        "measure",
        `${kind.words} needs ${kind.needs}${of ? `; ${of.words} is ${kindWords(of)}` : ""}`,
        path,
      );
    if (of && measure.working && !(of.timed && measure.unit))
      this.add("working", `${of.words} cannot be told in working time`, path);
  }

  group(group: Group, path: string): void {
    if (group.top?.by) this.simple(group.top.by, path);
    if (group.cases) return group.cases.forEach((one) => this.condition(one.where, path));
    const of = this.field(group.field, path);
    if (!of) return;
    if (isDate(of) !== (group.grain !== undefined))
      this.add(
        "grain",
        isDate(of)
          ? `${of.words} is a date: it needs a stretch, such as month`
          : `${of.words} is ${kindWords(of)}, not a date`,
        path,
      );
    if (group.ranges && (!isNumeric(of) || of.many))
      this.add("ranges", `${of.words} is ${kindWords(of)}; ranges are of a number`, path);
    if (group.ranges?.some((border, i) => i > 0 && Number(border) <= Number(group.ranges![i - 1])))
      this.add("ranges", "the borders of ranges rise from one to the next", path);
    for (const value of [
      ...(group.without ?? []),
      ...(group.always ?? []),
      ...(group.folds ?? []).flatMap((fold) => fold.values),
    ])
      if (!fitsValue(value, of)) this.add("value", `a value does not fit ${of.words}`, path);
  }
}

function fitsValue(value: Value, field: Field): boolean {
  if (value.kind === "unset") return true;
  if (field.thing)
    return (
      (value.kind === "thing" && value.thing === field.thing) ||
      ["viewer", "current"].includes(value.kind) ||
      (value.kind === "stage" && field.thing === "status")
    );
  if (isDate(field)) return value.kind === "period";
  const { kept } = typeOf(field);
  if (kept === "number") return value.kind === "number";
  if (kept === "flag") return value.kind === "flag";
  return value.kind === "text" || (value.kind === "stage" && field.id === "stage");
}
