import { Exact, hoursWords, numberText } from "../base";
import { lastOf, type FieldPath } from "../catalog";
import { cellWords } from "../figure";
import { findPlainMeasure } from "../definition";
import { allOfParts, topParts, type Condition } from "../filter";
import { checkReport, parseSentence, type Report } from "../kinds";
import {
  answerOfCount,
  countsMoney,
  planRecords,
  viewOf,
  withDays,
  type RecordsAnswer,
} from "../kinds/planned";
import type { Plan } from "../plan";
import type { Viewpoint } from "../relation";
import { bind, compile, sql } from "../sql";
import { ToldRow, type Answers, type Told, type ToldCell } from "./told";
import { counted, moneyWords, percentWords } from "./words";

/** Records that a text may tell of one by one. */
const MOST_ROWS = 200;

const NOTHING: Omit<Told, "says"> = {
  rows: [],
  total: null,
  records: 0,
  groups: [],
  holds: [],
  isHidden: false,
  words: "–",
  gone: null,
};

/** What some sentences come to, each by its name. Those that cannot be asked say why; no money is told that is not the viewer's. */
export function* planAnswers(
  sentences: Readonly<Record<string, string>>,
  view: Viewpoint,
  stood: string | null,
): Plan<Answers> {
  const answers: Record<string, Told> = {};
  for (const [name, says] of Object.entries(sentences))
    answers[name] = yield* planTold(says, view, stood);
  return answers;
}

/** What is asked beside a sentence. */
export interface Beside {
  /** How many records of a list are told one by one. */
  readonly most?: number;
  /** A condition more, for what would be too long to be said. */
  readonly where?: Condition;
}

/** @param stood the day that everything is asked of, where a sentence names none itself */
export function* planTold(
  says: string,
  view: Viewpoint,
  stood: string | null,
  { most = MOST_ROWS, where }: Beside = {},
): Plan<Told> {
  const parsed = parseSentence(says, view);
  if (!parsed.ok) return { ...NOTHING, says, gone: parsed.problems[0].message };
  const report = asked(parsed.value, stood, where);
  const [problem] = checkReport(report, view);
  if (problem) return { ...NOTHING, says, gone: problem.message };
  const sight = moneyOf(report, view);
  if (sight === "none") return { ...NOTHING, says, isHidden: true };
  const then = viewOf(report, view);
  if (report.kind !== "list" && report.kind !== "count")
    return { ...NOTHING, says, gone: "A text tells lists and counts; this is drawn." };
  const told =
    report.kind === "list"
      ? yield* listed(says, report, then, most)
      : yield* countedOf(says, report, then);
  return sight === "some"
    ? { ...told, words: `${told.words} (money of your projects only)` }
    : told;
}

/** A report as it stood on a day, where it names none itself, and with a condition more. */
function asked(report: Report, stood: string | null, where: Condition | undefined): Report {
  const then = stood && !report.stood ? { ...report, stood } : report;
  if (!where || (then.kind !== "list" && then.kind !== "count")) return then;
  const all = allOfParts([...topParts(then.where), where]);
  return all ? { ...then, where: all } : then;
}

/** How much of the money that a report counts the viewer sees: of the project that it is of, or else of any. */
function moneyOf(report: Report, { money, here, catalog }: Viewpoint): "all" | "some" | "none" {
  if (money === null || !countsMoney(report, catalog)) return "all";
  if (money.length === 0) return "none";
  if (here?.thing !== "project" || !isOf(report, here.id)) return "some";
  return money.includes(here.id) ? "all" : "none";
}

/** Whether a report is of one project alone. */
const isOf = (report: Report, project: number): boolean =>
  "where" in report &&
  topParts(report.where).some(
    (part) =>
      part.kind === "test" &&
      part.field.join() === "project" &&
      part.operator === "is" &&
      part.values.some((value) => value.kind === "thing" && value.id === project),
  );

function* listed(
  says: string,
  report: Extract<Report, { kind: "list" }>,
  view: Viewpoint,
  most: number,
): Plan<Told> {
  const ask = { showing: report.showing, sorts: report.sorts, offset: 0, limit: most };
  const found: RecordsAnswer = yield* planRecords(report, ask, view);
  const paths = found.showing.map((ids) => view.catalog.findPath(report.subject.id, ids)!);
  const rows = found.rows.map(
    (row) =>
      new ToldRow(
        Object.fromEntries(
          paths.map((path, i) => [
            path.map((field) => field.words).join("'s "),
            cellOf(row.values[i], path, view),
          ]),
        ),
        row.key,
        row.id,
      ),
  );
  const first = rows.length === 1 && paths.length === 1 ? lastOf(paths[0]) : null;
  const only = first && rows[0].words(first.words);
  const hides = rows.length === 1 && paths.length === 1 && rows[0].hidesMoney;
  return {
    ...NOTHING,
    says,
    rows,
    total: new Exact(found.count),
    records: found.count,
    holds:
      report.subject.id === "items"
        ? yield* holdsAmong(
            found.rows.map((row) => row.id),
            view,
          )
        : [],
    isHidden: hides,
    words:
      first === null
        ? counted(found.count, "record")
        : first.type === "money" && rows[0].number(first.words)
          ? moneyWords(rows[0].number(first.words)!, view.catalog.data.money.currency)
          : (only ?? "not set"),
  };
}

function cellOf(
  value: string | readonly string[] | null,
  path: FieldPath,
  view: Viewpoint,
): ToldCell {
  const field = lastOf(path);
  if (value === null) return { value: null, words: null };
  if (typeof value === "string") return { value, words: cellWords(value, field, view) };
  const words = value.flatMap((one) => cellWords(one, field, view) ?? []).join(", ");
  return { value: value.join(";") || null, words: words || null };
}

/** Which of some items holds up which other one of them. */
function* holdsAmong(
  ids: readonly number[],
  view: Viewpoint,
): Plan<readonly (readonly [string, string])[]> {
  if (ids.length === 0 || view.past) return [];
  const among = bind(ids, "int[]");
  const [rows] = yield [
    compile(sql`SELECT a.key, b.key FROM links l
      JOIN items a ON a.id = l.from_id JOIN items b ON b.id = l.to_id
      WHERE l.link = 'holds up' AND l.from_id = ANY(${among}) AND l.to_id = ANY(${among}) ORDER BY l.id`),
  ];
  return rows.map(([from, to]) => [from!, to!] as const);
}

function* countedOf(
  says: string,
  report: Extract<Report, { kind: "count" }>,
  view: Viewpoint,
): Plan<Told> {
  const answer = yield* answerOfCount(report, withDays(report, view));
  const cell = answer.total[0];
  const total = cell.value === null || !isNumber(cell.value) ? null : new Exact(cell.value);
  const groups = answer.rows.flatMap((row) => {
    const { value, records } = row.cells[0];
    if (value === null || !isNumber(value)) return [];
    const head = row.path[0];
    return [{ name: head.kind === "none" ? null : head.label, value: new Exact(value), records }];
  });
  const measured = answer.measures[0];
  const plain = findPlainMeasure(report.measures[0], view.catalog);
  const path = plain?.field && view.catalog.findPath(report.subject.id, plain.field);
  const isMoney = path && lastOf(path).type === "money" && !plain.per;
  const words =
    total === null
      ? (cell.value?.slice(0, 10) ?? "–")
      : isMoney
        ? moneyWords(total, view.catalog.data.money.currency)
        : measured.isRatio
          ? percentWords(total.times(100))
          : measured.unit === "minutes"
            ? hoursWords(total)
            : `${numberText(total)}${measured.unit ? ` ${measured.unit}` : ""}`;
  return { ...NOTHING, says, total, records: cell.records, groups, words };
}

const isNumber = (text: string): boolean => /^-?\d+(\.\d+)?$/.test(text);
