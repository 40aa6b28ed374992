import { folded } from "../base";
import type { MoneyRules } from "../catalog";
import { sameNumber, type CellValue } from "./cells";
import type { ReadRow } from "./readBundle";

type Values = Readonly<Record<string, CellValue>>;
export interface Wrong {
  readonly column: string;
  readonly reason: string;
}

/** What is known of a project where its file says no more. */
export interface KnownProject {
  readonly client: string | null;
  readonly billing: string | null;
  readonly budget: string | null;
  /** Its changes of budget that are kept already, by day. */
  readonly changes: readonly BudgetChange[];
}
export interface BudgetChange {
  readonly on: string;
  readonly from: string | null;
  readonly to: string | null;
}

/** Why a row of projects.csv contradicts itself. */
export function wrongProject(values: Values): Wrong | null {
  if (values.billing === "fixed" && values.price == null)
    return { column: "price", reason: "is missing: the price of a project with billing fixed" };
  const { started_on: started, finished_on: finished } = values;
  return started != null && finished != null && finished < started
    ? { column: "finished_on", reason: "finished_on is before started_on" }
    : null;
}

/** A budget that is not what its kept changes lead to, where the bundle brings none of its own. */
export function wrongBudget(values: Values, kept: KnownProject | undefined): Wrong | null {
  const last = kept?.changes.at(-1);
  return last && values.budget !== undefined && !sameNumber(values.budget as string, last.to)
    ? {
        column: "budget",
        reason: told(values.budget as string, "the budget after its changes", last.to),
      }
    : null;
}

/** By time where a client is named and nothing else is said. */
export const bills = ({
  billing,
  client,
}: {
  readonly billing?: unknown;
  readonly client?: unknown;
}): boolean => (billing ? billing !== "none" : Boolean(client));

/** Labour that is made from time entries is not entered a second time. */
export const wrongCost = ({ category }: Values, rules: MoneyRules): Wrong | null =>
  rules.labourFromTime && typeof category === "string" && folded(category) === "labour"
    ? { column: "category", reason: "labour comes from time entries here" }
    : null;

export const wrongWord = ({ health }: Values, { healthWords }: MoneyRules): Wrong | null =>
  typeof health === "string" && !healthWords.includes(health)
    ? { column: "health", reason: `"${health}" is not one of ${healthWords.join(", ")}` }
    : null;

/**
 * The changes of one project's budget that do not tell one story: each begins with what the one before it left, and the last
 * leaves the budget that the project has.
 * @param brought rows of budget_changes.csv
 * @returns each wrong row with its reason, the last of the file first
 */
export function wrongChanges(
  brought: readonly ReadRow[],
  kept: readonly BudgetChange[],
  budget: string | null,
): readonly { readonly row: ReadRow; readonly wrong: Wrong }[] {
  const days = new Set(brought.map(({ values }) => values.on));
  const wrong: { row: ReadRow; wrong: Wrong }[] = [];
  const story = [
    ...kept.filter(({ on }) => !days.has(on)).map((change) => ({ change, row: null })),
    ...brought.map((row) => ({ change: row.values as unknown as BudgetChange, row })),
  ].sort((a, b) => (a.change.on < b.change.on ? -1 : 1));
  const good: typeof story = [];
  for (const one of story) {
    const before = good.at(-1)?.change;
    if (one.row && before && !sameNumber(before.to, one.change.from ?? null))
      wrong.push({
        row: one.row,
        wrong: { column: "from", reason: told(one.change.from, "the budget before it", before.to) },
      });
    else good.push(one);
  }
  for (let last = good.pop(); last?.row; last = good.pop()) {
    if (sameNumber(last.change.to ?? null, budget)) break;
    wrong.push({
      row: last.row,
      wrong: {
        column: "to",
        reason: told(last.change.to, "the budget in projects.csv", budget),
      },
    });
  }
  return wrong;
}

const told = (said: string | null | undefined, what: string, known: string | null): string =>
  `"${said ?? ""}" is not ${what}, which is "${known ?? ""}"`;
