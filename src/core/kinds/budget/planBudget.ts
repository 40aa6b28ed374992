import { Exact } from "../../base";
import type { Plan } from "../../plan";
import { budgetAt, budgetChanges, passedOfMonth, sheets } from "../../projects/sql";
import { booksOf, type Viewpoint } from "../../relation";
import { compile, sql, type Fragment } from "../../sql";
import { addDays, type Day, type WorkCalendar } from "../../time";
import { dayBound, projectsOf, todayOf } from "../projectScope";
import type { BudgetAnswer, BudgetStep } from "./answer";
import type { BudgetReport } from "./definition";

const ZERO = new Exact(0);
/** More points than this are not told apart in a drawing. */
const MOST_DAYS = 240;

interface Taking {
  readonly id: number;
  readonly hasPlan: boolean;
  readonly starts: Day | null;
  readonly ends: Day | null;
}

const nothing = (view: Viewpoint, leftOut: readonly string[], projects: number): BudgetAnswer => ({
  kind: "budget",
  span: null,
  committed: "0",
  spentBefore: "0",
  raised: "0",
  cut: "0",
  spent: "0",
  remaining: "0",
  byPlan: null,
  projects,
  leftOut,
  steps: [],
  days: [],
  asOf: view.now,
});

/** Budgets the day before, less what was spent before, and what was raised, cut and spent since, day by day. */
export function* planBudget(report: BudgetReport, view: Viewpoint): Plan<BudgetAnswer> {
  const { calendar, catalog } = view;
  const books = booksOf(view);
  const all = projectsOf(report, view, true);
  const [found] = yield [
    compile(sql`SELECT p.id, p.starts_on::text, p.ends_on::text, terms.budget IS NULL,
        EXISTS (SELECT 1 FROM (${books.rows("plannedCosts", ["project"])}) c WHERE c.c0 = p.id)
      FROM projects p JOIN (${all}) chosen ON chosen.id = p.id
      JOIN (${sheets.terms(books)}) terms ON terms.project_id = p.id ORDER BY p.name COLLATE "natural"`),
  ];
  const leftOut = found
    .filter((row) => isTrue(row[3]))
    .map(([id]) => catalog.names.find("project", Number(id))?.label ?? "");
  const taking = found
    .filter((row) => !isTrue(row[3]))
    .map(([id, starts, ends, , hasPlan]): Taking => ({
      id: Number(id),
      starts,
      ends,
      hasPlan: isTrue(hasPlan),
    }));
  const from = report.ends?.from ?? earliest(taking.map(({ starts }) => starts));
  const to = report.ends?.to ?? latest(taking.map(({ ends }) => ends));
  if (!from || !to || taking.length === 0) return nothing(view, leftOut, taking.length);
  const today = todayOf(view);
  const until = today < to ? today : to;
  const ids = sql`SELECT p.id FROM projects p JOIN (${all}) chosen ON chosen.id = p.id JOIN (${sheets.terms(books)}) terms ON terms.project_id = p.id WHERE terms.budget IS NOT NULL`;
  const [budgets, changes, entries, plans] = yield statements(ids, from, to, until, view);
  const before = new Map(budgets.map(([id, budget]) => [Number(id), new Exact(budget ?? 0)]));
  const committed = [...before.values()].reduce((sum, budget) => sum.plus(budget), ZERO);
  const spentBefore = entries
    .filter(([day]) => day === null)
    .reduce((sum, [, , amount]) => sum.plus(amount ?? 0), ZERO);
  const changed = changes.map(([day, id, amount]) => ({
    day: day!,
    project: Number(id),
    amount: new Exact(amount ?? 0),
  }));
  const steps = stepsOf(changed, entries, until);
  const sum = (cause: BudgetStep["cause"]) =>
    steps
      .filter((step) => step.cause === cause)
      .reduce((total, { amount }) => total.plus(amount), ZERO);
  const [raised, cut, spent] = [sum("raised"), sum("cut"), sum("spent")];
  const left = committed.minus(spentBefore);
  const guide = guideOf({ taking, before, changed, plans, calendar });
  return {
    kind: "budget",
    span: { from, to, until },
    committed: committed.toFixed(),
    spentBefore: spentBefore.toFixed(),
    raised: raised.toFixed(),
    cut: cut.toFixed(),
    spent: spent.toFixed(),
    remaining: left.plus(raised).minus(cut).minus(spent).toFixed(),
    byPlan: guide?.(until).toFixed() ?? null,
    projects: taking.length,
    leftOut,
    steps,
    days: drawnDays(from, to, until).map((day) => ({
      day,
      remaining: day <= until ? remainingAt(left, steps, day).toFixed() : null,
      byPlan: guide?.(day).toFixed() ?? null,
    })),
    asOf: view.now,
  };
}

const isTrue = (value: string | null): boolean => value?.startsWith("t") ?? false;
const known = (days: readonly (Day | null)[]): Day[] =>
  days.filter((day): day is Day => day !== null).sort();
const earliest = (days: readonly (Day | null)[]): Day | undefined => known(days)[0];
const latest = (days: readonly (Day | null)[]): Day | undefined => known(days).at(-1);

function statements(ids: Fragment, from: Day, to: Day, until: Day, view: Viewpoint) {
  const books = booksOf(view);
  const dayBefore = dayBound(addDays(from, -1));
  const [first, end] = [dayBound(from), dayBound(until)];
  return [
    compile(
      sql`SELECT p.id, ${budgetAt(dayBefore)} FROM projects p${budgetChanges(dayBefore)} WHERE p.id IN (${ids})`,
    ),
    compile(sql`SELECT c."on"::text, c.project_id, coalesce(c."to", 0) - coalesce(c."from", 0) FROM budget_changes c
      WHERE c.project_id IN (${ids}) AND c."on" BETWEEN ${first} AND ${dayBound(to)} ORDER BY c."on", c.project_id`),
    compile(sql`SELECT CASE WHEN e.c1 >= ${first} THEN e.c1::text END, CASE WHEN e.c1 >= ${first} THEN e.c0 END, sum(e.c2)
      FROM (${books.rows("costEntries", ["project", "spent on", "amount"])}) e
      WHERE e.c0 IN (${ids}) AND e.c1 <= ${end} GROUP BY 1, 2 ORDER BY 1, 2`),
    compile(sql`SELECT e.c1::text, sum(e.c2) FROM (${books.rows("plannedCosts", ["project", "planned for", "amount"])}) e
      WHERE e.c0 IN (${ids}) GROUP BY 1`),
  ];
}

interface Changed {
  readonly day: Day;
  readonly project: number;
  readonly amount: Exact;
}

/** One for each day, project and cause that comes to anything. */
function stepsOf(
  changed: readonly Changed[],
  entries: readonly (readonly (string | null)[])[],
  until: Day,
): BudgetStep[] {
  const steps = changed
    .filter(({ day, amount }) => day <= until && !amount.isZero())
    .map(({ day, project, amount }): BudgetStep => ({
      day,
      project,
      cause: amount.gt(0) ? "raised" : "cut",
      amount: amount.abs().toFixed(),
    }));
  for (const [day, project, amount] of entries)
    if (day !== null && !new Exact(amount ?? 0).isZero())
      steps.push({ day, project: Number(project), cause: "spent", amount: amount! });
  return steps.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.project - b.project));
}

const remainingAt = (left: Exact, steps: readonly BudgetStep[], day: Day): Exact =>
  steps
    .filter((step) => step.day <= day)
    .reduce(
      (sum, { cause, amount }) => (cause === "raised" ? sum.plus(amount) : sum.minus(amount)),
      left,
    );

/** Budget less plan, of the projects that have a plan; null where none has. */
function guideOf({
  taking,
  before,
  changed,
  plans,
  calendar,
}: {
  readonly taking: readonly Taking[];
  readonly before: ReadonlyMap<number, Exact>;
  readonly changed: readonly Changed[];
  readonly plans: readonly (readonly (string | null)[])[];
  readonly calendar: WorkCalendar;
}): ((day: Day) => Exact) | null {
  const planned = new Set(taking.filter(({ hasPlan }) => hasPlan).map(({ id }) => id));
  if (planned.size === 0) return null;
  const base = [...planned].reduce((sum, id) => sum.plus(before.get(id) ?? 0), ZERO);
  return (day) => {
    const budget = changed
      .filter((change) => planned.has(change.project) && change.day <= day)
      .reduce((sum, { amount }) => sum.plus(amount), base);
    const month = `${day.slice(0, 7)}-01`;
    const { passed, of } = passedOfMonth(day, calendar);
    return plans.reduce((left, [at, amount]) => {
      if (at! > month) return left;
      const part = at! < month ? new Exact(amount!) : new Exact(amount!).times(passed).div(of);
      return left.minus(part);
    }, budget);
  };
}

/** The days that are drawn: all of them, or so many as can be told apart; the last that is known is always one. */
function drawnDays(from: Day, to: Day, until: Day): Day[] {
  const all: Day[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) all.push(day);
  const stride = Math.ceil(all.length / MOST_DAYS);
  return all.filter((day, i) => i % stride === 0 || day === until || day === to);
}
