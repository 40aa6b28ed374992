import { lastOf, type Catalog, type FieldPath, type SubjectId } from "../catalog";
import {
  isBareCount,
  type BurndownReport,
  type Group,
  type Measure,
  type Report,
  type SimpleMeasure,
} from "../definition";
import { operators, topParts, type Condition, type Leaf, type Test, type Value } from "../filter";
import { measures } from "../measure";
import { shapes } from "../shapes";
import { periodText } from "../time";
import { nameText, needsQuotes, quoted } from "./words";

/** Which part of a report a piece of its sentence is: what its button opens. */
export type Part =
  | { readonly area: "measure"; readonly index: number }
  | {
      readonly area:
        | "subject"
        | "split"
        | "period"
        | "compared"
        | "runningTotal"
        | "stood"
        | "shape"
        | "groupedBy"
        | "showing"
        | "sorts";
    }
  /** Of the questions asked of history: what moves, the stretch, what stands beside it, the two ends, what burns down, in which unit, how many sprints. */
  | { readonly area: "which" | "grain" | "beside" | "ends" | "burns" | "unit" | "team" | "last" }
  | { readonly area: "where" | "by"; readonly index: number };

/** A piece of the sentence: a part that can be changed, or the words that join (which have no part). */
export interface Piece {
  readonly text: string;
  readonly part?: Part;
}

/** What stands for a thing that is gone, or that the viewer may not know of. */
export const UNKNOWN = "not known here";

/** The sentence in its one wording: parsing it again gives the same report. */
export const printReport = (report: Report, catalog: Catalog): string =>
  piecesText(sentencePieces(report, catalog));

export const piecesText = (pieces: readonly Piece[]): string =>
  pieces.map(({ text }, i) => (i === 0 || text === "," ? text : ` ${text}`)).join("");

/** The sentence piece by piece. */
export function sentencePieces(report: Report, catalog: Catalog): Piece[] {
  const subject = report.subject.id;
  const pieces: Piece[] = [...openingPieces(report, catalog)];
  topParts(report.where).forEach((condition, index, all) => {
    pieces.push({ text: index === 0 ? "where" : "and" });
    pieces.push({
      text: conditionText(condition, catalog, subject, all.length > 1 ? "all" : "top"),
      part: { area: "where", index },
    });
  });
  pieces.push(...bodyPieces(report, catalog));
  if (report.stood)
    pieces.push({ text: "as it stood on" }, { text: report.stood, part: { area: "stood" } });
  if (report.shape)
    pieces.push({ text: "as" }, { text: shapes[report.shape].words, part: { area: "shape" } });
  return pieces;
}

/** Everything before the conditions. */
function openingPieces(report: Report, catalog: Catalog): Piece[] {
  const subject: Piece = { text: subjectText(report, catalog), part: { area: "subject" } };
  const measured = (measure: SimpleMeasure | undefined): Piece[] =>
    measure
      ? [
          {
            text: simpleText(measure, catalog, report.subject.id),
            part: { area: "measure", index: 0 },
          },
          { text: "of" },
          subject,
        ]
      : [subject];
  switch (report.kind) {
    case "count":
      return [...measurePieces(report.measures, catalog, report.subject.id), subject];
    case "list":
      return [{ text: "list" }, subject];
    case "level":
      return [{ text: "level of" }, ...measured(report.measure)];
    case "crossings":
      return [
        {
          text: { both: "arrivals and departures", arrivals: "arrivals", departures: "departures" }[
            report.which
          ],
          part: { area: "which" },
        },
        { text: "of" },
        ...measured(report.measure),
      ];
    case "bridge":
      return [{ text: "bridge of" }, ...measured(report.measure)];
    case "burndown":
      return [
        { text: "burndown of" },
        report.of.kind === "filter"
          ? subject
          : { text: burnsText(report.of, catalog), part: { area: "burns" } },
      ];
    case "velocity":
      return [
        { text: "velocity of team" },
        {
          text: report.team === null ? "my team" : thingText("team", report.team, catalog),
          part: { area: "team" },
        },
      ];
  }
}

const thingText = (type: "team" | "sprint" | "release", id: number, catalog: Catalog): string =>
  valueText({ kind: "thing", thing: type, id }, catalog);

function burnsText(
  of: Exclude<BurndownReport["of"], { kind: "filter" }>,
  catalog: Catalog,
): string {
  if (of.kind === "current sprint") return "sprint current";
  return of.kind === "sprint"
    ? `sprint ${thingText("sprint", of.sprint, catalog)}`
    : `release ${thingText("release", of.release, catalog)}`;
}

/** Everything between the conditions and `as it stood on`. */
function bodyPieces(report: Report, catalog: Catalog): Piece[] {
  const subject = report.subject.id;
  const pieces: Piece[] = [];
  if (report.kind === "level")
    pieces.push({ text: "at" }, { text: `${report.grain} ends`, part: { area: "grain" } });
  if (report.kind === "crossings")
    pieces.push({ text: "by" }, { text: report.grain, part: { area: "grain" } });
  if (report.kind === "bridge")
    pieces.push(
      { text: "from" },
      { text: `${report.from} to ${report.to}`, part: { area: "ends" } },
    );
  if (report.kind === "burndown" && report.of.kind === "filter")
    pieces.push(
      { text: "from" },
      { text: `${report.of.from} to ${report.of.to}`, part: { area: "ends" } },
    );
  if (report.kind === "count")
    report.by.forEach((group, index) =>
      pieces.push(
        { text: index === 0 ? "by" : "then" },
        { text: groupText(group, catalog, subject), part: { area: "by", index } },
      ),
    );
  if (report.kind === "level")
    pieces.push({ text: "for" }, { text: periodText(report.period), part: { area: "period" } });
  if ((report.kind === "count" || report.kind === "level") && report.split)
    pieces.push(
      { text: "split by" },
      { text: groupText(report.split, catalog, subject), part: { area: "split" } },
    );
  if ((report.kind === "count" || report.kind === "crossings") && report.period)
    pieces.push({ text: "for" }, { text: periodText(report.period), part: { area: "period" } });
  if (report.kind === "count" && report.compared)
    pieces.push({ text: "compared with" }, { text: report.compared, part: { area: "compared" } });
  if ((report.kind === "count" || report.kind === "crossings") && report.runningTotal)
    pieces.push({ text: "running total", part: { area: "runningTotal" } });
  if (report.kind === "crossings" && report.beside)
    pieces.push({ text: "with" }, { text: report.beside.join(" and "), part: { area: "beside" } });
  if ((report.kind === "burndown" || report.kind === "velocity") && report.unit)
    pieces.push({ text: "in" }, { text: report.unit, part: { area: "unit" } });
  if (report.kind === "velocity" && report.last)
    pieces.push({ text: "over" }, { text: `last ${report.last} sprints`, part: { area: "last" } });
  if (report.kind === "list") {
    const path = (ids: readonly string[]) => fieldText(catalog, subject, ids);
    if (report.by)
      pieces.push(
        { text: "grouped by" },
        { text: groupText(report.by, catalog, subject), part: { area: "groupedBy" } },
      );
    if (report.showing.length)
      pieces.push(
        { text: "showing" },
        { text: report.showing.map(path).join(", "), part: { area: "showing" } },
      );
    if (report.sorts.length)
      pieces.push(
        { text: "sorted by" },
        {
          text: report.sorts
            .map((sort) => path(sort.field) + (sort.descending ? " descending" : ""))
            .join(", "),
          part: { area: "sorts" },
        },
      );
  }
  return pieces;
}

/** Measures with conditions of their own are parted by commas, so that no `and` is read twice. */
function measurePieces(list: readonly Measure[], catalog: Catalog, subject: SubjectId): Piece[] {
  const pieces: Piece[] = [];
  const commas = list.some(
    (measure) => !("named" in measure) && (measure.where || measure.per?.where),
  );
  list.forEach((measure, index) => {
    if (index > 0) pieces.push({ text: index === list.length - 1 && !commas ? "and" : "," });
    pieces.push({ text: measureText(measure, catalog, subject), part: { area: "measure", index } });
  });
  if (!list.every(isBareCount))
    pieces.push(...(commas && list.length > 1 ? [{ text: "," }] : []), { text: "of" });
  return pieces;
}

function subjectText(report: Report, catalog: Catalog): string {
  const words = catalog.subjectWords(report.subject);
  if (report.subject.filter !== undefined) return `filter ${nameText(words)}`;
  return words.split(" ").length === 1 && !needsQuotes(words)
    ? words
    : /^[\p{L}\p{N}_\- ]+$/u.test(words)
      ? words
      : quoted(words);
}

export function measureText(measure: Measure, catalog: Catalog, subject: SubjectId): string {
  if ("named" in measure)
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
  return [
    group.grain ? `${group.grain} of ` : "",
    of,
    group.ranges ? ` in ranges (${group.ranges.join(", ")})` : "",
    folds ? ` folding (${folds})` : "",
    group.top
      ? ` top ${group.top.count}${group.top.by ? ` by ${simpleText(group.top.by, catalog, subject)}` : ""}`
      : "",
    group.without?.length ? ` without ${group.without.map(value).join(", ")}` : "",
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
