import { Exact, hoursWords, numberText } from "../base";
import { lastOf, type FieldPath } from "../catalog";
import { cellWords } from "../figure";
import { findPlainMeasure } from "../definition";
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

/**
 * @param stood the day that everything is asked of, where a sentence names none itself
 * @param most how many records of a list are told one by one
 */
export function* planTold(
  says: string,
  view: Viewpoint,
  stood: string | null,
  most = MOST_ROWS,
): Plan<Told> {
  const parsed = parseSentence(says, view);
  if (!parsed.ok) return { ...NOTHING, says, gone: parsed.problems[0].message };
  const report = stood && !parsed.value.stood ? { ...parsed.value, stood } : parsed.value;
  const [problem] = checkReport(report, view);
  if (problem) return { ...NOTHING, says, gone: problem.message };
  const asked = viewOf(report, view);
  if (isHidden(report, view)) return { ...NOTHING, says, isHidden: true };
  if (report.kind === "list") return yield* listed(says, report, asked, most);
  if (report.kind === "count") return yield* countedOf(says, report, asked);
  return { ...NOTHING, says, gone: "A text tells lists and counts; this is drawn." };
}

/** Whether a report counts money that the viewer sees none of: of the project that they are at, or of any. */
function isHidden(report: Report, { money, here, catalog }: Viewpoint): boolean {
  if (money === null || !countsMoney(report, catalog)) return false;
  return here?.thing === "project" ? !money.includes(here.id) : money.length === 0;
}

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
