import type { ReleaseLine, ShownRelease } from "@/contract/rooms";
import { planBriefing } from "@/core/briefing/planned";
import { localDay } from "@/core/time";
import { releaseRows, runPlan, type EntityManager, type ReleaseRow } from "@/data";
import { readPart } from "../projects/room";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";

/** What of its briefing a release's room shows beside its burndown. */
const OVERVIEW = ["scope", "by status", "open items"];

const stageOf = ({ starts, due, released }: ReleaseRow, today: string): ReleaseLine["stage"] => {
  if (released && released <= today) return "released";
  if (due && due < today) return "late";
  return starts && starts > today ? "ahead" : "under way";
};

/** The releases that a viewer knows of: what is due last comes first. */
export async function listReleases(em: EntityManager, { view }: Desk): Promise<ReleaseLine[]> {
  const { names } = view.catalog;
  const today = localDay(view.now, view.calendar.zone);
  return (await releaseRows(em))
    .filter((row) => names.find("release", row.id))
    .map((row) => ({
      id: row.id,
      name: row.name,
      project: row.project !== null && names.find("project", row.project) ? row.projectName : null,
      starts: row.starts,
      due: row.due,
      released: row.released,
      stage: stageOf(row, today),
    }));
}

/** The release that somebody wants to see first: what is due next, else the last one. */
export const firstRelease = (lines: readonly ReleaseLine[]): ReleaseLine | null =>
  lines.filter((line) => line.stage !== "released").at(-1) ?? lines[0] ?? null;

/** What a release's room says of it. @param stood the day at whose end it is shown; nothing: now */
export async function showRelease(
  em: EntityManager,
  { view, workspace }: Desk,
  id: number,
  stood?: string,
): Promise<ShownRelease> {
  const release = view.catalog.names.find("release", id);
  if (!release) throw nothingHere();
  const today = localDay(view.now, view.calendar.zone);
  const { parts } = await runPlan(
    em,
    planBriefing(
      {
        kind: "release",
        here: { thing: "release", id },
        name: release.label,
        parts: OVERVIEW.map((part) => ({ id: part, made: part })),
        stood: stood && stood < today ? stood : null,
        since: null,
        company: workspace.name,
      },
      view,
    ),
  );
  return { parts: parts.map(readPart) };
}
