import { TABLES, type RawBundle, type RawTable, type TableId } from "@/core/bundle";
import { addMonths, dayOf, instantText, startOfDay, type Day, type Instant } from "@/core/time";
import { bookedAhead, booksOf } from "./books";
import {
  KINDS,
  LANDINGS,
  PEOPLE,
  PRIORITIES,
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
  readonly releases: readonly MadeRelease[];
}

/** What goes out together; days are local ones. */
export interface MadeRelease {
  readonly name: string;
  readonly project: string;
  readonly starts: Day;
  readonly due: Day;
  readonly released: Day | null;
  /** The sprints whose work goes out with it. */
  readonly sprints: readonly string[];
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
        ["money_seen_by", "administrator;builder"],
        ["labour_costs", "time entries"],
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
    releases: table(
      names("releases"),
      made.releases.map((one) => [
        one.name,
        one.project,
        one.starts,
        one.due,
        one.released && one.released <= today ? one.released : "",
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
    time_entries: table(names("time_entries"), [
      ...made.time,
      ...bookedAhead(made, instantText(startOfDay(today, ZONE))),
    ]),
    ...booksOf(made),
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

export const assetOf = (service: string, n: number): string => `${service.replace(/s$/, "")} ${n}`;
const dedupe = (rows: readonly string[][]): string[][] => [
  ...new Map(rows.map((row) => [row.join("|"), row])).values(),
];
