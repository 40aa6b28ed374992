import type { Tile } from "@/core/definition";

/** A dashboard to begin with: names of ready-made reports with their places, [x, y, w, h] on twelve columns. */
export interface ReadyBoard {
  readonly name: string;
  readonly purpose: string;
  readonly tiles: readonly (readonly [string, number, number, number, number])[];
}

export const BOARDS: readonly ReadyBoard[] = [
  {
    name: "Desk morning",
    purpose: "What is open, who has it, and what came in?",
    tiles: [
      ["Open faults by priority", 0, 0, 5, 6],
      ["Open faults", 5, 0, 2, 3],
      ["Finished this month", 5, 3, 2, 3],
      ["Promises kept", 7, 0, 5, 6],
      ["Open faults, week by week", 0, 6, 6, 6],
      ["What came and went", 6, 6, 6, 6],
      ["Faults by service", 0, 12, 5, 6],
      ["Who carries what", 5, 12, 7, 6],
      ["Oldest open faults", 0, 18, 12, 6],
    ],
  },
  {
    name: "Sprint",
    purpose: "Will the running sprint make it?",
    tiles: [
      ["Burndown of the running sprint", 0, 0, 8, 7],
      ["Velocity of my team", 8, 0, 4, 7],
      ["Where the sprint stands", 0, 7, 5, 6],
      ["Still open in the sprint", 5, 7, 7, 6],
    ],
  },
  {
    name: "Service review",
    purpose: "How did it go over the months?",
    tiles: [
      ["Open faults over 18 months, by priority", 0, 0, 7, 7],
      ["Lead time over time", 7, 0, 5, 7],
      ["Finished each month, by kind", 0, 7, 6, 6],
      ["Arrivals and departures of P1 and P2", 6, 7, 6, 6],
      ["Days to finish, by team", 0, 13, 6, 6],
      ["How long finished faults took", 6, 13, 6, 6],
    ],
  },
  {
    name: "Promises",
    purpose: "What was promised, and is it kept?",
    tiles: [
      ["Promises kept", 0, 0, 4, 6],
      ["Promises kept each month", 4, 0, 8, 6],
      ["Promises kept, by team", 0, 6, 6, 6],
      ["SLA over time", 6, 6, 6, 6],
      ["About to be missed", 0, 12, 6, 7],
      ["Missed and still open", 6, 12, 6, 7],
    ],
  },
];

/** The tiles of a ready-made dashboard; reports that this workspace has none of are left out. */
export const tilesOf = (
  { tiles }: ReadyBoard,
  find: (name: string) => number | undefined,
): Tile[] =>
  tiles.flatMap(([name, x, y, w, h], i) => {
    const report = find(name);
    return report === undefined ? [] : [{ id: `t${i + 1}`, report, x, y, w, h }];
  });
