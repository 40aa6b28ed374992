import { bind, sql, type Fragment } from "../../sql";
import type { DerivedRow, DerivedSql } from "./defineDerived";

/** The figures of a project that others are made from. */
const figures = (row: DerivedRow) => ({
  get started() {
    return row.sheet("terms", "started");
  },
  get finished() {
    return row.sheet("terms", "finished");
  },
  get billing() {
    return row.sheet("terms", "billing");
  },
  get budget() {
    return row.sheet("terms", "budget");
  },
  get actual() {
    return sql`coalesce(${row.sheet("spending", "actual")}, 0)`;
  },
  get projected() {
    return sql`(coalesce(${row.sheet("spending", "actual")}, 0) + coalesce(${row.sheet("projection", "to_come")}, 0))`;
  },
  get actualPercent() {
    return row.sheet("progress", "actual_percent");
  },
  get plannedPercent() {
    return row.sheet("progress", "planned_percent");
  },
  get revenue() {
    return sql`CASE ${this.billing}
      WHEN 'time' THEN coalesce(${row.sheet("earning", "value")}, 0) + coalesce(${row.sheet("spending", "billable")}, 0)
      WHEN 'fixed' THEN in_minor_unit(${row.own("price")} * ${this.actualPercent} / 100)
    END`;
  },
  get billed() {
    return sql`CASE WHEN ${this.billing} <> 'none' THEN coalesce(${row.sheet("billed", "billed")}, 0) END`;
  },
  get margin() {
    return sql`(${this.revenue} - ${this.actual})`;
  },
  /** At the status date; of projects with a budget over 0 and both percents. */
  get plannedValue() {
    return sql`CASE WHEN ${this.budget} > 0 AND ${this.actualPercent} IS NOT NULL THEN ${this.budget} * ${this.plannedPercent} / 100 END`;
  },
  get earnedValue() {
    return sql`CASE WHEN ${this.budget} > 0 AND ${this.plannedPercent} IS NOT NULL THEN ${this.budget} * ${this.actualPercent} / 100 END`;
  },
  get statusCost() {
    return sql`CASE WHEN ${this.budget} > 0 AND ${this.plannedPercent} IS NOT NULL AND ${this.actualPercent} IS NOT NULL
      THEN coalesce(${row.sheet("statuscost", "spent")}, 0) END`;
  },
  get estimate() {
    return sql`CASE WHEN ${this.earnedValue} > 0 AND ${this.statusCost} > 0 THEN ${this.budget} * ${this.statusCost} / ${this.earnedValue} END`;
  },
});
type Figures = ReturnType<typeof figures>;

const worked = (write: (project: Figures, row: DerivedRow) => Fragment): DerivedSql => ({
  value: (row) => write(figures(row), row),
});
/** A ratio; empty where its denominator is empty or not over 0. */
const ratio = (top: Fragment, bottom: Fragment, times = sql``): Fragment =>
  sql`CASE WHEN ${bottom} > 0 THEN ${top}${times} / ${bottom} END`;
const percentOf = (top: Fragment, bottom: Fragment): Fragment => ratio(top, bottom, sql` * 100`);
/** How much the first is over the second, and never below 0; empty where either is. */
const beyond = (a: Fragment, b: Fragment): Fragment =>
  sql`CASE WHEN ${a} >= ${b} THEN ${a} - ${b} WHEN ${a} < ${b} THEN 0 END`;
const limit = (number: string) => bind(number, "numeric");

export const projectSql = {
  projectStarted: worked(({ started }) => started),
  projectFinished: worked(({ finished }) => finished),
  projectStage: worked(
    ({ started, finished }) =>
      sql`CASE WHEN ${finished} IS NOT NULL THEN 'finished' WHEN ${started} IS NOT NULL THEN 'under way' ELSE 'waiting' END`,
  ),
  budget: worked(({ budget }) => budget),
  plannedCost: worked((_, row) => row.sheet("plan", "planned")),
  plannedToDate: worked((_, row) => row.sheet("plan", "to_date")),
  actualCost: worked(({ actual }) => actual),
  projectedCost: worked(({ projected }) => projected),
  overrun: worked(({ projected, budget }) => sql`${projected} - ${budget}`),
  budgetLeft: worked(({ budget, actual }) => sql`${budget} - ${actual}`),
  budgetUsed: worked(({ budget, actual }) => percentOf(actual, budget)),
  costVerdict: worked(({ budget, projected }, { catalog }) => {
    const [within, tight] = catalog.money.costLimits;
    return sql`CASE WHEN NOT ${budget} > 0 OR ${budget} IS NULL THEN NULL
      WHEN ${projected} * 100 <= ${budget} * ${limit(within)} THEN 'within budget'
      WHEN ${projected} * 100 <= ${budget} * ${limit(tight)} THEN 'tight'
      ELSE 'over budget' END`;
  }),
  billing: worked(({ billing }) => billing),
  price: worked((_, row) => row.own("price")),
  revenue: worked(({ revenue }) => revenue),
  billed: worked(({ billed }) => billed),
  unbilled: worked(({ revenue, billed }) => beyond(revenue, billed)),
  billedAhead: worked(({ revenue, billed }) => beyond(billed, revenue)),
  margin: worked(({ margin }) => margin),
  marginPercent: worked(({ margin, revenue }) => percentOf(margin, revenue)),
  billingEfficiency: worked(({ billed, revenue }) => percentOf(billed, revenue)),
  statusDate: worked((_, row) => row.sheet("progress", "status_date")),
  actualPercent: worked(({ actualPercent }) => actualPercent),
  plannedPercent: worked(({ plannedPercent }) => plannedPercent),
  scheduleGap: worked(
    ({ actualPercent, plannedPercent }) => sql`${actualPercent} - ${plannedPercent}`,
  ),
  scheduleVerdict: worked(({ started, finished, actualPercent, plannedPercent }, row) => {
    const [onTime, atRisk, silent] = row.catalog.money.scheduleLimits;
    const gap = sql`(${actualPercent} - ${plannedPercent})`;
    return sql`CASE
      WHEN ${finished} IS NOT NULL THEN 'finished'
      WHEN ${started} IS NULL THEN NULL
      WHEN ${row.own("ends_on")} < ${row.today} THEN 'late'
      WHEN ${row.today} - coalesce(${row.sheet("progress", "status_date")}, ${started}) > ${limit(silent)} THEN 'no news'
      WHEN ${gap} >= -${limit(onTime)} THEN 'on time'
      WHEN ${gap} >= -${limit(atRisk)} THEN 'at risk'
      WHEN ${gap} IS NOT NULL THEN 'late'
    END`;
  }),
  plannedValue: worked(({ plannedValue }) => plannedValue),
  earnedValue: worked(({ earnedValue }) => earnedValue),
  statusCost: worked(({ statusCost }) => statusCost),
  costVariance: worked(({ earnedValue, statusCost }) => sql`${earnedValue} - ${statusCost}`),
  scheduleVariance: worked(
    ({ earnedValue, plannedValue }) => sql`${earnedValue} - ${plannedValue}`,
  ),
  costPerformanceIndex: worked(({ earnedValue, statusCost }) => ratio(earnedValue, statusCost)),
  schedulePerformanceIndex: worked(({ actualPercent, plannedPercent }) =>
    ratio(actualPercent, plannedPercent),
  ),
  estimateAtCompletion: worked(({ estimate }) => estimate),
  varianceAtCompletion: worked(({ estimate, budget }) => sql`${budget} - ${estimate}`),
  health: worked((_, row) => row.sheet("words", "health")),
  healthWeek: worked((_, row) => row.sheet("words", "health_week")),
  weeksSilent: worked((_, row) => row.sheet("silence", "weeks")),
} as const satisfies Record<string, DerivedSql>;
