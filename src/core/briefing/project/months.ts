import { hoursWords } from "../../base";
import { figure, MONEY_HIDDEN, paragraph, type BriefingPart } from "../part";
import type { Run } from "../text";
import { counted, fullMonth, listed, moneyWords, shortDay } from "../words";
import { OF } from "./asked";

const SPENT = `sum of amount of cost entries ${OF} and spent on during this month so far by category`;
const PLANNED = `sum of amount of planned costs ${OF} and planned for during this month`;
const UNPRICED = `sum of minutes of time entries ${OF} and worked on during this month so far and cost is not set by person`;

/** What this month cost so far, and of which kinds. */
export const thisMonth: BriefingPart = {
  id: "this month",
  title: () => "This month",
  asks: () => ({ spent: SPENT, planned: PLANNED, unpriced: UNPRICED }),
  write({ spent, planned, unpriced }, { today, currency }) {
    if (spent.isHidden) return [MONEY_HIDDEN];
    if (spent.records === 0 && planned.records === 0) return [];
    const groups = [...spent.groups].sort(
      (a, b) => Number(a.name === null) - Number(b.name === null) || b.value.comparedTo(a.value),
    );
    const categories = groups.map(({ name, value }): Run[] => [
      `${name ?? "not set"} `,
      figure(`category ${name ?? ""}`, moneyWords(value, currency), SPENT),
    ]);
    const people = unpriced.groups.map(({ name }) => [name ?? "nobody by name"]);
    return [
      paragraph(
        `${fullMonth(today)} so far: `,
        ...(spent.total && spent.records > 0
          ? [figure("spent this month", moneyWords(spent.total, currency), SPENT)]
          : ["nothing"]),
        ...(categories.length > 1 || (groups[0]?.name ?? null) !== null
          ? [", of which ", ...listed(categories)]
          : []),
        ".",
        ...(planned.total && planned.records > 0
          ? [
              " Planned for the whole month: ",
              figure("planned this month", moneyWords(planned.total, currency, "plan"), PLANNED),
              ".",
            ]
          : []),
        ...(unpriced.records > 0
          ? [
              " ",
              figure(
                "without cost",
                counted(unpriced.records, "time entry", "time entries"),
                UNPRICED,
              ),
              ` (${hoursWords(unpriced.total ?? 0)}) ${unpriced.records === 1 ? "has" : "have"} no cost: no rate is known for `,
              ...listed(people),
              ".",
            ]
          : []),
      ),
    ];
  },
};

const LATER = `list cost entries ${OF} and spent on after today showing spent on, category, amount sorted by spent on`;
const MOST_LATER = 5;

/** What is entered for days to come. */
export const toCome: BriefingPart = {
  id: "to come",
  title: () => "To come",
  asks: () => ({ later: LATER }),
  write({ later }, { today, currency }) {
    if (later.isHidden || later.rows[0]?.hidesMoney) return [MONEY_HIDDEN];
    if (later.rows.length === 0) return [];
    const named = later.rows
      .slice(0, MOST_LATER)
      .map((row, i): Run[] => [
        `${row.words("category") ?? "of no category"} `,
        figure(`later ${i}`, moneyWords(row.number("amount") ?? 0, currency), LATER),
        ` on ${shortDay(row.day("spent on")!, today)}`,
      ]);
    const more = later.records - named.length;
    return [
      paragraph(
        "Entered for later: ",
        ...(more > 0 ? listed([...named, [`${more} more`]]) : listed(named, ", ")),
        ".",
      ),
    ];
  },
};

const TIME = `sum of minutes of time entries ${OF} and worked on during this month by person`;
const MOST_PEOPLE = 8;

/** Who worked on it this month. */
export const time: BriefingPart = {
  id: "time",
  title: ({ today }) => `Who worked on it in ${fullMonth(today)}`,
  asks: () => ({ worked: TIME }),
  write({ worked }) {
    if (!worked.total || worked.records === 0) return [];
    const groups = [...worked.groups].sort((a, b) => b.value.comparedTo(a.value));
    const named = groups
      .slice(0, MOST_PEOPLE)
      .map(({ name, value }): Run[] => [
        `${name ?? "nobody by name"} `,
        figure(`worked ${name ?? ""}`, hoursWords(value), TIME),
      ]);
    const more = groups.length - named.length;
    return [
      paragraph(
        figure("worked", hoursWords(worked.total), TIME),
        " in all: ",
        ...(more > 0 ? listed([...named, [`${more} more`]]) : listed(named, ", ")),
        ".",
      ),
    ];
  },
};
