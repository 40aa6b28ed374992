import type { BoardFilter, Deck, Tile } from "@/core/definition";

/** Names of ready-made reports with their places, [x, y, w, h] on twelve columns. */
type ReadyTile = readonly [string, number, number, number, number];

/** A dashboard to begin with: its decks with their tiles, and the fields that it can be narrowed by. */
export interface ReadyBoard {
  readonly name: string;
  readonly purpose: string;
  readonly decks: readonly {
    readonly title: string;
    readonly note: string;
    readonly tiles: readonly ReadyTile[];
  }[];
  readonly filters: readonly BoardFilter[];
  /** It is of the sprints of one team: its filter for the team begins with that. */
  readonly isOfTeam?: true;
}

const filter = (field: string, more: Partial<BoardFilter> = {}): BoardFilter => ({
  id: field,
  subject: "items",
  field: [field],
  ...more,
});
const TEAM = filter("team");
const SERVICE = filter("service", { dependsOn: "team" });
const PERSON = filter("assignee", { dependsOn: "team" });
const PRIORITY = filter("priority");
const CREATED = filter("created");

export const BOARDS: readonly ReadyBoard[] = [
  {
    name: "Desk morning",
    purpose: "What is open, who has it, and what came in?",
    filters: [TEAM, PERSON, SERVICE, CREATED],
    decks: [
      {
        title: "Right now",
        note: "open and answered this morning",
        tiles: [
          ["Open faults by priority", 0, 0, 5, 6],
          ["Open faults", 5, 0, 2, 3],
          ["Finished this month", 5, 3, 2, 3],
          ["Promises kept", 7, 0, 5, 6],
        ],
      },
      {
        title: "The long view",
        note: "how it came to this",
        tiles: [
          ["Open faults, week by week", 0, 0, 6, 6],
          ["What came and went", 6, 0, 6, 6],
        ],
      },
      {
        title: "Where and who",
        note: "which service, which hands",
        tiles: [
          ["Faults by service", 0, 0, 5, 6],
          ["Who carries what", 5, 0, 7, 6],
          ["Oldest open faults", 0, 6, 12, 6],
        ],
      },
    ],
  },
  {
    name: "Sprint",
    purpose: "Will the running sprint make it?",
    filters: [TEAM, PERSON, PRIORITY],
    isOfTeam: true,
    decks: [
      {
        title: "The running sprint",
        note: "what is left, and how fast it goes",
        tiles: [
          ["Burndown of the running sprint", 0, 0, 8, 7],
          ["Velocity over eight sprints", 8, 0, 4, 7],
        ],
      },
      {
        title: "What is in it",
        note: "where it stands",
        tiles: [
          ["Where the sprint stands", 0, 0, 5, 6],
          ["Still open in the sprint", 5, 0, 7, 6],
        ],
      },
    ],
  },
  {
    name: "Service review",
    purpose: "How did it go over the months?",
    filters: [SERVICE, TEAM, PRIORITY],
    decks: [
      {
        title: "How much there is",
        note: "and how long it takes",
        tiles: [
          ["Open faults over 18 months, by priority", 0, 0, 7, 7],
          ["Lead time over time", 7, 0, 5, 7],
        ],
      },
      {
        title: "What came and went",
        note: "month by month",
        tiles: [
          ["Finished each month, by kind", 0, 0, 6, 6],
          ["Arrivals and departures of P1 and P2", 6, 0, 6, 6],
          ["Days to finish, by team", 0, 6, 6, 6],
          ["How long finished faults took", 6, 6, 6, 6],
        ],
      },
    ],
  },
  {
    name: "Promises",
    purpose: "What was promised, and is it kept?",
    filters: [TEAM, SERVICE, PRIORITY],
    decks: [
      {
        title: "Kept",
        note: "of all that was promised",
        tiles: [
          ["Promises kept", 0, 0, 4, 6],
          ["Promises kept each month", 4, 0, 8, 6],
          ["Promises kept, by team", 0, 6, 6, 6],
          ["SLA over time", 6, 6, 6, 6],
        ],
      },
      {
        title: "To look at",
        note: "late, or nearly",
        tiles: [
          ["About to be missed", 0, 0, 6, 7],
          ["Missed and still open", 6, 0, 6, 7],
        ],
      },
    ],
  },
  {
    name: "Portfolio",
    purpose: "Which projects need a hand, and who has one free?",
    filters: [
      { id: "portfolio", subject: "projects", field: ["portfolio"] },
      { id: "manager", subject: "projects", field: ["manager"] },
    ],
    decks: [
      {
        title: "Time and money",
        note: "of the projects under way",
        tiles: [
          ["Time against money", 0, 0, 6, 7],
          ["Cost of all projects", 6, 0, 6, 7],
          ["Projects and their verdicts", 0, 7, 12, 7],
        ],
      },
      {
        title: "To ask about",
        note: "late, silent, or not billed",
        tiles: [
          ["Milestones that slipped", 0, 0, 6, 6],
          ["Who owes a weekly word", 6, 0, 6, 6],
          ["Who is booked, week by week", 0, 6, 7, 7],
          ["Earned and not billed", 7, 6, 5, 7],
        ],
      },
    ],
  },
];

/** The names of all reports on a ready-made dashboard. */
export const reportsOn = ({ decks }: ReadyBoard): string[] =>
  decks.flatMap(({ tiles }) => tiles.map(([name]) => name));

const beginningWith = (team: number, filters: readonly BoardFilter[]): BoardFilter[] =>
  filters.map((one) =>
    one.id === TEAM.id
      ? {
          ...one,
          begins: {
            kind: "test",
            field: ["team"],
            operator: "is",
            values: [{ kind: "thing", thing: "team", id: team }],
          },
        }
      : one,
  );

/** What a ready-made dashboard is made of; reports that this workspace has none of are left out, and decks without tiles. */
export function partsOf(
  { decks, filters, isOfTeam }: ReadyBoard,
  find: (name: string) => number | undefined,
  team: number | null,
): { readonly tiles: Tile[]; readonly decks: Deck[]; readonly filters: BoardFilter[] } {
  const tiles = decks.flatMap((deck, d) =>
    deck.tiles.flatMap(([name, x, y, w, h], i) => {
      const report = find(name);
      return report === undefined
        ? []
        : [{ id: `t${d + 1}-${i + 1}`, deck: `d${d + 1}`, report, x, y, w, h }];
    }),
  );
  return {
    tiles,
    decks: decks.flatMap(({ title, note }, d) => {
      const id = `d${d + 1}`;
      return tiles.some((tile) => tile.deck === id) ? [{ id, title, note, isClosed: false }] : [];
    }),
    filters: isOfTeam && team !== null ? beginningWith(team, filters) : [...filters],
  };
}
