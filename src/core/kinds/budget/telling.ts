import { Exact, numberText } from "../../base";
import { strong, type Said } from "../../figure";
import { dayText } from "../../time";
import type { Telling } from "../past";
import type { BudgetAnswer } from "./answer";
import { budgetFigure } from "./figure";

const money = (value: string): string => numberText(new Exact(value), 2);

function blank({ span, projects, leftOut }: BudgetAnswer, words: string): string | null {
  if (span) return null;
  if (projects > 0)
    return "None of them says when it starts and ends: say from which day to which.";
  return leftOut.length
    ? `None of them has a budget: ${leftOut.join(", ")}.`
    : `No ${words} matched this.`;
}

function says(answer: BudgetAnswer): Said[] {
  const { committed, spentBefore, raised, cut, spent, remaining, byPlan, span, leftOut } = answer;
  const isZero = (value: string) => new Exact(value).isZero();
  const parts = [
    ...(isZero(spentBefore) ? [] : [`${money(spentBefore)} spent before`]),
    ...(isZero(raised) ? [] : [`${money(raised)} raised`]),
    ...(isZero(cut) ? [] : [`${money(cut)} cut`]),
    `${money(spent)} spent`,
  ];
  const plan = byPlan === null ? "" : ` By plan ${money(byPlan)} would be left.`;
  const without = leftOut.length ? ` Without a budget, and left out: ${leftOut.join(", ")}.` : "";
  return [
    strong(money(remaining)),
    { text: " left of " },
    strong(money(committed)),
    { text: ` on ${dayText(span!.until)}: ${parts.join(", ")}.${plan}${without}` },
  ];
}

export const budgetTelling: Telling<BudgetAnswer> = { figure: budgetFigure, says, blank };
