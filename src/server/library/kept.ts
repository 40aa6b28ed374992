import { DressSchema } from "@/core/definition/schemas";
import { ReportSchema } from "@/core/kinds/schemas";
import type { BinLine, Reach, ShareLine, Stranger, VersionLine } from "@/contract/library";
import { fine, refused, type Result } from "@/core/base";

import {
  addOpen,
  binOf,
  boardsThatHandOn,
  isOwner,
  knownReceivers,
  putPin,
  putShares,
  reportsHandedOn,
  rightTo,
  setBinned,
  sharesOf,
  strangersTo,
  unitOfWork,
  versionsOf,
  type EntityManager,
  type SharedKind,
  type Viewer,
} from "@/data";

/** What is the same for reports, dashboards and saved filters: who may, versions, shares, the bin, what was opened. */

export const mayBuild = (viewer: Viewer): boolean => viewer.role !== "member";

/** Whether somebody may keep reports of their own: everyone but clients, who read. */
export const mayKeep = (viewer: Viewer): boolean => !viewer.isClient;

/** Whether somebody may change something that they have the right to: builders all of it, others what is their own. */
export const mayChangeOwned = (
  viewer: Viewer,
  { mayChange: isGiven, ownerId }: { readonly mayChange: boolean; readonly ownerId: number },
): boolean => isGiven && (mayBuild(viewer) || (mayKeep(viewer) && ownerId === viewer.person));

const NONE = {
  code: "kept.none",
  message: "There is no such thing, or it is not yours to change.",
};

const mayChange = async (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  inBin = false,
): Promise<boolean> =>
  mayBuild(viewer) && (await rightTo(em, viewer, kind, id, inBin)) === "change";

export async function listVersions(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<VersionLine[]> {
  if (!(await rightTo(em, viewer, kind, id))) return [];
  const versions = await versionsOf(em, kind, id);
  return versions.map(({ body, ...line }) => ({ ...line, report: readVersion(body) }));
}

function readVersion(body: Record<string, unknown>): VersionLine["report"] {
  const definition = ReportSchema.safeParse(body.definition);
  const dress = DressSchema.safeParse(body.dress);
  return definition.success && dress.success
    ? { definition: definition.data, dress: dress.data }
    : null;
}

export async function listShares(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<ShareLine[]> {
  return (await rightTo(em, viewer, kind, id)) ? sharesOf(em, kind, id) : [];
}

/** What sharing reaches; nothing of what the viewer may not see. */
export async function reachOf(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<Reach> {
  const may = await rightTo(em, viewer, kind, id);
  return {
    boards: may && kind === "report" ? await boardsThatHandOn(em, viewer, id) : [],
    reports: may && kind === "dashboard" ? await reportsHandedOn(em, viewer, id) : [],
  };
}

/** Of some people and the members of some teams, those who may not read it. Whoever may not read it themselves hears of nobody. */
export async function listStrangers(
  em: EntityManager,
  viewer: Viewer,
  asked: {
    readonly kind: "report" | "dashboard";
    readonly id: number;
    readonly people: readonly number[];
    readonly teams: readonly number[];
  },
): Promise<Stranger[]> {
  if (!(await rightTo(em, viewer, asked.kind, asked.id))) return [];
  return strangersTo(em, asked.kind, asked.id, asked.people, asked.teams);
}

/** Whether somebody may put something into the bin or take it out: reports of their own, without being a builder, too. */
async function mayBin(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  inBin: boolean,
): Promise<boolean> {
  if (await mayChange(em, viewer, kind, id, inBin)) return true;
  return kind === "report" && mayKeep(viewer) && (await isOwner(em, viewer, kind, id));
}

/** Replaces whom something is shared with. */
export const setShares = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  shares: readonly ShareLine[],
): Promise<Result<true>> =>
  unitOfWork(em, async (unit) => {
    if (!(await mayChange(unit, viewer, kind, id))) return refused(NONE);
    const people = shares.flatMap(({ person }) => person ?? []);
    const teams = shares.flatMap(({ team }) => team ?? []);
    const known = await knownReceivers(unit, people, teams);
    const isKnown =
      people.every((one) => known.people.includes(one)) &&
      teams.every((one) => known.teams.includes(one));
    if (!isKnown)
      return refused({
        code: "shares.nobody",
        message: "Somebody among these is not known here. Nothing was changed.",
        path: "shares",
      });
    await putShares(unit, kind, id, shares);
    return fine(true as const);
  });

export const binKept = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<Result<true>> =>
  unitOfWork(em, async (unit) => {
    if (!(await mayBin(unit, viewer, kind, id, false))) return refused(NONE);
    await setBinned(unit, kind, id, true);
    return fine(true as const);
  });

/** What lies in the bin and may be taken out of it again. */
export const listBin = async (em: EntityManager, viewer: Viewer): Promise<BinLine[]> =>
  mayKeep(viewer) ? binOf(em, viewer) : [];

export const restoreFromBin = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<Result<true>> =>
  unitOfWork(em, async (unit) => {
    if (!(await mayBin(unit, viewer, kind, id, true))) return refused(NONE);
    await setBinned(unit, kind, id, false);
    return fine(true as const);
  });

/** Remembers that something was opened: for what is popular, unused and recent. */
export const noteOpened = addOpen;

/** Keeps something in one's own side list, or takes it out. */
export const setPin = putPin;
