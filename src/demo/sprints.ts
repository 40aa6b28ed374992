import { addDays, localDay, startOfDay, weekdayOf, type Day, type Instant } from "@/core/time";
import { ZONE } from "./cast";
import type { MadeRelease, MadeSprint } from "./files";
import { HOUR } from "./life";

/** The sprints of both software teams, a fortnight each, from the first Monday on. */
export function makeSprints(start: Day, end: Instant): MadeSprint[] {
  const first = addDays(start, (8 - weekdayOf(start)) % 7);
  const sprints: MadeSprint[] = [];
  for (const team of ["Booking site", "Tickets and fares"] as const) {
    let n = 1;
    for (let day = first; startOfDay(day, ZONE) < end; day = addDays(day, 14), n += 1) {
      const last = startOfDay(addDays(day, 11), ZONE);
      const closed = last + 18 * HOUR;
      sprints.push({
        name: `${team === "Booking site" ? "Booking" : "Fares"} sprint ${n}`,
        team,
        from: startOfDay(day, ZONE) + 10 * HOUR,
        to: last + 17 * HOUR,
        closed: closed < end ? closed : null,
      });
    }
  }
  return sprints;
}

/** A release goes out after so many sprints of a team. */
const SPRINTS_A_RELEASE = 4;
/** The versions that the releases of a team bear: "Booking site 3.1". */
const VERSIONS: Readonly<Record<string, string>> = {
  "Booking site": "Booking site 3",
  "Tickets and fares": "Fares 2",
};

/** What each team ships together: the work of four sprints (of two at first), out three days after the last of them is closed. */
export function makeReleases(sprints: readonly MadeSprint[]): MadeRelease[] {
  return Object.entries(VERSIONS).flatMap(([team, version]) => {
    const mine = sprints.filter((sprint) => sprint.team === team);
    const releaseOf = (place: number) => Math.floor((place + 2) / SPRINTS_A_RELEASE);
    return Array.from({ length: releaseOf(mine.length - 1) + 1 }, (_, n) => {
      const of = mine.filter((_sprint, place) => releaseOf(place) === n);
      const starts = localDay(of[0].from, ZONE);
      const due = addDays(starts, (n === 0 ? 2 : SPRINTS_A_RELEASE) * 14);
      const closed = of.at(-1)!.closed;
      const isWhole = releaseOf(mine.indexOf(of.at(-1)!) + 1) > n;
      return {
        name: `${version}.${n + 1}`,
        project: team === "Booking site" ? version : "",
        starts,
        due,
        released: isWhole && closed ? addDays(localDay(closed, ZONE), 3) : null,
        sprints: of.map((sprint) => sprint.name),
      };
    });
  });
}
