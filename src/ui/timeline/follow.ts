import type { ShownTimeline, TimelinePart } from "@/contract/projects";
import { addDays, numberOfDay, type Day } from "@/core/time";

/** What moving a part would do to those that wait for it. */
export interface Consequence {
  readonly part: TimelinePart;
  readonly due: Day;
  /** It would be due before what it waits for. */
  readonly clashes: boolean;
}

const partsOf = ({ projects }: ShownTimeline): ReadonlyMap<string, TimelinePart> =>
  new Map(
    projects.flatMap((project) =>
      project.parts.filter((part) => part.kind === "item").map((part) => [part.id, part] as const),
    ),
  );

/** Everything that waits for a part, nearest first, each once; what holds up itself in a circle ends there. */
export function followersOf(timeline: ShownTimeline, id: string): readonly TimelinePart[] {
  const parts = partsOf(timeline);
  const found: TimelinePart[] = [];
  const seen = new Set([id]);
  let edge = [id];
  while (edge.length) {
    edge = timeline.holds.flatMap(([from, to]) => {
      if (!edge.includes(from) || seen.has(to)) return [];
      seen.add(to);
      const part = parts.get(to);
      if (part) found.push(part);
      return [to];
    });
  }
  return found;
}

/** What follows a part that moves by some days: each as many days later, where it is due and not done. */
export function consequencesOf(
  timeline: ShownTimeline,
  moved: TimelinePart,
  days: number,
): readonly Consequence[] {
  if (!moved.due || days === 0) return [];
  const due = addDays(moved.due, days);
  return followersOf(timeline, moved.id).flatMap((part) =>
    part.due && !part.done ? [{ part, due: addDays(part.due, days), clashes: part.due < due }] : [],
  );
}

/** Days from one to the other; under 0 where it goes back. */
export const daysBetween = (from: Day, to: Day): number => numberOfDay(to) - numberOfDay(from);
