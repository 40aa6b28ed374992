import { lastOf, type Catalog, type FieldPath, type SubjectId } from "../catalog";
import type { Group, Measure, Report } from "../definition";
import { operators, topParts, type Condition, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { shapes } from "../shapes";
import { periodText } from "../time";
import { nameText, needsQuotes, quoted } from "./words";

/** Which part of a report a piece of its sentence is: what its button opens. */
export type Part =
  | { readonly area: "measure"; readonly index: number }
  | { readonly area: "subject" | "split" | "period" | "runningTotal" | "stood" | "shape" | "showing" | "sorts" }
  | { readonly area: "where" | "by"; readonly index: number };

/** A piece of the sentence: a part that can be changed, or the words that join (which have no part). */
export interface Piece {
  readonly text: string;
  readonly part?: Part;
}

/** What stands for a thing that is gone, or that the viewer may not know of. */
export const UNKNOWN = "not known here";

/** The sentence in its one wording: parsing it again gives the same report. */
export const printReport = (report: Report, catalog: Catalog): string => piecesText(sentencePieces(report, catalog));

export const piecesText = (pieces: readonly Piece[]): string => pieces.map(({ text }, i) => (i === 0 || text === "," ? text : ` ${text}`)).join("");

/** The sentence piece by piece. */
export function sentencePieces(report: Report, catalog: Catalog): Piece[] {
  const subject = report.subject.id;
  const pieces: Piece[] = report.kind === "list" ? [{ text: "list" }] : measurePieces(report.measures, catalog, subject);
  pieces.push({ text: subjectText(report, catalog), part: { area: "subject" } });
  topParts(report.where).forEach((condition, index, all) => {
    pieces.push({ text: index === 0 ? "where" : "and" });
    pieces.push({ text: conditionText(condition, catalog, subject, all.length > 1 ? "all" : "top"), part: { area: "where", index } });
  });
  if (report.kind === "count") {
    report.by.forEach((group, index) => pieces.push({ text: index === 0 ? "by" : "then" }, { text: groupText(group, catalog, subject), part: { area: "by", index } }));
    if (report.split) pieces.push({ text: "split by" }, { text: groupText(report.split, catalog, subject), part: { area: "split" } });
  }
  if (report.kind === "count" && report.period) pieces.push({ text: "for" }, { text: periodText(report.period), part: { area: "period" } });
  if (report.kind === "count" && report.runningTotal) pieces.push({ text: "running total", part: { area: "runningTotal" } });
  if (report.kind === "list") {
    const path = (ids: readonly string[]) => fieldText(catalog, subject, ids);
    if (report.showing.length) pieces.push({ text: "showing" }, { text: report.showing.map(path).join(", "), part: { area: "showing" } });
    if (report.sorts.length) pieces.push({ text: "sorted by" }, { text: report.sorts.map((sort) => path(sort.field) + (sort.descending ? " descending" : "")).join(", "), part: { area: "sorts" } });
  }
  if (report.stood) pieces.push({ text: "as it stood on" }, { text: report.stood, part: { area: "stood" } });
  if (report.shape) pieces.push({ text: "as" }, { text: shapes[report.shape].words, part: { area: "shape" } });
  return pieces;
}

function measurePieces(list: readonly Measure[], catalog: Catalog, subject: SubjectId): Piece[] {
  const pieces: Piece[] = [];
  list.forEach((measure, index) => {
    if (index > 0) pieces.push({ text: index === list.length - 1 ? "and" : "," });
    pieces.push({ text: measureText(measure, catalog, subject), part: { area: "measure", index } });
  });
  if (list.some((measure) => measure.field)) pieces.push({ text: "of" });
  return pieces;
}

function subjectText(report: Report, catalog: Catalog): string {
  const words = catalog.subjectWords(report.subject);
  return words.split(" ").length === 1 && !needsQuotes(words) ? words : /^[\p{L}\p{N}_\- ]+$/u.test(words) ? words : quoted(words);
}

export function measureText(measure: Measure, catalog: Catalog, subject: SubjectId): string {
  const { words } = measures[measure.measure];
  if (!measure.field) return words;
  return `${words} ${fieldText(catalog, subject, measure.field)}${measure.unit ? ` in ${measure.unit}` : ""}`;
}

/** A field as written: bare where its words are plain, quoted where they would be misread. */
function fieldText(catalog: Catalog, subject: SubjectId, ids: readonly string[]): string {
  const path = catalog.findPath(subject, ids);
  if (!path) return quoted(UNKNOWN);
  return path.map((field) => (field.source.kind === "custom" && (/[,();:"“”]/.test(field.words) || needsQuotes(field.words.replace(/ /g, ""))) ? quoted(field.words) : field.words)).join("'s ");
}

export function groupText(group: Group, catalog: Catalog, subject: SubjectId): string {
  const path = catalog.findPath(subject, group.field);
  const value = (v: Value) => valueText(v, catalog, path);
  const folds = group.folds?.map((fold) => `${fold.values.map(value).join(", ")} as ${nameText(fold.name)}`).join("; ");
  return [
    group.grain ? `${group.grain} of ` : "",
    fieldText(catalog, subject, group.field),
    folds ? ` folding (${folds})` : "",
    group.top ? ` top ${group.top.count}${group.top.by ? ` by ${measureText(group.top.by, catalog, subject)}` : ""}` : "",
    group.without?.length ? ` without ${group.without.map(value).join(", ")}` : "",
    group.withEmptyGroups ? " with empty groups" : "",
  ].join("");
}

/** Brackets stand where a reader might doubt: around `or` inside `and`, around all but a single test after `not`. */
export function conditionText(condition: Condition, catalog: Catalog, subject: SubjectId, inside: "top" | "all" | "any" | "not" = "top"): string {
  if (condition.kind === "test") return inside === "not" ? `(${testText(condition, catalog, subject)})` : testText(condition, catalog, subject);
  if (condition.kind === "not") return `not ${conditionText(condition.of, catalog, subject, "not")}`;
  const words = condition.of.map((part) => conditionText(part, catalog, subject, condition.kind)).join(condition.kind === "all" ? " and " : " or ");
  return inside === "top" ? words : `(${words})`;
}

export function testText(test: Test, catalog: Catalog, subject: SubjectId): string {
  const path = catalog.findPath(subject, test.field);
  const operator = operators[test.operator];
  const value = (v: Value) => valueText(v, catalog, path);
  const head = `${fieldText(catalog, subject, test.field)} ${operator.words}`;
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
      return operator.words.startsWith("include ") ? `${head} (${test.values.map(value).join(", ")})` : `${head} ${test.values.map(value).join(", ")}`;
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
      return value.number + (value.unit ? ` ${value.unit}` : "");
    case "flag":
      return value.yes ? "yes" : "no";
    case "viewer":
      return value.word;
    case "stage":
      return value.stage === "open" || value.stage === "finished" ? (value.stage === "finished" && path && !lastOf(path).thing ? nameText("finished") : value.stage) : nameText(value.stage);
    case "current":
      return "current";
    case "unset":
      return "not set";
    case "period":
      return periodText(value.period);
  }
}


