import { lastOf, type Catalog, type FieldPath, type Subject, type SubjectId } from "../catalog";
import { isNamed, type Group, type Measure, type SimpleMeasure } from "../definition";
import { operators, type Condition, type Leaf, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { periodText } from "../time";
import { nameText, needsQuotes, quoted } from "./words";

/** What stands for a thing that is gone, or that the viewer may not know of. */
export const UNKNOWN = "not known here";

/** What is counted, as a sentence names it. */
export function subjectText(subject: Subject, catalog: Catalog): string {
  const words = catalog.subjectWords(subject);
  if (subject.filter !== undefined) return `filter ${nameText(words)}`;
  const isPlain =
    /^[\p{L}\p{N}_\- ]+$/u.test(words) || (!words.includes(" ") && !needsQuotes(words));
  return isPlain ? words : quoted(words);
}

export function measureText(measure: Measure, catalog: Catalog, subject: SubjectId): string {
  if (isNamed(measure))
    return `measure ${nameText(catalog.findMeasure(measure.named)?.name ?? UNKNOWN)}`;
  return (
    simpleText(measure, catalog, subject) +
    (measure.per ? ` per ${simpleText(measure.per, catalog, subject)}` : "")
  );
}

export function simpleText(measure: SimpleMeasure, catalog: Catalog, subject: SubjectId): string {
  const { words } = measures[measure.measure];
  const of = measure.field
    ? ` ${fieldText(catalog, subject, measure.field)}${measure.unit ? ` in ${measure.working ? "working " : ""}${measure.unit}` : ""}`
    : "";
  return `${words}${of}${measure.where ? ` where ${conditionText(measure.where, catalog, subject)}` : ""}`;
}

/** A field as written: bare where its words are plain, quoted where they would be misread. */
export function fieldText(catalog: Catalog, subject: SubjectId, ids: readonly string[]): string {
  const path = catalog.findPath(subject, ids);
  if (!path) return quoted(UNKNOWN);
  return path
    .map((field) =>
      isMisread(field.words, field.source.kind === "custom") ? quoted(field.words) : field.words,
    )
    .join("'s ");
}

const isMisread = (words: string, custom: boolean): boolean =>
  /[,();:"“”]|['’]s(\s|$)|\s\s|^\s|\s$/.test(words) ||
  (custom && needsQuotes(words.replace(/ /g, "")));

export function groupText(group: Group, catalog: Catalog, subject: SubjectId): string {
  const path = catalog.findPath(subject, group.field);
  const value = (v: Value) => valueText(v, catalog, path);
  const folds = group.folds
    ?.map((fold) => `${fold.values.map(value).join(", ")} as ${nameText(fold.name)}`)
    .join("; ");
  const of = group.cases
    ? `cases (${group.cases.map((one) => `${nameText(one.name)}: ${conditionText(one.where, catalog, subject)}`).join(", ")})`
    : fieldText(catalog, subject, group.field);
  const hidden = [
    ...(group.without ?? []).map((one) => (value(one) === "rest" ? quoted("rest") : value(one))),
    ...(group.withoutRest ? ["rest"] : []),
  ];
  return [
    group.grain ? `${group.grain} of ` : "",
    of,
    group.ranges ? ` in ranges (${group.ranges.join(", ")})` : "",
    folds ? ` folding (${folds})` : "",
    group.top
      ? ` top ${group.top.count}${group.top.by ? ` by ${simpleText(group.top.by, catalog, subject)}` : ""}`
      : "",
    hidden.length ? ` without ${hidden.join(", ")}` : "",
    group.always?.length ? ` always ${group.always.map(value).join(", ")}` : "",
    group.withEmptyGroups ? " with empty groups" : "",
  ].join("");
}

/** Brackets stand where a reader might doubt: around `or` inside `and`, around all but a single test after `not`. */
export function conditionText(
  condition: Condition,
  catalog: Catalog,
  subject: SubjectId,
  inside: "top" | "all" | "any" | "not" = "top",
): string {
  if (condition.kind !== "all" && condition.kind !== "any" && condition.kind !== "not")
    return inside === "not"
      ? `(${leafText(condition, catalog, subject)})`
      : leafText(condition, catalog, subject);
  if (condition.kind === "not")
    return `not ${conditionText(condition.of, catalog, subject, "not")}`;
  const words = condition.of
    .map((part) => conditionText(part, catalog, subject, condition.kind))
    .join(condition.kind === "all" ? " and " : " or ");
  return inside === "top" ? words : `(${words})`;
}

export function leafText(leaf: Leaf, catalog: Catalog, subject: SubjectId): string {
  switch (leaf.kind) {
    case "test":
      return testText(leaf, catalog, subject);
    case "became": {
      const path = catalog.findPath(subject, leaf.field);
      const value = (v: Value) => valueText(v, catalog, path);
      return `${fieldText(catalog, subject, leaf.field)} became ${value(leaf.to)}${leaf.from ? ` after being ${value(leaf.from)}` : ""}${leaf.during ? ` during ${periodText(leaf.during)}` : ""}`;
    }
    case "link":
      return `${leaf.no ? "no " : ""}link ${/^[\p{L}]+( [\p{L}]+)*$/u.test(leaf.link) ? leaf.link : nameText(leaf.link)}${leaf.toIt ? " to it" : ""}`;
    case "filter":
      return `in filter ${nameText(catalog.findFilter(leaf.filter)?.name ?? UNKNOWN)}`;
    case "owes":
      return `owes a weekly word for ${periodText(leaf.during)}`;
  }
}

export function testText(test: Test, catalog: Catalog, subject: SubjectId): string {
  const path = catalog.findPath(subject, test.field);
  const operator = operators[test.operator];
  const value = (v: Value) => valueText(v, catalog, path);
  const head = `${fieldText(catalog, subject, test.field)}${test.asOf ? ` as of ${periodText(test.asOf)}` : ""} ${operator.words}`;
  switch (operator.takes) {
    case "nothing":
      return head;
    case "values":
      return `${head} (${test.values.map(value).join(", ")})`;
    case "numbers": {
      const [low, high] = test.values;
      return `${head} ${low.kind === "number" ? low.number : ""} and ${value(high)}`;
    }
    case "days":
      return `${head} ${test.values.map(value).join(" and ")}`;
    default:
      return operator.words.startsWith("include ")
        ? `${head} (${test.values.map(value).join(", ")})`
        : `${head} ${test.values.map(value).join(", ")}`;
  }
}

export function valueText(value: Value, catalog: Catalog, path?: FieldPath): string {
  switch (value.kind) {
    case "thing": {
      const thing = catalog.names.find(value.thing, value.id);
      return thing ? nameText(catalog.names.printed(value.thing, thing)) : quoted(UNKNOWN);
    }
    case "text":
      return nameText(value.text);
    case "number":
      return value.number + (value.unit ? ` ${value.working ? "working " : ""}${value.unit}` : "");
    case "flag":
      return value.yes ? "yes" : "no";
    case "viewer":
      return value.word;
    case "stage":
      return value.stage === "open" || value.stage === "finished"
        ? value.stage === "finished" && path && !lastOf(path).thing
          ? nameText("finished")
          : value.stage
        : nameText(value.stage);
    case "current":
      return "current";
    case "unset":
      return "not set";
    case "period":
      return periodText(value.period);
  }
}
