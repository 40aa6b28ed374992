import { conditionSql } from "../filter/sql";
import { isDate, lastOf } from "../catalog";
import { NONE, type Key } from "../definition";
import { topParts, type Condition } from "../filter";
import { subjectTests, tierKey, tierOf, tierValue, type Plan, type Tier } from "../plan";
import { Relation, type Viewpoint } from "../relation";
import { bind, compile, joined, sql } from "../sql";
import type { Opened } from "./opened";
import { withDays } from "./personDays";
import { planIdentities } from "./planRecords";
import type { Report } from "./registry";

/** Two sets of records held against each other. */
export interface Compared {
  readonly both: readonly number[];
  readonly onlyHere: readonly number[];
  readonly onlyThere: readonly number[];
  /** For each condition of the other side, how many of those only here fail it; for each of this side, how many of those only there. */
  readonly partedBy: readonly {
    readonly condition: Condition | null;
    readonly side: "here" | "there";
    readonly fails: number;
  }[];
}

export type Other =
  | { readonly kind: "report"; readonly report: Report }
  | { readonly kind: "keys"; readonly keys: readonly string[] };

/** Compares the records of a report (or a part of it) with those of another, or with pasted keys. Both are of one subject. */
export function* planCompare(
  report: Report,
  opened: Opened | undefined,
  other: Other,
  view: Viewpoint,
): Plan<Compared> {
  const here = new Set(yield* planIdentities(report, opened, view));
  const there = new Set(
    other.kind === "report"
      ? yield* planIdentities(other.report, undefined, view)
      : yield* keyIdentities(other.keys, view),
  );
  const onlyHere = [...here].filter((id) => !there.has(id));
  const onlyThere = [...there].filter((id) => !here.has(id));
  const partedBy = [
    ...(other.kind === "report" ? yield* failing(other.report, onlyHere, "there", view) : []),
    ...(yield* failing(report, onlyThere, "here", view)),
  ];
  return { both: [...here].filter((id) => there.has(id)), onlyHere, onlyThere, partedBy };
}

function* keyIdentities(keys: readonly string[], view: Viewpoint): Plan<readonly number[]> {
  const relation = new Relation("items", view);
  const key = relation.value([
    { id: "key", words: "key", type: "text", source: { kind: "column", column: "key" } },
  ]);
  const [rows] = yield [
    compile(
      sql`SELECT ${relation.id} FROM ${relation.from()} WHERE upper(${key}) = ANY(${bind(
        keys.map((one) => one.toUpperCase()),
        "text[]",
      )}) AND ${relation.guard()}`,
    ),
  ];
  return rows.map(([id]) => Number(id));
}

/** How many of some records each condition of a report keeps out, the kind of its subject first. */
function* failing(
  report: Report,
  ids: readonly number[],
  side: "here" | "there",
  view: Viewpoint,
): Plan<Compared["partedBy"]> {
  if (ids.length === 0) return [];
  const conditions: (Condition | null)[] = [null, ...topParts(report.where)];
  const counted = yield conditions.map((condition) => {
    const relation = new Relation(report.subject.id, {
      ...withDays(report, view),
      deletedToo: true,
    });
    const tests = condition ? [conditionSql(condition, relation)] : subjectTests(report, relation);
    const test = tests.length ? joined(tests, " AND ") : sql`TRUE`;
    return compile(
      sql`SELECT count(*) FROM ${relation.from()} WHERE ${relation.id} = ANY(${bind(ids, "int[]")}) AND (${test}) IS NOT TRUE AND ${relation.guard()}`,
    );
  });
  return conditions
    .map((condition, i) => ({ condition, side, fails: Number(counted[i][0][0]) }))
    .filter(({ fails }) => fails > 0)
    .sort((a, b) => b.fails - a.fails);
}

/** For each condition at the top, how many records there would be without it: what empties a figure. */
export function* planEmptied(report: Report, view: Viewpoint): Plan<readonly number[]> {
  const parts = topParts(report.where);
  if (parts.length === 0) return [];
  const counted = yield parts.map((_, without) => {
    const relation = new Relation(report.subject.id, withDays(report, view));
    const tests = [
      ...subjectTests(report, relation),
      ...parts.filter((_part, i) => i !== without).map((part) => conditionSql(part, relation)),
    ];
    return compile(
      sql`SELECT count(*) FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`,
    );
  });
  return counted.map((rows) => Number(rows[0][0]));
}

/** How often each value of a field comes among the records of a part. */
export interface ValueCounts {
  readonly tier: Tier;
  readonly view: Viewpoint;
  readonly records: number;
  readonly missing: number;
  readonly values: readonly { readonly key: Key; readonly count: number }[];
}

export function* planValueCounts(
  report: Report,
  opened: Opened | undefined,
  field: readonly string[],
  view: Viewpoint,
): Plan<ValueCounts> {
  const ids = yield* planIdentities(report, opened, view);
  const path = view.catalog.findPath(report.subject.id, field);
  const tier = tierOf(
    { field: [...field], ...(path && isDate(lastOf(path)) ? { grain: "day" as const } : {}) },
    view,
    report.subject.id,
  );
  const relation = new Relation(report.subject.id, { ...withDays(report, view), deletedToo: true });
  const key = tierKey(tier, tierValue(tier, relation), view);
  const [rows] = yield [
    compile(
      sql`SELECT ${key}, count(*) FROM ${relation.from()} WHERE ${relation.id} = ANY(${bind(ids, "int[]")}) AND ${relation.guard()} GROUP BY 1 ORDER BY 2 DESC, 1`,
    ),
  ];
  const counts = rows.map(([text, count]) => ({ key: text!, count: Number(count) }));
  return {
    tier,
    view,
    records: ids.length,
    missing: counts.find((one) => one.key === NONE)?.count ?? 0,
    values: counts.filter((one) => one.key !== NONE),
  };
}
