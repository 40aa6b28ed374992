import { Exact } from "../../base";
import { planned } from "../../plan";
import type { Viewpoint } from "../../relation";
import { sql } from "../../sql";
import { signed } from "../addsUp";
import { definePlanned, type FigureTable } from "../definePlanned";
import { sheetNumber, toldNumber } from "../numbers";
import { among, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { projectsOf } from "../projectScope";
import type { BudgetAnswer } from "./answer";
import type { BudgetReport } from "./definition";
import { budgetParts } from "./parts";
import { planBudget } from "./planBudget";
import { budgetTelling } from "./telling";

/** The projects whose budgets it is of, whichever part is opened. */
function source(
  report: BudgetReport,
  { path, split }: Opened,
  view: Viewpoint,
): RecordSource | null {
  const part = path.length ? budgetParts.read(path[0]) : undefined;
  if (part === null || path.length > 1 || split !== undefined) return null;
  return among(sql`SELECT p.id FROM (${projectsOf(report, view, true)}) p`, view);
}

const body = (answer: BudgetAnswer): object => ({
  from: answer.span?.from ?? null,
  to: answer.span?.to ?? null,
  committed: toldNumber(answer.committed),
  spentBefore: toldNumber(answer.spentBefore),
  raised: toldNumber(answer.raised),
  cut: toldNumber(answer.cut),
  spent: toldNumber(answer.spent),
  remaining: toldNumber(answer.remaining),
  byPlan: toldNumber(answer.byPlan),
  projects: answer.projects,
  leftOut: answer.leftOut,
  steps: answer.steps.map((step) => ({ ...step, amount: toldNumber(step.amount) })),
});

const table = ({ days }: BudgetAnswer): FigureTable => ({
  columns: ["day", "left", "by plan"],
  rows: days.map(({ day, remaining, byPlan }) => [
    day,
    sheetNumber(remaining),
    sheetNumber(byPlan),
  ]),
});

/** "36 000 + 4 000 raised − 37 023.34 spent = 2 976.66 left". */
function addsUp(answer: BudgetAnswer): string | null {
  if (!answer.span) return null;
  const { committed, spentBefore, raised, cut, spent, remaining } = answer;
  const less = (amount: string, what: string) => signed(new Exact(amount).neg().toFixed(), what);
  return `${committed}${less(spentBefore, "spent before")}${signed(raised, "raised")}${less(cut, "cut")}${less(spent, "spent")} = ${remaining} left`;
}

export const budgetPlanned = definePlanned<BudgetReport, BudgetAnswer>({
  answer: planBudget,
  *shown(report, dress, view) {
    return shownHistory(yield* planBudget(report, view), report, dress, view, budgetTelling);
  },
  body: (answer) => planned(body(answer)),
  table,
  addsUp: () => null,
  source: (report, opened, view) => planned(source(report, opened, view)),
  partNamed: (_report, group, split) =>
    planned(split === undefined ? { path: group.map(String) } : null),
  *notes(report, view) {
    const says = addsUp(yield* planBudget(report, view));
    return says === null ? [] : [{ about: "it adds up", says }];
  },
});
