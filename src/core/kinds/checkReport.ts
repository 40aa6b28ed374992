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
  type ThingType,
} from "../catalog";
import {
  findPlainMeasure,
  isNamed,
  type Group,
  type Measure,
  type SimpleMeasure,
} from "../definition";
import { operators, type Condition, type Leaf, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { isMoved, isOfItem, whyNoRatio } from "../sentence";
import { conflictsIn } from "./conflicts";
import { isHistory, type Report } from "./registry";
import { visitPlaces, visitReport, type Visitor } from "./visit";

/**
 * What is wrong with a report that did not come from a sentence just parsed: fields and values that are gone,
 * operators and measures that do not fit. After this gives nothing, planning cannot fail.
 */
export function checkReport(report: Report, context: AskContext): Problem[] {
  const check = new Check(report.subject.id, context);
  check.subject(report);
  visitReport(report, check);
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
  if (where)
    visitPlaces(
      [{ kind: "condition", path: "where", clause: "", condition: where, without: null }],
      check,
    );
  return check.problems;
}

/** The same for a measure alone. */
export function checkMeasure(measure: Measure, subject: SubjectId, context: AskContext): Problem[] {
  const check = new Check(subject, context);
  visitPlaces([{ kind: "measure", path: "measure", clause: "", measure, without: null }], check);
  return check.problems;
}

/** Collects what is wrong with each thing that a walk comes to. */
class Check implements Visitor {
  readonly problems: Problem[] = [];

  constructor(
    private readonly id: SubjectId,
    private readonly context: AskContext,
  ) {}

  private add(code: string, message: string, path: string): void {
    this.problems.push({ code: `report.${code}`, message, path });
  }

  private find(ids: readonly string[]): FieldPath | undefined {
    return this.context.catalog.findPath(this.id, ids);
  }

  subject(report: Report): void {
    const { subject } = report;
    const { catalog } = this.context;
    if (subject.kind !== undefined && !catalog.names.find("kind", subject.kind))
      this.add("noKind", "this kind of item is gone", "subject");
    if (isHistory(report) && subject.id !== "items")
      this.add("noPast", "only items have a past", "subject");
    if (subject.filter === undefined) return;
    const filter = catalog.findFilter(subject.filter);
    if (!filter) this.add("noFilter", "this saved filter is gone, or not yours to see", "subject");
    else if (filter.subject.id !== subject.id || filter.subject.kind !== subject.kind)
      this.add("filterSubject", "this saved filter is of another subject", "subject");
  }

  thing(thing: ThingType, id: number, path: string): void {
    if (!this.context.catalog.names.find(thing, id))
      this.add("noThing", `this ${thing} is gone, or not yours to see`, path);
  }

  field(ids: readonly string[], path: string): void {
    if (!this.find(ids)) this.add("noField", `there is no field ${ids.join("'s ")} any more`, path);
  }

  leaf(leaf: Leaf, path: string): void {
    if (leaf.kind === "test") this.test(leaf, path);
    else if (leaf.kind === "became") this.became(leaf, path);
    else if (leaf.kind === "link") this.link(leaf.link, path);
    else if (leaf.kind === "owes") this.owes(path);
    else this.inFilter(leaf.filter, path);
  }

  private became(leaf: Extract<Leaf, { kind: "became" }>, path: string): void {
    const found = this.find(leaf.field);
    if (!found) return;
    const field = lastOf(found);
    if (!isMoved(found, this.id))
      return this.add(
        "operator",
        `became needs a field whose moves are kept; ${field.words} is none`,
        path,
      );
    const values = [leaf.to, ...(leaf.from ? [leaf.from] : [])];
    if (!values.every((value) => fitsValue(value, field)))
      this.add("value", `a value does not fit ${field.words}`, path);
  }

  private link(link: string, path: string): void {
    if (this.id !== "items") this.add("link", "only items are linked", path);
    else if (!this.context.catalog.links.includes(link))
      this.add("noLink", `no items are linked by "${link}"`, path);
  }

  private owes(path: string): void {
    if (this.id !== "projects") this.add("owes", "only projects owe weekly words", path);
  }

  private inFilter(id: number, path: string): void {
    const filter = this.context.catalog.findFilter(id);
    if (!filter) this.add("noFilter", "a saved filter is gone, or not yours to see", path);
    else if (filter.subject.id !== this.id)
      this.add("filterSubject", `the saved filter ${filter.name} is of another subject`, path);
  }

  private test(test: Test, path: string): void {
    const found = this.find(test.field);
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
    // What a name stands for is checked as if it were said.
    if (isNamed(measure))
      visitPlaces([{ kind: "measure", path, clause: "", measure: plain, without: null }], this);
    const why = whyNoRatio(plain, this.context, this.id);
    if (why) this.add("measure", why, path);
  }

  term(term: SimpleMeasure, path: string): void {
    const kind = measures[term.measure];
    if (!kind.needsField) return;
    const found = term.field && this.find(term.field);
    const of = found && lastOf(found);
    if (!term.field || (of && !kind.fits(of)))
      return this.add(
        "measure",
        `${kind.words} needs ${kind.needs}${of ? `; ${of.words} is ${kindWords(of)}` : ""}`,
        path,
      );
    if (of && term.working && !(of.timed && term.unit))
      this.add("working", `${of.words} cannot be told in working time`, path);
  }

  group(group: Group, path: string): void {
    if (group.withoutRest && !group.top)
      this.add("withoutRest", "there is no rest to leave out: say a top, such as top 5", path);
    const found = group.cases ? undefined : this.find(group.field);
    if (!found) return;
    const of = lastOf(found);
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
    const named = [
      ...(group.without ?? []),
      ...(group.always ?? []),
      ...(group.folds ?? []).flatMap((fold) => fold.values),
    ];
    for (const value of named)
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
