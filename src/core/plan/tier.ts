import type { Relation, Viewpoint } from "../relation";
import { conditionSql, valueIsAny } from "../filter/sql";
import { bind, joined, sql, type Fragment } from "../sql";
import { invariant } from "../base";
import { isDate, lastOf, type Field, type FieldPath } from "../catalog";
import {
  caseKey,
  foldKey,
  groupParts,
  NONE,
  REST,
  valueKey,
  type Group,
  type Key,
} from "../definition";
import { type Value, keptNumber } from "../filter";
import { resolvePeriod, startOfUnit, type Grain } from "../time";

/** A group of a report with what the catalog knows of it. */
export interface Tier {
  readonly group: Group;
  /** null for cases, which have no field. */
  readonly path: FieldPath | null;
  readonly field: Field;
}

/** What stands for the field of cases. */
const CASES: Field = {
  id: "cases",
  words: "cases",
  type: "choice",
  source: { kind: "column", column: "case" },
};

export const tierOf = (group: Group, view: Viewpoint, subject: Relation["subject"]): Tier => {
  if (group.cases) return { group, path: null, field: CASES };
  const path = view.catalog.findPath(subject, group.field);
  invariant(path, "the fields of a checked report are known");
  return { group, path, field: lastOf(path) };
};

/** The value that a tier groups by; of a list field, one row for each value. */
export function tierValue(tier: Tier, relation: Relation): Fragment {
  const { cases, ranges } = tier.group;
  if (cases)
    return sql`CASE ${joined(
      cases.map(
        (one, index) =>
          sql`WHEN ${conditionSql(one.where, relation)} THEN ${bind(caseKey(index), "text")}`,
      ),
      " ",
    )} END`;
  invariant(tier.path, "only cases have no field");
  if (ranges)
    return sql`${bind(groupParts.forms.range.sign, "text")} || width_bucket(${relation.value(tier.path)}::numeric, ${bind(
      ranges.map((number) => keptNumber({ kind: "number", number }, tier.field, relation.view)),
      "numeric[]",
    )})`;
  const value = tier.field.many ? relation.unnested(tier.path) : relation.value(tier.path);
  return tier.group.grain ? grained(value, tier.field, tier.group.grain, relation.view) : value;
}

/** The key of a group in SQL, as text. Only groups in `tops`, when given, keep their own. */
export function tierKey(
  tier: Tier,
  value: Fragment,
  view: Viewpoint,
  tops?: readonly Key[],
): Fragment {
  if (tier.group.cases || tier.group.ranges)
    return amongTops(
      sql`coalesce(${value}, ${bind(tier.group.cases ? REST : NONE, "text")})`,
      tops,
    );
  const folds = (tier.group.folds ?? []).map((fold, index) => ({
    key: foldKey(index),
    test: isOneOf(tier, value, fold.values, view),
  }));
  const own = sql`${bind(groupParts.forms.value.sign, "text")} || ${value}::text`;
  const key = sql`CASE ${joined([...folds.map(({ key, test }) => sql`WHEN ${test} THEN ${bind(key, "text")}`), sql`WHEN ${value} IS NULL THEN ${bind(NONE, "text")}`], " ")} ELSE ${own} END`;
  return amongTops(key, tops);
}

function amongTops(key: Fragment, tops: readonly Key[] | undefined): Fragment {
  if (!tops) return key;
  return sql`(SELECT CASE WHEN k = ANY(${bind([...tops, NONE], "text[]")}) THEN k ELSE ${bind(REST, "text")} END FROM (SELECT ${key} AS k) ranked)`;
}

/** Whether a key in SQL needs more than the value itself. */
export const isMapped = (tier: Tier, tops?: readonly Key[]): boolean =>
  Boolean(tier.group.folds?.length || tier.group.cases || tier.group.ranges || tops);

/** A key as the database gave it back. */
export function readKey(text: string | null, tier: Tier, tops?: readonly Key[]): Key {
  if (isMapped(tier, tops)) return text!;
  if (text === null) return NONE;
  // Booleans come as t and f.
  return valueKey(tier.field.type === "yesNo" ? (text.startsWith("t") ? "true" : "false") : text);
}

/** Whether a group leaves some of its rows out. */
export const hidesSome = ({ without, withoutRest, top }: Group): boolean =>
  Boolean(without?.length || (withoutRest && top));

/** True of rows whose group is hidden; what a top N leaves over is known by the keys that it keeps. */
export function isHidden(
  tier: Tier,
  value: Fragment,
  view: Viewpoint,
  tops: readonly Key[] | undefined,
): Fragment | undefined {
  const { without, withoutRest } = tier.group;
  const tests: Fragment[] = [];
  if (without?.length && tier.path) tests.push(isOneOf(tier, value, without, view));
  if (withoutRest && tops)
    tests.push(sql`${tierKey(tier, value, view, tops)} = ${bind(REST, "text")}`);
  return tests.length ? sql`(${joined(tests, " OR ")})` : undefined;
}

function isOneOf(tier: Tier, value: Fragment, values: readonly Value[], view: Viewpoint): Fragment {
  const asked = values.filter((v) => v.kind !== "unset");
  const tests: Fragment[] = [];
  if (asked.length < values.length) tests.push(sql`${value} IS NULL`);
  if (asked.length)
    tests.push(
      tier.group.grain
        ? sql`${value} = ANY(${bind(unitStarts(asked, tier.group.grain, view), "text[]")})`
        : isExact(tier.field)
          ? sql`${value} = ANY(${bind(textsIn(asked), "text[]")})`
          : valueIsAny(value, tier.field, asked, view),
    );
  return tests.length === 1 ? tests[0] : sql`(${joined(tests, " OR ")})`;
}

/** Groups of texts are as they are written, so what folds or hides them is, too; choices are known by their words. */
const isExact = (field: Field): boolean => field.type === "text";

const textsIn = (values: readonly Value[]): string[] =>
  values.flatMap((value) => (value.kind === "text" ? [value.text] : []));

function unitStarts(values: readonly Value[], grain: Grain, view: Viewpoint): string[] {
  return values.flatMap((value) =>
    value.kind === "period" && grain !== "hour" && grain !== "weekday"
      ? [
          startOfUnit(
            resolvePeriod(value.period, view.now, view.calendar).from,
            grain,
            view.calendar,
          ),
        ]
      : [],
  );
}

/** The first local day of the stretch that a date lies in, as text; the weekday 1 to 7 or the hour 0 to 23. */
function grained(value: Fragment, field: Field, grain: Grain, view: Viewpoint): Fragment {
  invariant(isDate(field), "grains are of dates");
  const local =
    field.type === "date"
      ? value
      : sql`(${value} AT TIME ZONE ${bind(view.calendar.zone, "text")})`;
  const shift = view.calendar.fiscalYearStarts - 1;
  const truncated = (unit: string, months = 0) =>
    months
      ? sql`(date_trunc(${bind(unit, "text")}, date_trunc('month', ${local}) - make_interval(months => ${bind(months, "int")})) + make_interval(months => ${bind(months, "int")}))`
      : sql`date_trunc(${bind(unit, "text")}, ${local}::timestamp)`;
  switch (grain) {
    case "hour":
      return sql`extract(hour FROM ${local}::timestamp)::text`;
    case "weekday":
      return sql`extract(isodow FROM ${local})::text`;
    case "day":
      return sql`${local}::date::text`;
    case "week":
      return view.calendar.weekStarts === "Sun"
        ? sql`(date_trunc('week', ${local}::timestamp + interval '1 day') - interval '1 day')::date::text`
        : sql`${truncated("week")}::date::text`;
    case "fiscal quarter":
      return sql`${truncated("quarter", shift)}::date::text`;
    case "fiscal year":
      return sql`${truncated("year", shift)}::date::text`;
    default:
      return sql`${truncated(grain)}::date::text`;
  }
}
