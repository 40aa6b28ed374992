import { lastOf } from "../catalog";
import type { Plan } from "../plan";
import { Relation, type Viewpoint } from "../relation";
import { bind, compile, EMPTY, joined, sql, type Fragment } from "../sql";
import type { Opened } from "./opened";
import { type RecordsAnswer, type RecordsAsk, pageOf } from "./recordColumns";
import { withDays } from "./personDays";
import { plannedOf } from "./plannedKinds";
import type { Report } from "./registry";

/** Where the records of a part are: FROM and WHERE, and the instant of the step that each row is of. */
export interface FoundRecords {
  readonly relation: Relation;
  /** Call it when every column has been named. */
  readonly from: () => Fragment;
  /** null where every record stands once. */
  readonly stepAt: Fragment | null;
}

/** null for a part that there is not. */
export function* recordsOf(
  report: Report,
  opened: Opened | undefined,
  asked: Viewpoint,
): Plan<FoundRecords | null> {
  const source = yield* plannedOf(report).source(report, opened ?? { path: [] }, asked);
  if (!source) return null;
  const { steps } = source;
  const relation = new Relation(report.subject.id, source.view);
  const tests = [...source.tests(relation)];
  if (opened?.record !== undefined) tests.push(sql`${relation.id} = ${bind(opened.record, "int")}`);
  const joinSteps = steps ? sql` JOIN (${steps}) step ON step.id = ${relation.id}` : EMPTY;
  return {
    relation,
    from: () =>
      sql`FROM ${relation.from()}${joinSteps} WHERE ${joined([...tests, relation.guard()], " AND ")}`,
    stepAt: steps ? sql`step.at` : null,
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
  const records = yield* pageOf(report, { ...ask, sorts: seenSorts(report, ask, view) }, found);
  const { deciding } = plannedOf(report);
  if (!deciding || only) return records;
  const steps = yield* deciding(report, opened, records.rows, view);
  const rows = records.rows.map((row, i) => {
    const decided = steps[i];
    return decided ? { ...row, decided } : row;
  });
  return { ...records, rows };
}

/** Orders of what is opened: one by money that is not all the viewer's to see would leave records out, so it is none. */
const seenSorts = (report: Report, { sorts }: RecordsAsk, { catalog, money }: Viewpoint) =>
  sorts.filter(({ field }) => {
    const path = catalog.findPath(report.subject.id, field);
    return money === null || !path || !lastOf(path).isMoney;
  });

function onlyThese(report: Report, ids: readonly number[], view: Viewpoint): FoundRecords {
  const relation = new Relation(report.subject.id, withDays(report, view));
  const isOne = sql`${relation.id} = ANY(${bind(ids, "int[]")})`;
  return {
    relation,
    from: () => sql`FROM ${relation.from()} WHERE ${isOne} AND ${relation.guard()}`,
    stepAt: null,
  };
}
