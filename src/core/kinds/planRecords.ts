import type { Plan } from "../plan";
import { Relation, type Viewpoint } from "../relation";
import { bind, compile, joined, sql, type Fragment } from "../sql";
import type { Opened } from "./opened";
import { type RecordsAnswer, type RecordsAsk, pageOf } from "./recordColumns";
import { plannedOf } from "./plannedKinds";
import type { Report } from "./registry";

/** FROM and WHERE of the records of a part; null for a part that there is not. Call the result when every column has been named. */
export function* recordsOf(
  report: Report,
  opened: Opened | undefined,
  asked: Viewpoint,
): Plan<{ readonly relation: Relation; readonly from: () => Fragment } | null> {
  const source = yield* plannedOf(report).source(report, opened ?? { path: [] }, asked);
  if (!source) return null;
  const relation = new Relation(report.subject.id, source.view);
  const tests = [...source.tests(relation)];
  if (opened?.record !== undefined) tests.push(sql`${relation.id} = ${bind(opened.record, "int")}`);
  return {
    relation,
    from: () => sql`FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`,
  };
}

/** Identities of all the records behind a part, in no order; none of a part that there is not. */
export function* planIdentities(
  report: Report,
  opened: Opened | undefined,
  view: Viewpoint,
): Plan<readonly number[]> {
  const found = yield* recordsOf(report, opened, view);
  if (!found) return [];
  const [rows] = yield [compile(sql`SELECT ${found.relation.id} ${found.from()}`)];
  return rows.map(([id]) => Number(id));
}

/** The records behind a figure or a part of it, or of a list, made from the same rows as the figure; null for a part that there is not. */
export function planRecords(
  report: Report,
  ask: RecordsAsk & { readonly opened?: undefined },
  view: Viewpoint,
): Plan<RecordsAnswer>;
export function planRecords(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
): Plan<RecordsAnswer | null>;
export function* planRecords(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
): Plan<RecordsAnswer | null> {
  const { opened = { path: [] }, only } = ask;
  const found = only ? onlyThese(report, only, view) : yield* recordsOf(report, opened, view);
  if (!found) return null;
  const records = yield* pageOf(report, ask, found.relation, found.from);
  const { deciding } = plannedOf(report);
  if (!deciding || only) return records;
  const ids = records.rows.map((row) => row.id);
  const steps = yield* deciding(report, opened, ids, view);
  const rows = records.rows.map((row) => {
    const decided = steps.get(row.id);
    return decided ? { ...row, decided } : row;
  });
  return { ...records, rows };
}

function onlyThese(report: Report, ids: readonly number[], view: Viewpoint) {
  const relation = new Relation(report.subject.id, view);
  const isOne = sql`${relation.id} = ANY(${bind(ids, "int[]")})`;
  return {
    relation,
    from: () => sql`FROM ${relation.from()} WHERE ${isOne} AND ${relation.guard()}`,
  };
}
