import type { Exact } from "../../base";
import { figure, MONEY_HIDDEN, paragraph, type BriefingPart, type BriefingPlace } from "../part";
import type { Run } from "../text";
import type { ToldRow } from "../told";
import { moneyWords, percentWords, shortDay } from "../words";
import { behind, OF, showing } from "./asked";

const ASKED = showing(
  "actual cost",
  "budget",
  "budget used",
  "planned to date",
  "projected cost",
  "overrun",
  "cost performance index",
  "estimate at completion",
);

/** An amount of the project, which opens into what it is made of. */
const amount = (
  field: string,
  value: Exact,
  currency: string,
  form: "entry" | "plan" = "entry",
): Run => figure(field, moneyWords(value, currency, form), behind(field, "budget", "actual cost"));

/** "€7 023.34 over", "just", "€1 200 under". */
function held(over: Exact, currency: string, key: string): Run {
  if (over.isZero()) return "just";
  const words = `${moneyWords(over.abs(), currency, "plan")} ${over.gt(0) ? "over" : "under"}`;
  return figure(key, words, behind("overrun", "projected cost", "budget"));
}

function spent(row: ToldRow, { currency }: BriefingPlace): Run[] {
  const actual = row.number("actual cost")!;
  const budget = row.number("budget");
  const planned = row.number("planned to date");
  const used = row.number("budget used");
  const told = amount("actual cost", actual, currency);
  return [
    ...(budget?.gt(0)
      ? [told, " of the budget of ", amount("budget", budget, currency, "plan"), " is spent"]
      : [told, " is spent, and there is no budget"]),
    ...(budget?.gt(0) && used
      ? [" (", figure("budget used", percentWords(used), behind("budget used", "budget")), ")"]
      : []),
    ...(planned
      ? ["; ", amount("planned to date", planned, currency, "plan"), " was planned until today"]
      : []),
    ".",
  ];
}

function projection(row: ToldRow, { currency, budgetToCome, today }: BriefingPlace): Run[] {
  const actual = row.number("actual cost")!;
  const projected = row.number("projected cost");
  if (!projected) return [];
  const [budget, overrun] = [row.number("budget"), row.number("overrun")];
  const rest = projected.minus(actual);
  const told = amount("projected cost", projected, currency);
  return [
    ...(rest.isZero()
      ? [" Nothing is still to come: the projected cost is ", told]
      : [
          " With ",
          figure(
            "to come",
            moneyWords(rest, currency, "plan"),
            behind("projected cost", "actual cost"),
          ),
          " still to come, the projected cost is ",
          told,
        ]),
    ...(budget?.gt(0) && overrun ? [": ", held(overrun, currency, "overrun"), " the budget"] : []),
    ".",
    ...(budgetToCome && budget
      ? [
          ` From ${shortDay(budgetToCome.on, today)} the budget is `,
          figure("budget to come", moneyWords(budgetToCome.to, currency, "plan"), behind("budget")),
          "; that leaves it ",
          held(projected.minus(budgetToCome.to), currency, "overrun to come"),
          ".",
        ]
      : []),
  ];
}

function estimate(row: ToldRow, { currency }: BriefingPlace): Run[] {
  const [index, whole] = [
    row.number("cost performance index"),
    row.number("estimate at completion"),
  ];
  if (!index?.lt(1) || !whole) return [];
  const says = showing(
    "estimate at completion",
    "cost performance index",
    "earned value",
    "status cost",
  );
  return [
    " At the cost of the work done so far, the whole would come to ",
    figure("estimate at completion", moneyWords(whole, currency), says),
    ".",
  ];
}

/** What is spent, what it will come to, and what that leaves of the budget. */
export const money: BriefingPart = {
  id: "money",
  title: () => "Money",
  asks: () => ({ project: ASKED }),
  write({ project }, place) {
    const row = project.rows[0];
    if (!row) return [];
    if (row.hidesMoney) return [MONEY_HIDDEN];
    if (!row.number("actual cost")) return [];
    return [paragraph(...spent(row, place), ...projection(row, place), ...estimate(row, place))];
  },
};

const REVENUE = showing(
  "billing",
  "revenue",
  "billed",
  "unbilled",
  "billed ahead",
  "margin",
  "margin percent",
);

/** What it earns, of a project that bills. */
export const revenue: BriefingPart = {
  id: "revenue",
  title: () => "Revenue",
  asks: () => ({ project: REVENUE }),
  write({ project }, { currency }) {
    const row = project.rows[0];
    if (!row) return [];
    if (row.words("billing") === "none" || !row.words("billing")) return [];
    if (row.hidesMoney) return [MONEY_HIDDEN];
    const [earned, billed] = [row.number("revenue"), row.number("billed")];
    if (!earned || !billed) return [];
    const [open, ahead] = [row.number("unbilled"), row.number("billed ahead")];
    const [margin, percent] = [row.number("margin"), row.number("margin percent")];
    const told = (field: string, value: Exact): Run =>
      figure(field, moneyWords(value, currency), behind(field, "revenue", "billed", "actual cost"));
    return [
      paragraph(
        told("revenue", earned),
        " is earned, ",
        told("billed", billed),
        " is billed",
        ...(open?.gt(0)
          ? ["; ", told("unbilled", open), " is not billed yet"]
          : ahead?.gt(0)
            ? ["; ", told("billed ahead", ahead), " is billed ahead"]
            : []),
        ".",
        ...(margin
          ? [
              " The margin is ",
              told("margin", margin),
              ...(percent
                ? [" (", figure("margin percent", percentWords(percent), REVENUE), ")"]
                : []),
              ".",
            ]
          : []),
      ),
    ];
  },
};

/** Cost and budget, drawn. */
export const moneyDrawn: BriefingPart = {
  id: "money drawn",
  title: () => "Money, month by month",
  asks: () => ({ project: showing("actual cost", "budget", "planned cost") }),
  write({ project }, { span }) {
    const row = project.rows[0];
    if (!row) return [];
    if (row.hidesMoney) return [MONEY_HIDDEN];
    const isOfCost = row.number("actual cost")?.isZero() === false || row.number("planned cost");
    const drawings = [
      ...(span && isOfCost
        ? [
            {
              title: "Cost, planned and spent",
              says: `S-curve of cost of projects ${OF} by month for ${span.from} to ${span.to} as S-curve`,
            },
          ]
        : []),
      ...(row.number("budget")?.gt(0)
        ? [
            {
              title: "What is left of the budget",
              says: `burndown of budget of projects ${OF} as line`,
            },
          ]
        : []),
    ];
    return drawings.map((drawing) => ({ kind: "drawing", ...drawing }));
  },
};
