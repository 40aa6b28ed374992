import { TABLES, type RawBundle, type RawTable, type TableId } from "@/core/bundle";
import {
  addDays,
  addMonths,
  instantText,
  mondayOf,
  startOfDay,
  weekName,
  weekdayOf,
  type Day,
} from "@/core/time";
import { PEOPLE, PROJECTS, ZONE } from "./cast";
import type { Made } from "./files";

/** How a project goes: months from today to its start and end, what is done and was to be (percent), and what it costs of its plan. */
interface Story {
  readonly months: readonly [start: number, end: number];
  readonly done: number;
  readonly planned: number;
  readonly costs: number;
  readonly billing?: "time" | "fixed";
  readonly finished?: true;
  /** Days by which its last milestone slipped. */
  readonly slips?: number;
  /** Healths of its last eight weeks, the oldest first; nothing where nobody said anything. */
  readonly words: readonly (string | null)[];
}

const WELL = Array.from({ length: 8 }, () => "well");
const STORIES: Readonly<Record<string, Story>> = {
  "Heron refit": {
    months: [-9, 1],
    done: 76,
    planned: 82,
    costs: 1.22,
    slips: 10,
    words: ["well", "well", "well", "worried", "worried", "worried", "stuck", "stuck"],
  },
  "Curlew refit": { months: [-6, 5], done: 48, planned: 50, costs: 0.98, words: WELL },
  "Electric shuttle": {
    months: [-5, 7],
    done: 41,
    planned: 40,
    costs: 0.95,
    billing: "fixed",
    words: WELL,
  },
  "New quay at Oxney": {
    months: [-7, 4],
    done: 35,
    planned: 55,
    costs: 0.7,
    billing: "time",
    slips: 31,
    words: ["well", "worried", "worried", "stuck", "stuck", "stuck", "stuck", null],
  },
  "Gate readers 4": {
    months: [-4, 2],
    done: 60,
    planned: 63,
    costs: 1.05,
    words: ["well", "well", "worried", "worried", "well", "well", "well", "well"],
  },
  "Shelter roofs": {
    months: [-6, -1],
    done: 100,
    planned: 100,
    costs: 0.9,
    billing: "time",
    finished: true,
    words: [],
  },
  "Booking site 3": { months: [-8, 3], done: 70, planned: 68, costs: 1, words: WELL },
  "One ticket": {
    months: [-7, 2],
    done: 72,
    planned: 70,
    costs: 0.9,
    billing: "fixed",
    words: WELL,
  },
  "Crew app": {
    months: [-3, 4],
    done: 20,
    planned: 30,
    costs: 1.1,
    words: [null, null, "well", "well", "well", "worried", "worried", null],
  },
};

/** Those who build vessels and quays cost more an hour than those who sit at a desk. */
const rateOf = (place: number): { readonly rate: number; readonly cost: number } => ({
  rate: 60 + (place % 5) * 6,
  cost: 36 + (place % 5) * 4,
});

const table = (id: TableId, rows: readonly (readonly string[])[]): RawTable => ({
  columns: TABLES[id].columns.map((column) => column.name),
  rows,
});
const money = (amount: number): string => String(Math.round(amount));

interface Told extends Story {
  readonly project: string;
  readonly manager: string;
  readonly budget: number;
  readonly labour: number;
  readonly starts: Day;
  readonly ends: Day;
}

/** What the time entries of each project cost. */
function labourOf({ time }: Made): ReadonlyMap<string, number> {
  const costs = new Map(PEOPLE.map(({ login }, i) => [login, rateOf(i).cost]));
  const labour = new Map<string, number>();
  for (const [, project, who, , minutes] of time)
    if (project)
      labour.set(
        project,
        (labour.get(project) ?? 0) + (Number(minutes) * (costs.get(who) ?? 0)) / 60,
      );
  return labour;
}

function toldOf(made: Made): Told[] {
  const labour = labourOf(made);
  return PROJECTS.flatMap(([project, , , , manager, , budget]) => {
    const story = STORIES[project];
    if (!story) return [];
    const cost = labour.get(project) ?? 0;
    // A project of much work has a budget that this work could fit into.
    const fitting = Math.ceil(cost / (story.costs * 0.9 * (story.planned / 100)) / 10_000) * 10_000;
    return [
      {
        ...story,
        project,
        manager,
        labour: cost,
        budget: Math.max(Number(budget), fitting),
        starts: addMonths(made.today, story.months[0]),
        ends: addMonths(made.today, story.months[1]),
      },
    ];
  });
}

/** The months of a project, as first days. */
function monthsOf({ starts, ends }: Told): Day[] {
  const months: Day[] = [];
  for (let month = `${starts.slice(0, 7)}-01`; month <= ends; month = addMonths(month, 1))
    months.push(month);
  return months;
}

/** The books of the projects: what they may cost, cost and earn, how far they are, and what is said of them. */
export function booksOf(made: Made): RawBundle {
  const { today } = made;
  const told = toldOf(made);
  const by = new Map(told.map((one) => [one.project, one]));
  return {
    projects: table(
      "projects",
      PROJECTS.map(([project, type, portfolio, client, manager, teams, budget]) => {
        const one = by.get(project);
        return [
          project,
          type,
          portfolio,
          client,
          manager,
          one?.starts ?? addMonths(today, 1),
          one?.ends ?? addMonths(today, 4),
          money(budgetNow(one, Number(budget))),
          teams,
          one ? addDays(one.starts, 3) : "",
          one?.finished ? addDays(one.ends, -2) : "",
          one?.billing ?? (client ? "none" : ""),
          one?.billing === "fixed" ? money(one.budget * 1.3) : "",
        ];
      }),
    ),
    budget_changes: table(
      "budget_changes",
      told
        .filter(({ project }) => project === "Heron refit")
        .map((one) => [
          one.project,
          addMonths(today, -3),
          money(one.budget),
          money(budgetNow(one, 0)),
          "the engine bed was worse than surveyed",
        ]),
    ),
    rates: table("rates", rates(today)),
    absences: table("absences", [
      ["cal", addDays(today, 8), addDays(today, 9), ""],
      ["sunniva", addDays(today, 1), addDays(today, 3), "0.5"],
      ["aoife", addDays(today, -20), addDays(today, -13), ""],
    ]),
    capacities: table("capacities", [["idris", addMonths(today, -2), "360", "Mon;Tue;Wed;Thu"]]),
    progress: table(
      "progress",
      told.flatMap((one) => progress(one, today)),
    ),
    cost_entries: table(
      "cost_entries",
      told.flatMap((one) => costs(one, today)),
    ),
    planned_costs: table("planned_costs", told.flatMap(planned)),
    billings: table(
      "billings",
      told.filter(({ billing }) => billing).flatMap((one) => billings(one, today)),
    ),
    milestones: table(
      "milestones",
      told.flatMap((one) => milestones(one, today)),
    ),
    weekly_words: table(
      "weekly_words",
      told.flatMap((one) => words(one, today)),
    ),
  };
}

const budgetNow = (one: Told | undefined, otherwise: number): number =>
  one ? (one.project === "Heron refit" ? one.budget + 30_000 : one.budget) : otherwise;

/** Everybody has a rate; it rose at the beginning of the last quarter, and one has another on a project of their own. */
function rates(today: Day): string[][] {
  const rose = `${addMonths(today, -2).slice(0, 7)}-01`;
  return [
    ...PEOPLE.filter(({ client }) => !client).flatMap(({ login }, i) => {
      const { rate, cost } = rateOf(PEOPLE.findIndex((person) => person.login === login));
      const first = [login, "", "", String(rate), String(cost)];
      return i % 3 === 0 ? [first, [login, "", rose, String(rate + 6), String(cost + 3)]] : [first];
    }),
    ["cal", "New quay at Oxney", "", "95", ""],
  ];
}

/** Straight up to now, a little under or over what was planned. */
function progress(one: Told, today: Day): string[][] {
  const steps = 4;
  const until = one.finished ? one.ends : today;
  const days = (new Date(until).getTime() - new Date(one.starts).getTime()) / 86_400_000;
  const points = Array.from({ length: steps }, (_, i) => [
    one.project,
    addDays(one.starts, Math.round((days * (i + 1)) / steps) - 2),
    String(Math.round((one.planned * (i + 1)) / steps)),
    String(Math.round((one.done * (i + 1)) / steps)),
  ]);
  return one.finished ? points : [...points, [one.project, one.ends, "100", ""]];
}

const CATEGORIES = ["materials", "yard", "hire"];

/** What is not work, month by month: so much of the budget as was to be spent by now, less the work. */
function costs(one: Told, today: Day): string[][] {
  const until = one.finished ? one.ends : today;
  const months = monthsOf(one).filter((month) => addDays(month, 9) <= until);
  const rest = Math.max(
    one.budget * (one.planned / 100) * one.costs - one.labour,
    one.budget * 0.05,
  );
  return months.map((month, i) => [
    one.project,
    addDays(month, 9),
    CATEGORIES[i % CATEGORIES.length],
    money((rest / months.length) * (0.85 + (i % 4) * 0.1)),
    "",
    "",
    one.billing === "time" && i % 2 === 0 ? "yes" : "no",
  ]);
}

function planned(one: Told): string[][] {
  const months = monthsOf(one);
  const share = one.labour / (one.budget * (one.planned / 100));
  return months.flatMap((month) => {
    const amount = (one.budget * 0.97) / months.length;
    const work = Math.min(share, 0.9);
    return [
      [one.project, month.slice(0, 7), "labour", money(amount * work)],
      [one.project, month.slice(0, 7), "materials", money(amount * (1 - work))],
    ];
  });
}

/** A third of it at a time; of what is billed by time, the last weeks are not billed yet. */
function billings(one: Told, today: Day): string[][] {
  const done = one.budget * 1.2 * (one.done / 100);
  return [4, 2, 1].map((ago, i) => [
    one.project,
    addMonths(one.finished ? one.ends : today, -ago),
    money((done * (one.billing === "fixed" ? 0.34 : 0.24)) / (i === 2 ? 2 : 1)),
  ]);
}

function milestones({ project, starts, ends, slips = 0, finished }: Told, today: Day): string[][] {
  const middle = addMonths(starts, 3);
  const late = slips ? addDays(today, -4) : addMonths(today, 1);
  const reached = (day: Day) => (day <= today ? day : "");
  return [
    [project, "Plans agreed", addDays(starts, 20), reached(addDays(starts, 22)), ""],
    [project, "Half way", middle, reached(addDays(middle, 5)), ""],
    ...(finished ? [] : [[project, "Trial", late, "", slips ? addDays(late, -slips) : ""]]),
    [
      project,
      "Handed over",
      addDays(ends, finished ? -2 : slips),
      finished ? addDays(ends, -2) : "",
      ends,
    ],
  ];
}

const SAID: Readonly<Record<string, readonly [done: string, next: string, worry: string]>> = {
  well: ["The week went as planned.", "On with the next part.", ""],
  worried: ["Less than hoped.", "Catch up what was left.", "Parts come later than promised."],
  stuck: ["Waited.", "Begin as soon as they are here.", "Nothing is promised before next month."],
};

/** Eight weeks of words, the last that is over at the end; who is silent has none. */
function words({ project, manager, words: healths }: Told, today: Day): string[][] {
  const monday = mondayOf(today);
  return healths.flatMap((health, i) => {
    if (health === null) return [];
    const begins = addDays(monday, -7 * (healths.length - i));
    const handedIn = instantText(startOfDay(addDays(begins, 4), ZONE) + 15 * 3_600_000_000);
    return [[project, manager, weekName(begins), health, ...SAID[health], handedIn]];
  });
}

/** Two people have more before them than their days hold: booked ahead, for the next three weeks. */
export function bookedAhead({ today }: Made, end: string): string[][] {
  const days = Array.from({ length: 21 }, (_, i) => addDays(today, i + 1)).filter(
    (day) => weekdayOf(day) <= 5,
  );
  return days.flatMap((day) =>
    [
      ["cal", "Heron refit", "600"],
      ["idris", "One ticket", "480"],
    ].map(([who, project, minutes]) => ["", project, who, day, minutes, "no", "", "", end]),
  );
}
