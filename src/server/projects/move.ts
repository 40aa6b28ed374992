import type { Sent } from "@/contract/acts";
import type { ProjectMoved } from "@/contract/projects";
import { fine, refused, type Result } from "@/core/base";
import { dayText, type Day } from "@/core/time";
import { moveMilestone, putProjectSpan, type EntityManager } from "@/data";
import type { Clock } from "../clock";
import { changeItems } from "../items/changeItems";
import { nothingHere, settled } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { leading } from "./records";

/** Moves a project's own days, and the parts that are named with them; what stands elsewhere by now is left, and said. */
export async function moveProject(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  { project, was, to, items, milestones }: Sent<"moveProject">,
): Promise<Result<ProjectMoved>> {
  leading(desk, project);
  if (to.starts && to.ends && to.ends < to.starts)
    return refused({
      code: "project.dates",
      message: "A project cannot end before it starts.",
      path: "ends",
    });
  const kept = await putProjectSpan(em, project, was, to, clock.now());
  if (kept === null) throw nothingHere();
  if (kept !== true)
    return refused({
      code: "project.version",
      message: `Somebody moved it meanwhile: it lies from ${dayOr(kept.starts)} to ${dayOr(kept.ends)} now.`,
    });
  const { changed, left } = settled(
    await changeItems(
      em,
      clock,
      desk,
      items.map((one) => ({ ...one, field: "due" })),
    ),
  );
  const moved: { id: number; from: Day; to: Day }[] = [];
  const stayed: { key: string; why: string }[] = [...left];
  for (const one of milestones) {
    if (await moveMilestone(em, project, one, clock.now()))
      moved.push({ id: one.id, from: one.expected, to: one.to });
    else stayed.push({ key: "A milestone", why: "somebody changed it meanwhile" });
  }
  return fine({
    items: changed.map(({ key, from, to: now }) => ({ key, from, to: now })),
    milestones: moved,
    left: stayed,
  });
}

const dayOr = (day: Day | null): string => (day ? dayText(day) : "no day");
