import type { RawBundle, RawTable, TableId } from "@/core/bundle";
import { addDays, type Day } from "@/core/time";
import { readBundleFiles } from "@/data";
import { Random } from "@/demo/random";
import { MONEY_BUNDLE } from "../golden/money/load";

/** A row of a file, by its columns; what is not given is empty. */
export type Row = Readonly<Record<string, string>>;
export type Tables = Readonly<Partial<Record<TableId, readonly Row[]>>>;

const BEGIN: Day = "2026-06-01";
const PEOPLE = ["ada", "ben", "cleo", "dov", "eve"] as const;
const CATEGORIES = ["yard", "hire", "materials"] as const;

/** Projects, people, rates, plans and entries of all sorts, the same for the same seed. The last person is of a client. */
export function randomMoney(seed: number): Tables {
  const random = new Random(seed);
  const some = <T>(length: number, make: (place: number) => T): T[] =>
    Array.from({ length }, (_, place) => make(place));
  const maybe = (share: number, value: string): string => (random.chance(share) ? value : "");
  const day = (from = 0, to = 300): Day => addDays(BEGIN, random.whole(from, to));
  const money = (least: number, most: number): string =>
    (random.whole(least * 100, most * 100) / 100).toFixed(2);
  const yes = () => random.pick(["yes", "no", ""]);

  const projects = some(random.whole(3, 7), (n) => {
    const starts = day(0, 90);
    const isStarted = random.chance(0.8);
    return {
      project: `Works ${n}`,
      type: "works",
      portfolio: random.pick(["Fleet", "Landings"]),
      client: maybe(0.5, "Pell council"),
      manager: random.pick(PEOPLE),
      starts_on: maybe(0.9, starts),
      ends_on: maybe(0.9, addDays(starts, random.whole(60, 260))),
      started_on: isStarted ? addDays(starts, random.whole(0, 20)) : "",
      finished_on: isStarted && random.chance(0.25) ? addDays(starts, random.whole(60, 170)) : "",
      budget: maybe(0.85, money(500, 20_000)),
      billing: random.pick(["", "time", "fixed", "none"]),
      price: "",
    };
  }).map((one) => (one.billing === "fixed" ? { ...one, price: money(1_000, 20_000) } : one));
  const project = () => random.pick(projects).project;
  const billing = projects.filter((one) =>
    one.billing === "" ? one.client : one.billing !== "none",
  );
  const people = [...PEOPLE, "pell"].map((login) => ({
    login,
    name: `${login} of the yard`,
    team: "Engineering",
    role: login === "ada" ? "administrator" : "member",
    active: "yes",
    client: login === "pell" ? "Pell council" : "",
    capacity_minutes_a_day: maybe(0.4, String(random.whole(3, 9) * 60)),
    working_days: maybe(0.3, "Mon;Tue;Wed;Thu"),
    joined_on: maybe(0.3, day(0, 100)),
    left_on: maybe(0.2, day(120, 180)),
  }));
  const items = some(8, (n) => ({
    key: `E${n + 1}`,
    kind: "task",
    title: `Task ${n + 1}`,
    project: maybe(0.8, project()),
    status: "Noted",
    created_at: "2026-05-01T09:00:00Z",
    deleted_at: maybe(0.15, `${day(60, 170)}T09:00:00Z`),
  }));
  const booked = (on: Day): Row =>
    random.chance(0.3)
      ? { booked_at: `${addDays(on, random.whole(0, 12))}T10:00:00Z` }
      : { booked_at: "" };
  const gone = (): Row => ({ deleted_at: maybe(0.06, `${day(90, 170)}T11:00:00Z`) });
  return {
    projects,
    people,
    items,
    time_entries: some(random.whole(60, 160), (n) => {
      const on = day(0, 260);
      return {
        id: `t${n}`,
        ...(random.chance(0.5) ? { key: random.pick(items).key } : { project: project() }),
        ...(random.chance(0.2) ? { project: project() } : {}),
        person: random.pick(PEOPLE),
        on,
        minutes: String(random.whole(1, 600)),
        billable: yes(),
        rate: maybe(0.15, money(20, 120)),
        ...booked(on),
        ...gone(),
      };
    }),
    cost_entries: some(random.whole(20, 70), (n) => {
      const on = day(0, 260);
      return {
        id: `c${n}`,
        project: project(),
        on,
        category: maybe(0.8, random.pick(CATEGORIES)),
        amount: money(-300, 2_000),
        billable: yes(),
        ...booked(on),
        ...gone(),
      };
    }),
    planned_costs: unique(
      some(random.whole(10, 50), () => ({
        project: project(),
        month: day(0, 300).slice(0, 7),
        category: random.pick(CATEGORIES),
        amount: money(100, 3_000),
        planned_on: maybe(0.4, day(0, 200)),
      })),
      ["project", "month", "category", "planned_on"],
    ),
    billings: billing.length
      ? some(random.whole(0, 12), (n) => ({
          id: `b${n}`,
          project: random.pick(billing).project,
          on: day(30, 220),
          amount: money(100, 4_000),
        }))
      : [],
    rates: unique(
      some(random.whole(4, 14), () => ({
        person: random.pick(PEOPLE),
        project: maybe(0.4, project()),
        from: maybe(0.7, day(0, 200)),
        rate: maybe(0.8, money(20, 120)),
        cost_rate: maybe(0.8, money(10, 90)),
      })).filter((row) => row.rate || row.cost_rate),
      ["person", "project", "from"],
    ),
    budget_changes: budgetChanges(projects, random, day),
    progress: unique(
      some(random.whole(5, 20), () => {
        const on = day(30, 250);
        return {
          project: project(),
          on,
          planned_percent: String(random.whole(0, 100)),
          actual_percent: on <= "2026-11-24" ? maybe(0.6, String(random.whole(0, 100))) : "",
        };
      }),
      ["project", "on"],
    ),
    capacities: unique(
      some(random.whole(0, 6), () => ({
        person: random.pick(PEOPLE),
        from: maybe(0.8, day(0, 170)),
        minutes_a_day: maybe(0.7, String(random.whole(1, 10) * 48)),
        working_days: maybe(0.4, "Mon;Wed;Fri"),
      })),
      ["person", "from"],
    ),
    absences: unique(
      some(random.whole(0, 10), () => {
        const from = day(0, 180);
        return {
          person: random.pick(PEOPLE),
          from,
          to: addDays(from, random.whole(0, 12)),
          part: maybe(0.4, random.pick(["0.25", "0.5", "0.75"])),
        };
      }),
      ["person", "from"],
    ),
  };
}

/** Changes of budgets that follow one another: each begins at what the one before came to; the last gives what is kept. */
function budgetChanges(
  projects: readonly (Row & { budget: string })[],
  random: Random,
  day: (from: number, to: number) => Day,
): Row[] {
  return projects.flatMap(({ project, budget }) => {
    if (!budget || random.chance(0.5)) return [];
    const days = [
      ...new Set(Array.from({ length: random.whole(1, 3) }, () => day(20, 230))),
    ].sort();
    const amounts = [...days.map(() => String(random.whole(500, 20_000))), budget];
    return days.map((on, place) => ({
      project,
      on,
      from: amounts[place],
      to: amounts[place + 1],
      note: "",
    }));
  });
}

const unique = <T extends Row>(rows: readonly T[], key: readonly string[]): T[] => [
  ...new Map(rows.map((row) => [key.map((name) => row[name]).join("|"), row])).values(),
];

/** The world as the files of a bundle; its dictionaries and its workspace are those of the golden one. */
export async function moneyFiles(tables: Tables): Promise<RawBundle> {
  const golden = await readBundleFiles(MONEY_BUNDLE);
  const none = (id: TableId): RawTable => ({ columns: golden[id]!.columns, rows: [] });
  return {
    ...golden,
    teams: { columns: ["team", "manager"], rows: [["Engineering", "ada"]] },
    moves: none("moves"),
    links: none("links"),
    milestones: none("milestones"),
    weekly_words: none("weekly_words"),
    ...Object.fromEntries(
      Object.entries(tables).map(([id, rows]) => {
        const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
        const made: RawTable = rows.length
          ? { columns, rows: rows.map((row) => columns.map((name) => row[name] ?? "")) }
          : none(id as TableId);
        return [id, made];
      }),
    ),
  };
}
