import { Exact } from "../../base";
import type { Plan } from "../../plan";
import { partOfMonth, passedOfMonth } from "../../projects/sql";
import { booksOf, type Viewpoint } from "../../relation";
import { bind, compile, sql, type Fragment } from "../../sql";
import { addDays, type Bucket, type Day, type WorkCalendar } from "../../time";
import { dayBound, todayOf } from "../projectScope";

type Sums = ReadonlyMap<string, Exact>;
const sumsOf = (rows: readonly (readonly (string | null)[])[]): Sums =>
  new Map(rows.map(([key, sum]) => [String(key), new Exact(sum ?? 0)]));
const ZERO = new Exact(0);

/** What was spent in each stretch, and what came before the first: by place, 0 for before. */
export interface Spent {
  /** Until the end of a stretch (-1: before the first). */
  until(place: number): Exact;
  /** Until today, whatever the stretches are. */
  readonly inAll: Exact;
}

/** Into which stretch a day falls, as SQL: 0 before the first, then 1 …, and one more after the last. */
const placeOf = (day: Fragment, buckets: readonly Bucket[]): Fragment =>
  sql`width_bucket(${day}, ${bind(
    [...buckets.map((bucket) => bucket.from), addDays(buckets[buckets.length - 1].to, 1)],
    "date[]",
  )})`;

const spentOf = (sums: Sums, count: number): Spent => {
  const upTo: Exact[] = [];
  for (let place = 0, sum = ZERO; place <= count; place += 1)
    upTo.push((sum = sum.plus(sums.get(String(place)) ?? ZERO)));
  return {
    until: (place) => upTo[Math.max(place + 1, 0)],
    inAll: [...sums.values()].reduce((sum, one) => sum.plus(one), ZERO),
  };
};

/** Cost entries of some projects until today, by stretch. */
export function* planSpent(
  projects: Fragment,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<Spent> {
  const [rows] = yield [
    compile(sql`SELECT ${placeOf(sql`e.c1`, buckets)}, sum(e.c2)
      FROM (${booksOf(view).rows("costEntries", ["project", "spent on", "amount"])}) e
      WHERE e.c0 IN (${projects}) AND e.c1 <= ${dayBound(todayOf(view))} GROUP BY 1`),
  ];
  return spentOf(sumsOf(rows), buckets.length);
}

/** What share of a month has passed at the end of a day: exact, as a fraction of what is amount. */
function passed(month: Day, amount: Exact, day: Day, calendar: WorkCalendar): Exact {
  const current = `${day.slice(0, 7)}-01`;
  if (month !== current) return month < current ? amount : ZERO;
  const { passed: done, of } = passedOfMonth(day, calendar);
  return amount.times(done).div(of);
}

const planUntil = (months: Sums, day: Day, calendar: WorkCalendar): Exact =>
  [...months].reduce(
    (sum, [month, amount]) => sum.plus(passed(month, amount, day, calendar)),
    ZERO,
  );

/** What a curve of cost is made from, at the end of each stretch and within it. */
export interface CostPoint {
  readonly planned: string | null;
  readonly actual: string | null;
  readonly projected: string | null;
}
export interface CostCurve {
  readonly at: readonly CostPoint[];
  readonly within: readonly CostPoint[];
}

/** The cost of some projects: their plan, what was spent until today, and of each month still to come the larger of plan and entries. */
export function* planCostCurve(
  projects: Fragment,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<CostCurve> {
  const { calendar } = view;
  const today = todayOf(view);
  const spent = yield* planSpent(projects, buckets, view);
  const [planRows, chosenPlans, chosenEntries] = yield [
    compile(sql`SELECT e.c1::text, sum(e.c2)
      FROM (${booksOf(view).rows("plannedCosts", ["project", "planned for", "amount"])}) e
      WHERE e.c0 IN (${projects}) GROUP BY 1`),
    compile(
      sql`SELECT month::text, sum(amount) FROM (${monthsToCome(projects, view)}) m WHERE NOT takes_entries GROUP BY 1`,
    ),
    compile(sql`SELECT ${placeOf(sql`e.c1`, buckets)}, sum(e.c2)
      FROM (${booksOf(view).rows("costEntries", ["project", "spent on", "amount"])}) e
      JOIN (${monthsToCome(projects, view)}) m ON m.project_id = e.c0 AND m.month = date_trunc('month', e.c1)::date
      WHERE takes_entries AND e.c1 > ${dayBound(today)} GROUP BY 1`),
  ];
  const plan = sumsOf(planRows);
  const plansToCome = sumsOf(chosenPlans);
  const entriesToCome = spentOf(sumsOf(chosenEntries), buckets.length);
  const planned = (day: Day) => planUntil(plan, day, calendar);
  /** Spent until a day that is over; of later ones what it will have come to. `place`: the stretch that ends with it. */
  const cost = (day: Day, place: number): Exact =>
    day < today
      ? spent.until(place)
      : spent.inAll
          .plus(planUntil(plansToCome, day, calendar))
          .minus(planUntil(plansToCome, today, calendar))
          .plus(entriesToCome.until(place));
  const points = buckets.map(({ from, to }, place) => {
    const before = addDays(from, -1);
    const has = { plan: plan.size > 0, actual: from <= today, projection: to >= today };
    return {
      at: {
        planned: has.plan ? planned(to).toFixed() : null,
        actual: has.actual ? spent.until(place).toFixed() : null,
        projected: has.projection ? cost(to, place).toFixed() : null,
      },
      within: {
        planned: has.plan ? planned(to).minus(planned(before)).toFixed() : null,
        actual: has.actual
          ? spent
              .until(place)
              .minus(spent.until(place - 1))
              .toFixed()
          : null,
        projected: has.projection
          ? cost(to, place)
              .minus(before < today ? spent.until(place - 1) : cost(before, place - 1))
              .toFixed()
          : null,
      },
    };
  });
  return { at: points.map(({ at }) => at), within: points.map(({ within }) => within) };
}

/** Of each project and month that is not over: its plan, and whether its entries after today are more than what is left of it. */
function monthsToCome(projects: Fragment, view: Viewpoint): Fragment {
  const books = booksOf(view);
  const today = dayBound(todayOf(view));
  const rest = partOfMonth(sql`e.c1`, sql`e.c2`, "to come", view);
  return sql`SELECT project_id, month, coalesce(amount, 0) AS amount,
      (coalesce(spent, 0) > coalesce(rest, 0) OR (j.finished_on <= ${today}) IS TRUE) AS takes_entries
    FROM (SELECT e.c0 AS project_id, e.c1 AS month, sum(e.c2) AS amount, sum(${rest}) AS rest
        FROM (${books.rows("plannedCosts", ["project", "planned for", "amount"])}) e
        WHERE e.c0 IN (${projects}) AND e.c1 >= date_trunc('month', ${today}::timestamp)::date GROUP BY 1, 2) plans
    FULL JOIN (SELECT e.c0 AS project_id, date_trunc('month', e.c1)::date AS month, sum(e.c2) AS spent
        FROM (${books.rows("costEntries", ["project", "spent on", "amount"])}) e
        WHERE e.c0 IN (${projects}) AND e.c1 > ${today} GROUP BY 1, 2) entries USING (project_id, month)
    JOIN projects j ON j.id = project_id`;
}
