import type { DayNoteLine } from "@/contract/notes";
import { fine, isOwnPath, refused, type Result } from "@/core/base";

import {
  addFinding,
  addNotice,
  dayNotesOf,
  findingsOf,
  noticesOf,
  putDayNote,
  removeDayNote,
  rightTo,
  seeNotice,
  type DayNoteToSave,
  type EntityManager,
  type Viewer,
} from "@/data";
import { mayBuild } from "../library/kept";

/** Dated notes on time charts: of one report that one may read, of one service, or everywhere. */
export async function listDayNotes(
  em: EntityManager,
  viewer: Viewer,
  report: number | null,
): Promise<DayNoteLine[]> {
  const isReadable = report !== null && (await rightTo(em, viewer, "report", report)) !== null;
  return dayNotesOf(em, viewer, isReadable ? report : null);
}

export async function saveDayNote(
  em: EntityManager,
  viewer: Viewer,
  note: DayNoteToSave,
): Promise<Result<number>> {
  if (!mayBuild(viewer))
    return refused({
      code: "note.right",
      message: "Members read day notes; ask a builder to write one.",
    });
  if (note.report !== null && !(await rightTo(em, viewer, "report", note.report)))
    return refused({ code: "note.report", message: "There is no such report.", path: "report" });
  const id = await putDayNote(em, viewer, note);
  return id === null
    ? refused({ code: "note.right", message: "This note is somebody else's." })
    : fine(id);
}

export async function dropDayNote(em: EntityManager, viewer: Viewer, id: number): Promise<true> {
  await removeDayNote(em, viewer, id);
  return true;
}

/** What was found while exploring a report: words, a picture, and the address that leads back. */
export const listFindings = findingsOf;

/** How the picture of a finding begins: it brings its drawing with it, and leads to no address. */
const PICTURE = "data:image/svg+xml;base64,";

export async function keepFinding(
  em: EntityManager,
  viewer: Viewer,
  finding: { report: number | null; words: string; address: string; picture: string | null },
): Promise<Result<number>> {
  if (!isOwnPath(finding.address))
    return refused({
      code: "finding.address",
      message: "A finding leads back into this application.",
    });
  if (finding.picture !== null && !finding.picture.startsWith(PICTURE))
    return refused({
      code: "finding.picture",
      message: "The picture of a finding is a drawing of its own.",
    });
  return fine(await addFinding(em, viewer, finding));
}

/** What somebody is to know, told once: such as values of a fold that are not placed yet. */
export const listNotices = (em: EntityManager, viewer: Viewer) => noticesOf(em, viewer.person);

export async function noticeSeen(em: EntityManager, viewer: Viewer, about: string): Promise<true> {
  await seeNotice(em, viewer.person, about);
  return true;
}

export const tellOnce = addNotice;
