import type { ShownTimeline, TimelinePart, TimelineProject } from "@/contract/projects";
import { addDays, numberOfDay, type Day } from "@/core/time";

/** What moving something would do to those that wait for it; of a project, to its parts that are still to come. */
export interface Consequence {
  readonly part: TimelinePart;
  readonly due: Day;
  /** It would be due before what it waits for, or after the end of its project. */
  readonly clashes: boolean;
}

/** A project as something that can be moved: what is due of it is its end. */
export const asPart = ({
  id,
  name,
  starts,
  ends,
  finished,
  mayMove,
}: TimelineProject): TimelinePart => ({
  kind: "project",
  id: String(id),
  title: name,
  from: starts,
  due: ends,
  kept: ends,
  plan: null,
  done: finished,
  mayMove,
});

/** Whether two are the same thing. */
export const isSame = (
  one: Pick<TimelinePart, "kind" | "id"> | undefined,
  other: Pick<TimelinePart, "kind" | "id">,
): boolean => one?.kind === other.kind && one.id === other.id;

/** Where a project would lie: its start goes along for as long as it has not begun. */
export const movedSpan = (
  { starts, ends, started }: Pick<TimelineProject, "starts" | "ends" | "started">,
  days: number,
  today: Day,
): { readonly starts: Day | null; readonly ends: Day | null } => ({
  starts: starts && !started && starts > today ? addDays(starts, days) : starts,
  ends: ends && addDays(ends, days),
});

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
  if (moved.kind === "project")
    return (timeline.projects.find((one) => String(one.id) === moved.id)?.parts ?? []).flatMap(
      (part) =>
        part.due && !part.done && part.mayMove
          ? [{ part, due: addDays(part.due, days), clashes: part.due > due }]
          : [],
    );
  return followersOf(timeline, moved.id).flatMap((part) =>
    part.due && !part.done ? [{ part, due: addDays(part.due, days), clashes: part.due < due }] : [],
  );
}

/** Days from one to the other; under 0 where it goes back. */
export const daysBetween = (from: Day, to: Day): number => numberOfDay(to) - numberOfDay(from);
