/** The sentences that the rooms of projects ask: `this project` stands for the one whose room it is. */

const OF = "where project is this project";

interface Span {
  readonly from: string;
  readonly to: string;
}

const curve =
  (of: "cost" | "progress" | "earned value") =>
  ({ from, to }: Span): string =>
    `S-curve of ${of} of projects ${OF} by month for ${from} to ${to} as S-curve`;

export const costCurve = curve("cost");
export const progressCurve = curve("progress");
export const valueCurve = curve("earned value");

export const PLANKS = `list projects ${OF} showing planned percent, actual percent, budget used, status date`;
export const costByMonth = ({ from, to }: Span): string =>
  `sum of amount of cost entries ${OF} by month of spent on for ${from} to ${to} split by category as stacked columns`;
export const BUDGET_LEFT = `burndown of budget of projects ${OF} as line`;
export const WORKED_BY_PERSON = `sum of minutes in hours of time entries ${OF} and worked on during last 3 months by person as bars`;
export const BILLED = `list billings ${OF} showing billed on, amount sorted by billed on descending`;

const PORTFOLIO_FIELDS = [
  "project",
  "type",
  "portfolio",
  "client",
  "manager",
  "starts",
  "ends",
  "stage",
  "schedule verdict",
  "cost verdict",
  "health",
  "actual percent",
  "planned percent",
  "schedule gap",
  "budget",
  "actual cost",
  "projected cost",
  "overrun",
].join(", ");

export const ALL_PROJECTS = `list projects showing ${PORTFOLIO_FIELDS} sorted by project`;
export const NEXT_MILESTONES =
  'list milestones where state is any of ("to come", overdue) showing project, name, due, state sorted by due';

/** @param where " where …", or nothing */
export const moneyAgainstTime = (where: string): string =>
  `average schedule gap, measure "projected share", sum of budget of projects${where} by project as bubbles`;
