import { keptNumber, textsOf, idsOf, datesOf } from "./meaning";

import { isOpenness } from "./openness";

import type { Viewpoint } from "../relation";
import { folded, invariant } from "../base";
import { isDate, typeOf, type Field } from "../catalog";
import { instantText, type PeriodDates } from "../time";
import { bind, joined, sql, type Bound, type Fragment } from "../sql";
import type { Target } from "./operators/defineOperator";
import type { Value } from "./value";

/** A text in SQL, folded by the same rule as `folded` does here. */
export const foldedSql = (text: Fragment): Fragment =>
  sql`lower(normalize(${text}, NFC) COLLATE "und-x-icu")`;

const any = (tests: readonly Fragment[]): Fragment =>
  tests.length ? sql`(${joined(tests, " OR ")})` : sql`FALSE`;

/** A test of a number against kept numbers, in working time where the unit says so. */
export function compares(
  { path, field, relation }: Target,
  values: readonly Value[],
  test: (value: Fragment, ...kept: Bound[]) => Fragment,
): Fragment {
  const working = values.some((value) => value.kind === "number" && value.working);
  return test(
    relation.raw(path, working),
    ...values.map((value) => bind(keptNumber(value, field, relation.view), "numeric")),
  );
}

/** True where the single value is one of these; unknown of an empty one, unless `not set` is among them. */
export function isAnyOf({ path, field, relation }: Target, values: readonly Value[]): Fragment {
  const tests: Fragment[] = [];
  const asked = values.filter((value) => value.kind !== "unset");
  if (asked.length < values.length) tests.push(sql`${relation.value(path)} IS NULL`);
  if (asked.length) tests.push(equalsAny({ path, field, relation }, asked));
  return tests.length === 1 ? tests[0] : any(tests);
}

function equalsAny({ path, field, relation }: Target, values: readonly Value[]): Fragment {
  if (isOpenness(field, values)) return relation.isOpen(path);
  if (isOpenOnly(field, values, relation.view) && relation.over === "spans")
    return sql`(${isOneOf({ path, field, relation }, values)} AND ${relation.isOpen(path)})`;
  return isOneOf({ path, field, relation }, values);
}

function isOneOf({ path, field, relation }: Target, values: readonly Value[]): Fragment {
  const { kept } = typeOf(field);
  if (field.source.kind === "derived" && field.source.name === "stage")
    return isStage(path, relation, values);
  const indexed = relation.indexed(path);
  if (indexed?.kind === "custom" && (kept === "text" || kept === "thing")) {
    const documents = (kept === "text" ? textsOf(values) : idsOf(values, relation.view)).map(
      (one) => ({ [indexed.key]: one }),
    );
    return any(
      documents.map(
        (document) => sql`${indexed.document} @> ${bind(JSON.stringify(document), "jsonb")}`,
      ),
    );
  }
  return valueIsAny(relation.raw(path), field, values, relation.view);
}

/** True where a value of a field's type is one of these, none of which is `not set`. */
export function valueIsAny(
  value: Fragment,
  field: Field,
  values: readonly Value[],
  view: Viewpoint,
): Fragment {
  const { kept } = typeOf(field);
  if (kept === "thing") return isAmong(value, idsOf(values, view));
  if (kept === "number")
    return sql`${value} = ANY(${bind(
      values.map((v) => keptNumber(v, field, view)),
      "numeric[]",
    )})`;
  if (kept === "flag")
    return any(values.map((v) => sql`${value} = ${bind(v.kind === "flag" && v.yes, "boolean")}`));
  if (isDate(field)) return any(values.map((v) => inside(value, field, datesOf(v, view))));
  const texts = textsOf(values);
  // The choices of a field of our own are kept as they are spelled here, so an index on them can answer.
  if (field.choices && field.source.kind !== "custom")
    return sql`${value} = ANY(${bind(
      field.choices.filter((choice) => texts.includes(folded(choice))),
      "text[]",
    )})`;
  return sql`${foldedSql(value)} = ANY(${bind(texts, "text[]")})`;
}

/** One identity is tested as equal: so that whatever is joined to it is read for that one alone. */
const isAmong = (value: Fragment, ids: readonly number[]): Fragment =>
  ids.length === 1
    ? sql`${value} = ${bind(ids[0], "int")}`
    : sql`${value} = ANY(${bind(ids, "int[]")})`;

/** Whether only what is open has one of these statuses or stages: said of states, it leads to the index of those that are open. */
function isOpenOnly(
  { id, source }: Field,
  values: readonly Value[],
  { catalog }: Viewpoint,
): boolean {
  if (id === "stage" && source.kind === "derived")
    return textsOf(values).every((stage) => stage !== "finished");
  if (id !== "status" || values.length === 0) return false;
  return values.every(
    (value) =>
      value.kind === "thing" &&
      ["waiting", "under way"].includes(catalog.names.find("status", value.id)?.stage ?? ""),
  );
}

/** Stages are tested on the status, which has the index. */
function isStage(
  path: Target["path"],
  relation: Target["relation"],
  values: readonly Value[],
): Fragment {
  const stages = textsOf(values);
  const { names } = relation.view.catalog;
  const ids = names
    .list("status")
    .filter((status) => status.stage && stages.includes(status.stage))
    .map((status) => status.id);
  const owners = path.slice(0, -1);
  const last = path[path.length - 1];
  const status = {
    ...last,
    id: "status",
    tracked: true,
    source: { kind: "column", column: "status_id" },
  } as Field;
  return sql`${relation.raw([...owners, status] as unknown as Target["path"])} = ANY(${bind(ids, "int[]")})`;
}

export type ListTest = "any" | "all";

/** Tests of a many-valued field; of an empty list neither is true. */
export function includes(
  { path, field, relation }: Target,
  values: readonly Value[],
  how: ListTest,
): Fragment {
  const indexed = relation.indexed(path);
  invariant(indexed, "list fields are indexed");
  const isThing = typeOf(field).kept === "thing";
  const each = values
    .filter((v) => v.kind !== "unset")
    .map((value) => (isThing ? idsOf([value], relation.view) : textsOf([value])));
  if (indexed.kind === "custom") {
    const holds = (one: string | number) =>
      sql`${indexed.document} @> ${bind(JSON.stringify({ [indexed.key]: [one] }), "jsonb")}`;
    const tests = each.map((choices) => any(choices.map(holds)));
    return how === "any" ? any(tests) : sql`(${joined(tests, " AND ")})`;
  }
  const type = isThing ? "int[]" : "text[]";
  if (how === "any") return sql`${indexed.array} && ${bind(each.flat(), type)}`;
  return sql`(${joined(
    each.map((choices) => sql`${indexed.array} && ${bind(choices, type)}`),
    " AND ",
  )})`;
}

/** Inside the dates of a period. Instants run to its end (outside), or to now (inside) where it is so far. */
export function inside(value: Fragment, field: Field, dates: PeriodDates): Fragment {
  return sql`(${since(value, field, dates)} AND ${until(value, field, dates)})`;
}

export function since(value: Fragment, field: Field, dates: PeriodDates): Fragment {
  return field.type === "date"
    ? sql`${value} >= ${bind(dates.from, "date")}`
    : sql`${value} >= ${bind(instantText(dates.start), "timestamptz")}`;
}

export function before(value: Fragment, field: Field, dates: PeriodDates): Fragment {
  return field.type === "date"
    ? sql`${value} < ${bind(dates.from, "date")}`
    : sql`${value} < ${bind(instantText(dates.start), "timestamptz")}`;
}

export function until(value: Fragment, field: Field, dates: PeriodDates): Fragment {
  if (field.type === "date") return sql`${value} <= ${bind(dates.to, "date")}`;
  const end = bind(instantText(dates.end), "timestamptz");
  return dates.soFar ? sql`${value} <= ${end}` : sql`${value} < ${end}`;
}

export function after(value: Fragment, field: Field, dates: PeriodDates): Fragment {
  if (field.type === "date") return sql`${value} > ${bind(dates.to, "date")}`;
  const end = bind(instantText(dates.end), "timestamptz");
  return dates.soFar ? sql`${value} > ${end}` : sql`${value} >= ${end}`;
}

/** A text as a LIKE pattern in which nothing is a wildcard. */
const plain = (text: string): string => folded(text).replace(/[\\%_]/g, (sign) => "\\" + sign);

export function textLike(
  { path, relation }: Target,
  value: Value,
  around: (text: string) => string,
): Fragment {
  invariant(value.kind === "text", "a text was checked before");
  return sql`${foldedSql(relation.raw(path))} LIKE ${bind(around(plain(value.text)), "text")}`;
}
