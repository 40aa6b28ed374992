import { unitLabel } from "../../answer";
import type { Exact } from "../../base";
import type { Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { sql, type Fragment } from "../../sql";
import { bucketsOf, resolvePeriod, type Bucket } from "../../time";
import type { HiddenAnswer } from "../answers";
import { countOf, projectsOf, todayOf } from "../projectScope";
import type { LineValues, SCurveAnswer } from "./answer";
import type { SCurveReport } from "./definition";
import { planCostCurve, planSpent } from "./planCost";
import { hasPlan, hasReport, planPercents, withBudgets } from "./planPercents";

export const curveBuckets = ({ period, grain }: SCurveReport, view: Viewpoint): Bucket[] =>
  bucketsOf(
    resolvePeriod(period, view.asked ?? view.now, view.calendar),
    grain,
    view.now,
    view.calendar,
  );

type Rows = Pick<SCurveAnswer, "projects" | "asked" | "isNarrowed"> & {
  readonly at: readonly LineValues[];
  readonly within?: readonly LineValues[];
};

/** The curve of a report; hidden from who sees no money, where it needs any. */
export function* planSCurve(
  report: SCurveReport,
  view: Viewpoint,
): Plan<SCurveAnswer | HiddenAnswer> {
  const buckets = curveBuckets(report, view);
  const curve = yield* curves[report.of](report, buckets, view);
  if (!curve) return { kind: "hidden", asOf: view.now };
  const { at, within, ...facts } = curve;
  return {
    kind: "sCurve",
    of: report.of,
    ...facts,
    rows: buckets.map((bucket, i) => ({
      bucket,
      label: unitLabel(bucket, report.grain, view),
      at: at[i] ?? {},
      ...(within?.[i] ? { within: within[i] } : {}),
    })),
    asOf: view.now,
  };
}

type PlanCurve = (
  report: SCurveReport,
  buckets: readonly Bucket[],
  view: Viewpoint,
) => Plan<Rows | null>;

function* costCurve(
  report: SCurveReport,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<Rows | null> {
  const projects = projectsOf(report, view, true);
  const [[[count]]] = yield [countOf(projects)];
  const curve = yield* planCostCurve(projects, buckets, view);
  return {
    projects: Number(count),
    asked: Number(count),
    isNarrowed: view.money !== null,
    at: curve.at,
    within: curve.within,
  };
}

/** One project needs no weights; several are weighed by their budgets, which is money. */
function* progressCurve(
  report: SCurveReport,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<Rows | null> {
  const today = todayOf(view);
  const planned = (projects: Fragment, weigh: boolean): Fragment =>
    sql`SELECT p.id, p.starts_on, ${weigh ? sql`p.budget` : sql`1`} AS weight FROM (${withBudgets(projects, view)}) p
      WHERE ${hasPlan("p")}${weigh ? sql` AND p.budget > 0` : sql``}`;
  const all = projectsOf(report, view, false);
  const [[[asked]], [[withPlan]]] = yield [countOf(all), countOf(planned(all, false))];
  const isWeighed = Number(withPlan) > 1;
  if (isWeighed && view.money?.length === 0) return null;
  const chosen = planned(isWeighed ? projectsOf(report, view, true) : all, isWeighed);
  const percents = yield* planPercents(chosen, buckets, view);
  const share = (sum: Exact) =>
    percents.weight.isZero() ? null : sum.div(percents.weight).toFixed();
  return {
    projects: percents.projects,
    asked: Number(asked),
    isNarrowed: isWeighed && view.money !== null,
    at: buckets.map((bucket, i) => ({
      planned: percents.at[i] ? share(percents.at[i].planned) : null,
      actual: percents.at[i] && bucket.from <= today ? share(percents.at[i].actual) : null,
    })),
  };
}

function* earnedCurve(
  report: SCurveReport,
  buckets: readonly Bucket[],
  view: Viewpoint,
): Plan<Rows | null> {
  const today = todayOf(view);
  const all = projectsOf(report, view, true);
  const chosen = sql`SELECT p.id, p.starts_on, p.budget AS weight FROM (${withBudgets(all, view)}) p
    WHERE p.budget > 0 AND ${hasPlan("p")} AND ${hasReport("p", view)}`;
  const [[[asked]]] = yield [countOf(all)];
  const percents = yield* planPercents(chosen, buckets, view);
  const spent = yield* planSpent(sql`SELECT c.id FROM (${chosen}) c`, buckets, view);
  return {
    projects: percents.projects,
    asked: Number(asked),
    isNarrowed: view.money !== null,
    at: buckets.map((bucket, i) => {
      const point = percents.at[i];
      const hasBegun = bucket.from <= today;
      return {
        plannedValue: point ? point.planned.div(100).toFixed() : null,
        earnedValue: point && hasBegun ? point.actual.div(100).toFixed() : null,
        actualCost: point && hasBegun ? spent.until(i).toFixed() : null,
      };
    }),
  };
}

const curves: { readonly [C in SCurveReport["of"]]: PlanCurve } = {
  cost: costCurve,
  progress: progressCurve,
  "earned value": earnedCurve,
};
