import { percentagesOf, type AnswerRow, type Cell, type CountAnswer, type Head } from "@/core/answer";
import { decimalText } from "@/core/base";
import { lastOf, type ThingType } from "@/core/catalog";
import type { CountReport, Report } from "@/core/definition";
import { defaultShowing, foldKey, NONE, REST, type Key, type RecordRow, type RecordsAnswer } from "@/core/plan";
import { parseSentence, printReport } from "@/core/sentence";
import { instantText, parseInstant } from "@/core/time";
import { type GroupValue, type ProblemDetails, AnswerRequest, RecordsRequest } from "@/contract/api";
import type { EntityManager } from "@/data";
import type { Clock } from "../clock";
import { answerCount, answerRecords, answerWorkings } from "../reports/answerReport";
import { deskOf, type Desk } from "../viewer/viewpoint";
import { viewerOfToken } from "../accounts/tokens";
import { badRequest, badSentence, noToken, notAllowed } from "./problems";

export type Reply = { readonly status: 200; readonly body: object } | { readonly status: number; readonly problem: ProblemDetails };
const refuse = (problem: ProblemDetails): Reply => ({ status: problem.status, problem });

interface Asked {
  readonly report: Report;
  readonly desk: Desk;
}

/** Who asks, from when, and what: the same checks at each door for programs. */
async function readAsked(em: EntityManager, clock: Clock, token: string | null, asked: { sentence: string; now?: string }): Promise<Asked | Reply> {
  const viewer = token === null ? null : await viewerOfToken(em, token);
  if (!viewer) return refuse(noToken());
  const asOf = asked.now === undefined ? undefined : parseInstant(asked.now);
  if (asOf === null) return refuse(badRequest("now must be an ISO 8601 instant with Z or an offset"));
  if (asOf !== undefined && viewer.role !== "administrator") return refuse(notAllowed("only administrators may ask as of another instant"));
  const desk = await deskOf(em, viewer, clock, asOf);
  const parsed = parseSentence(asked.sentence, desk.view);
  return parsed.ok ? { report: parsed.value, desk } : refuse(badSentence(parsed.problems[0]));
}

/** POST /api/v1/answer */
export async function apiAnswer(em: EntityManager, clock: Clock, token: string | null, body: unknown): Promise<Reply> {
  const request = AnswerRequest.safeParse(body);
  if (!request.success) return refuse(token === null ? noToken() : badRequest(firstIssue(request.error)));
  const asked = await readAsked(em, clock, token, request.data);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const workings = await answerWorkings(em, report, desk.view, desk.viewer.name);
  const shared = { sentence: printReport(report, desk.view.catalog), workings, asOf: instantText(desk.view.now) };
  if (report.kind === "list") {
    const records = await answerRecords(em, report, { showing: report.showing.length ? report.showing : defaultShowing(report), sorts: report.sorts, offset: 0, limit: 10_000 }, desk.view);
    return { status: 200, body: { ...listBody(records, report, desk), ...shared } };
  }
  const answer = await answerCount(em, report, desk.view);
  return { status: 200, body: { ...countBody(answer, report, request.data.percent), ...shared } };
}

/** POST /api/v1/records */
export async function apiRecords(em: EntityManager, clock: Clock, token: string | null, body: unknown): Promise<Reply> {
  const request = RecordsRequest.safeParse(body);
  if (!request.success) return refuse(token === null ? noToken() : badRequest(firstIssue(request.error)));
  const asked = await readAsked(em, clock, token, request.data);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const { group = [], split, offset, limit } = request.data;
  const showing = report.kind === "list" && report.showing.length ? report.showing : defaultShowing(report);
  const sorts = report.kind === "list" ? report.sorts : [];
  if (report.kind === "list" || (group.length === 0 && split === undefined)) {
    return { status: 200, body: listBody(await answerRecords(em, report, { showing, sorts, offset, limit }, desk.view), report, desk) };
  }
  const opened = openedPart(await answerCount(em, report, desk.view), report, group, split);
  if (!opened) return refuse(badRequest("no row of the answer has these group values"));
  return { status: 200, body: listBody(await answerRecords(em, report, { opened, showing, sorts, offset, limit }, desk.view), report, desk) };
}

const firstIssue = (error: { issues: readonly { path: PropertyKey[]; message: string }[] }): string => {
  const { path, message } = error.issues[0];
  return path.length ? `${path.map(String).join(".")}: ${message}` : message;
};

/** Finds the keys of a row from its group values, as `answer` gave them. */
function openedPart(answer: CountAnswer, report: CountReport, group: readonly GroupValue[], split: GroupValue | undefined): { path: Key[]; split?: Key } | null {
  const matches = (head: Head, value: GroupValue, folds: number): boolean => {
    if (value === null) return head.key === NONE;
    if (typeof value === "object") return head.key === REST;
    const fold = Array.from({ length: folds }, (_, i) => foldKey(i)).includes(head.key);
    return head.key !== NONE && head.key !== REST && head.name === String(value) && (fold || head.kind === "value");
  };
  if (group.length > report.by.length) return null;
  const rows = group.length === report.by.length ? answer.rows : (answer.tiers[group.length - 1] ?? []);
  const row = group.length === 0 ? { path: [] as readonly Head[] } : rows.find(({ path }) => path.every((head, i) => matches(head, group[i], report.by[i].folds?.length ?? 0)));
  const part = split === undefined ? undefined : answer.split.find((head) => matches(head, split, report.split?.folds?.length ?? 0));
  if (!row || (split !== undefined && !part)) return null;
  return { path: row.path.map((head) => head.key), ...(part ? { split: part.key } : {}) };
}

const nameOf = (head: Head): GroupValue => (head.kind === "rest" ? { rest: true } : head.name);
const numberOf = (value: string | null): string | number | null => {
  if (value === null || !/^-?\d+(\.\d+)?(e[+-]?\d+)?$/i.test(value)) return value;
  const text = decimalText(value);
  return /^-?\d{1,15}$/.test(text) ? Number(text) : text;
};
const cellBody = (cell: Cell) => ({ value: numberOf(cell.value), records: cell.records, empties: cell.empties });
const measured = (cells: readonly Cell[]) => ({ ...cellBody(cells[0]), ...(cells.length > 1 ? { cells: cells.map(cellBody) } : {}) });

function countBody(answer: CountAnswer, report: CountReport, percent: { base: "all" | "shown" | "own row" | "own column"; decimals: number } | undefined): object {
  const shares = percent && percentagesOf(answer, percent.base, percent.decimals);
  const share = (value: string | null | undefined) => (shares && value !== undefined && value !== null ? { percent: value } : {});
  const rowBody = (row: AnswerRow, index: number) => ({
    group: row.path.map(nameOf),
    ...measured(row.cells),
    ...share(shares?.rows[index]),
    ...(row.running ? { running: numberOf(row.running[0]) } : {}),
    ...bucketBody(row),
    ...(report.split ? { parts: answer.split.map((head, i) => ({ group: nameOf(head), ...measured(row.parts[i]), ...share(shares?.cells[index]?.[i]) })) } : {}),
  });
  const groups = report.by.map((group, i) => ({ role: "group", name: group.field.join("'s "), tier: i + 1, ...(group.grain ? { grain: group.grain } : {}) }));
  return {
    columns: [...groups, ...(report.split ? [{ role: "split", name: report.split.field.join("'s ") }] : []), ...answer.measures.map((measure) => ({ role: "measure", name: measure.words, unit: measure.unit }))],
    rows: answer.rows.map(rowBody),
    ...(answer.tiers.length ? { subtotals: answer.tiers.map((rows) => rows.map((row) => ({ group: row.path.map(nameOf), ...measured(row.cells) }))) } : {}),
    ...(report.split ? { columnTotals: answer.split.map((head, i) => ({ group: nameOf(head), ...measured(answer.columnTotals[i]) })) } : {}),
    total: measured(answer.total),
  };
}

function bucketBody(row: AnswerRow): object {
  const bucket = row.path.find((head) => head.bucket)?.bucket;
  if (!bucket) return {};
  return { bucket: { from: bucket.from, to: bucket.to, start: instantText(bucket.start), end: instantText(bucket.end), soFar: bucket.soFar, partial: bucket.partial } };
}

/** Values as kept: things by their names, people by login, lists as lists. */
function listBody(records: RecordsAnswer, report: Report, desk: Desk): object {
  const { catalog } = desk.view;
  const fields = records.showing.map((ids) => lastOf(catalog.findPath(report.subject.id, ids)!));
  const kept = (value: string, thing: ThingType | undefined) => (thing ? (catalog.names.find(thing, Number(value))?.name ?? null) : value);
  const values = (row: RecordRow) => row.values.map((value, i) => (value === null ? null : typeof value === "string" ? kept(value, fields[i].thing) : value.map((one) => kept(one, fields[i].thing))));
  return {
    columns: records.showing.map((ids) => ({ role: "field", name: ids.join("'s ") })),
    rows: records.rows.map((row) => ({ key: row.key, values: values(row) })),
    total: { value: records.count, records: records.count, empties: 0 },
  };
}
