import { addDays, startOfDay, weekdayOf, type Day, type Instant } from "@/core/time";
import { ZONE } from "./cast";
import type { MadeSprint } from "./files";
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
