import { fine, refused, type Result } from "@/core/base";
import { loadProject, putRoomBoard, rightTo, type EntityManager } from "@/data";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { knownProject, mayLead } from "./room";

/** Sets which dashboard the rooms of a project's type show, or its own room; what is named gives no right to it. */
export async function setRoomBoard(
  em: EntityManager,
  desk: Desk,
  { project, isOwn, dashboard }: { project: number; isOwn: boolean; dashboard: number | null },
): Promise<Result<true>> {
  knownProject(desk, project);
  const { viewer } = desk;
  const may = isOwn ? mayLead(viewer, project) : viewer.role === "administrator";
  if (!may)
    return refused({
      code: "board.right",
      message: isOwn
        ? "Only its manager or an administrator adds to its room."
        : "Only an administrator sets what all projects of a type show.",
    });
  if (dashboard !== null && !(await rightTo(em, viewer, "dashboard", dashboard)))
    throw nothingHere();
  const kept = await loadProject(em, project);
  if (!kept) throw nothingHere();
  await putRoomBoard(
    em,
    "project",
    isOwn ? { target: project } : { type: kept.type ?? "" },
    dashboard,
  );
  return fine(true as const);
}
