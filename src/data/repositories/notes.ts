import type { DayNoteLine, FindingLine, NoticeLine } from "@/contract/notes";

import { fresh, unitOfWork, type EntityManager } from "../database";
import { DayNote, Finding, Notice, Person, ReportEntity, Service } from "../entities";
import { isoText } from "./instants";
import type { Viewer } from "./names";

const mayChange = (viewer: Viewer, owner: { id: number }): boolean =>
  owner.id === viewer.person || viewer.role === "administrator";

/** Dated notes on time charts: those for everywhere and for services, and those of one report. */
export async function dayNotesOf(
  em: EntityManager,
  viewer: Viewer,
  report: number | null,
): Promise<DayNoteLine[]> {
  const notes = await fresh(em).find(
    DayNote,
    { $or: [{ report: null }, ...(report === null ? [] : [{ report }])] },
    { populate: ["owner"], orderBy: { day: "asc", id: "asc" } },
  );
  return notes.map((note) => ({
    id: note.id,
    day: note.day,
    words: note.words,
    service: note.service?.id ?? null,
    report: note.report?.id ?? null,
    owner: note.owner.name,
    mayChange: mayChange(viewer, note.owner),
  }));
}

export interface DayNoteToSave {
  readonly id?: number | undefined;
  readonly day: string;
  readonly words: string;
  readonly service: number | null;
  readonly report: number | null;
}

/** @returns its id; null for a note that is somebody else's, or gone */
export const putDayNote = (
  em: EntityManager,
  viewer: Viewer,
  { id, day, words, service, report }: DayNoteToSave,
): Promise<number | null> =>
  unitOfWork(em, async (unit) => {
    const body = {
      day,
      words,
      service: service === null ? null : unit.getReference(Service, service),
      report: report === null ? null : unit.getReference(ReportEntity, report),
    };
    if (id === undefined) {
      const made = unit.create(DayNote, { ...body, owner: viewer.person });
      await unit.flush();
      return made.id;
    }
    const kept = await unit.findOne(DayNote, id);
    if (!kept || !mayChange(viewer, kept.owner)) return null;
    Object.assign(kept, body);
    return kept.id;
  });

export const removeDayNote = (em: EntityManager, viewer: Viewer, id: number): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const kept = await unit.findOne(DayNote, id);
    if (kept && mayChange(viewer, kept.owner)) unit.remove(kept);
  });

/** What was found while exploring a report, the latest first. */
export async function findingsOf(em: EntityManager, report: number): Promise<FindingLine[]> {
  const findings = await fresh(em).find(
    Finding,
    { report },
    { populate: ["owner"], orderBy: { id: "desc" }, limit: 100 },
  );
  return findings.map(({ id, words, address, picture, owner, createdAt }) => ({
    id,
    words,
    address,
    picture: picture ?? null,
    owner: owner.name,
    at: isoText(createdAt),
  }));
}

export const addFinding = (
  em: EntityManager,
  viewer: Viewer,
  finding: { report: number | null; words: string; address: string; picture: string | null },
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const made = unit.create(Finding, { ...finding, owner: viewer.person });
    await unit.flush();
    return made.id;
  });

/** What somebody is to know and has not seen yet. */
export async function noticesOf(em: EntityManager, person: number): Promise<NoticeLine[]> {
  const notices = await fresh(em).find(
    Notice,
    { person, seenAt: null },
    { orderBy: { at: "desc" }, limit: 50 },
  );
  return notices.map(({ about, words, href }) => ({ about, words, href }));
}

export const seeNotice = (em: EntityManager, person: number, about: string): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(Notice, { person, about }, { seenAt: new Date() });
  });

/** Tells somebody something, once. */
export const addNotice = (em: EntityManager, person: number, notice: NoticeLine): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.upsert(
      Notice,
      { person: unit.getReference(Person, person), ...notice },
      { onConflictAction: "ignore" },
    );
  });
