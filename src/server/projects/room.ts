import type { ShownProject } from "@/contract/projects";
import type { ReadPart } from "@/contract/briefings";
import { planBriefing, type WrittenPart } from "@/core/briefing/planned";
import { figuresIn } from "@/core/briefing";
import { localDay } from "@/core/time";
import { loadProject, runPlan, type EntityManager, type Viewer } from "@/data";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";

/** What of a briefing an overview shows. */
const OVERVIEW = [
  "head",
  "verdict",
  "progress",
  "money",
  "revenue",
  "milestones",
  "word",
  "open items",
];

/** Whether somebody leads a project: they enter how far it is, and when things are due. */
export const mayLead = (viewer: Viewer, project: number): boolean =>
  viewer.role === "administrator" || viewer.manages.includes(project);

export const readPart = (part: WrittenPart): ReadPart => ({ ...part, moved: [] });

/** @throws Refused for a project that is not there, or not theirs to see */
export function knownProject({ view }: Desk, project: number): void {
  if (!view.catalog.names.find("project", project)) throw nothingHere();
}

/** A project as its room shows it. @param stood the day at whose end it is shown; nothing: now */
export async function projectRoom(
  em: EntityManager,
  desk: Desk,
  project: number,
  stood?: string,
): Promise<ShownProject> {
  knownProject(desk, project);
  const { view, viewer } = desk;
  const kept = await loadProject(em, project);
  if (!kept) throw nothingHere();
  const today = localDay(view.now, view.calendar.zone);
  const { place, parts } = await runPlan(
    em,
    planBriefing(
      {
        kind: "project",
        here: { thing: "project", id: project },
        name: kept.name,
        parts: OVERVIEW.map((id) => ({ id, made: id })),
        stood: stood && stood < today ? stood : null,
        since: null,
        company: desk.workspace.name,
      },
      view,
    ),
  );
  const open = parts.find((part) => part.id === "open items");
  const items = figuresIn(open?.blocks ?? []).find((figure) => figure.key === "open");
  return {
    id: project,
    name: kept.name,
    parts: parts.map(readPart),
    manager:
      kept.manager === null ? null : { id: kept.manager, name: kept.managerName ?? "Somebody" },
    teams: kept.teams,
    type: kept.type,
    span: place.span,
    mayLead: mayLead(viewer, project),
    maySay: !viewer.isClient,
    seesMoney: view.money === null || view.money.includes(project),
    healthWords: view.catalog.data.money.healthWords,
    today,
    openItems: items ? Number.parseInt(items.words, 10) || 0 : 0,
  };
}
