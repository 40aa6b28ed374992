import { TABLES, type RawBundle, type RawTable, type TableId } from "@/core/bundle";
import { addMonths, dayOf, instantText, type Day, type Instant } from "@/core/time";
import {
  KINDS,
  LANDINGS,
  PEOPLE,
  PRIORITIES,
  PROJECTS,
  SERVICES,
  STATUSES,
  TEAMS,
  VESSELS,
  ZONE,
  type Team,
} from "./cast";
import type { Life } from "./life";
import type { Random } from "./random";

const ITEM_COLUMNS = [
  ...TABLES.items.columns.map((column) => column.name),
  "landing",
  "vessel",
  "weather",
];

/** What was made of a world, by those who lived in it. */
export interface Made {
  readonly start: Day;
  readonly today: Day;
  readonly random: Random;
  readonly lives: readonly Life[];
  readonly links: readonly string[][];
  readonly comments: readonly string[][];
  readonly time: readonly string[][];
  readonly sprints: readonly MadeSprint[];
}

export interface MadeSprint {
  readonly name: string;
  readonly team: Team;
  readonly from: Instant;
  readonly to: Instant;
  readonly closed: Instant | null;
}

/** A world as the files of a bundle. */
export function worldFiles(made: Made): RawBundle {
  const { today } = made;
  const table = (columns: readonly string[], rows: readonly (readonly string[])[]): RawTable => ({
    columns,
    rows,
  });
  const names = (id: TableId) => TABLES[id].columns.map((column) => column.name);
  const moves = made.lives
    .flatMap((life) => life.moves)
    .map((move, index) => ({ move, index }))
    .sort((a, b) => (a.move[1] < b.move[1] ? -1 : a.move[1] > b.move[1] ? 1 : a.index - b.index))
    .map(({ move }) => move);
  return {
    workspace: table(
      ["setting", "value"],
      [
        ["time_zone", ZONE],
        ["week_starts", "Mon"],
        ["fiscal_year_starts", "4"],
        ["working_days", "Mon;Tue;Wed;Thu;Fri"],
        ["working_hours", "09:00-17:00"],
        ["locale", "en"],
        ["currency", "EUR"],
      ],
    ),
    holidays: table(["date", "name"], holidays(made)),
    statuses: table(
      names("statuses"),
      STATUSES.map(([status, stage, workflow], i) => [
        status,
        stage,
        String(i + 1),
        status === "Waiting for parts" ? "yes" : "no",
        workflow,
      ]),
    ),
    kinds: table(names("kinds"), KINDS),
    priorities: table(names("priorities"), PRIORITIES),
    people: table(
      ["login", "name", "email", "team", "role", "active", "client"],
      PEOPLE.map((p) => [
        p.login,
        p.name,
        `${p.login}@saltmarsh.example`,
        p.team,
        p.role,
        "yes",
        p.client,
      ]),
    ),
    teams: table(names("teams"), TEAMS),
    services: table(names("services"), SERVICES),
    assets: table(
      names("assets"),
      SERVICES.slice(0, 11).flatMap(([service]) =>
        Array.from({ length: service === "Gate readers" ? 40 : 8 }, (_, i) => [
          assetOf(service, i + 1),
          service.toLowerCase().replace(/s$/, ""),
          LANDINGS[i % LANDINGS.length],
          service,
        ]),
      ),
    ),
    projects: table(
      [
        "project",
        "type",
        "portfolio",
        "client",
        "manager",
        "teams",
        "budget",
        "starts_on",
        "ends_on",
      ],
      PROJECTS.map((project, i) => [
        ...project,
        addMonths(today, -18 + i),
        addMonths(today, i - 2),
      ]),
    ),
    progress: table(
      names("progress"),
      PROJECTS.slice(0, 6).flatMap(([project], p) =>
        [6, 4, 2, 0].map((ago, i) => [
          project,
          addMonths(today, -ago),
          String(25 * (i + 1) - 5),
          String(20 * (i + 1) - p),
        ]),
      ),
    ),
    sprints: table(
      names("sprints"),
      made.sprints.map((s) => [
        s.name,
        s.team,
        "",
        instantText(s.from),
        instantText(s.to),
        s.closed ? instantText(s.closed) : "",
      ]),
    ),
    fields: table(names("fields"), [
      ["landing", "choice", LANDINGS.join(";")],
      ["vessel", "choice", VESSELS.join(";")],
      ["weather", "choice", "calm;wind;fog;rain;storm"],
    ]),
    items: table(
      ITEM_COLUMNS,
      made.lives.map((life) => ITEM_COLUMNS.map((column) => life.row[column] ?? "")),
    ),
    moves: table(names("moves"), moves),
    links: table(names("links"), dedupe(made.links)),
    comments: table(names("comments"), made.comments),
    time_entries: table(names("time_entries"), made.time),
    cost_entries: table(names("cost_entries"), costs(made)),
    planned_costs: table(names("planned_costs"), planned(made)),
    milestones: table(
      names("milestones"),
      PROJECTS.slice(0, 6).flatMap(([project], i) => [
        [project, "Plans agreed", addMonths(today, -12 + i), addMonths(today, -11 + i)],
        [project, "Handed over", addMonths(today, 2 + i), ""],
      ]),
    ),
    weekly_words: table(names("weekly_words"), [
      [
        "Heron refit",
        "cal",
        `${today.slice(0, 4)}-W40`,
        "worried",
        "Hull plates fitted",
        "Engine bed",
        "The budget will not last",
      ],
    ]),
  };
}

function holidays({ start, today }: Made): string[][] {
  const years = [
    ...new Set([start, addMonths(start, 12), today].map((day) => Number(day.slice(0, 4)))),
  ];
  return years.flatMap((year) => [
    [dayOf(year, 1, 1), "New Year"],
    [dayOf(year, 5, 1), "Boat Day"],
    [dayOf(year, 11, 5), "Harbour Day"],
    [dayOf(year, 12, 25), "Christmas"],
  ]);
}

/** The Heron refit runs over what was planned for it; the others keep under. */
function costs({ today, random }: Made): string[][] {
  return PROJECTS.slice(0, 6).flatMap(([project, , , , , , budget]) =>
    Array.from({ length: 12 }, (_, i) => [
      project,
      addMonths(today, i - 12),
      random.pick(["materials", "yard", "hire"]),
      String(
        Math.round(
          (Number(budget) / 14) *
            (project === "Heron refit" ? 1.35 : 0.85) *
            (0.8 + random.next() * 0.4),
        ),
      ),
      "",
    ]),
  );
}

function planned({ today }: Made): string[][] {
  return PROJECTS.slice(0, 6).flatMap(([project, , , , , , budget]) =>
    Array.from({ length: 14 }, (_, i) => [
      project,
      addMonths(today, i - 12).slice(0, 7),
      "materials",
      String(Math.round(Number(budget) / 14)),
    ]),
  );
}

export const assetOf = (service: string, n: number): string => `${service.replace(/s$/, "")} ${n}`;
const dedupe = (rows: readonly string[][]): string[][] => [
  ...new Map(rows.map((row) => [row.join("|"), row])).values(),
];
