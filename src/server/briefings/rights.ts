import type { KeptPart, Reader } from "@/contract/briefings";
import type { BriefingKind } from "@/core/briefing";
import { isThere, loadBriefing, type BriefingRow, type EntityManager, type Viewer } from "@/data";
import { mayBuild, mayKeep } from "../library/kept";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";

/** Who reads a briefing, and who writes in it. */

/** The name of what a briefing is of, for who may know it; null where there is none for them. */
export function nameOf({ view }: Desk, kind: BriefingKind, target: number): string | null {
  if (kind === "filter")
    return view.catalog.data.filters?.find((filter) => filter.id === target)?.name ?? null;
  return view.catalog.names.find(kind, target)?.label ?? null;
}

type Ids = readonly number[] | null;

/** What somebody sees: of which projects, and of which of them the money; null is all. */
export const sightOf = ({ viewer, view }: Desk): string =>
  JSON.stringify([viewer.visible, view.money]);

/** What two people see together: parts that each of them asked are read by who sees all of both. */
export function sightOfBoth(desk: Desk, kept: string | null): string {
  if (kept === null) return sightOf(desk);
  const both = (one: Ids, other: Ids): Ids =>
    one === null || other === null ? null : [...new Set([...one, ...other])];
  const [visible, money] = JSON.parse(kept) as [Ids, Ids];
  return JSON.stringify([both(desk.viewer.visible, visible), both(desk.view.money, money)]);
}

/** Whether somebody sees all that a maker saw: then they read what was kept. */
export function seesAsMuch(desk: Desk, sight: string | null): boolean {
  if (sight === null) return false;
  const covers = (own: Ids, theirs: Ids): boolean =>
    own === null || (theirs !== null && theirs.every((id) => own.includes(id)));
  const [visible, money] = JSON.parse(sight) as [Ids, Ids];
  return covers(desk.viewer.visible, visible) && covers(desk.view.money, money);
}

const roleOf = (viewer: Viewer): Reader => (viewer.isClient ? "client" : viewer.role);

export const mayChange = (
  viewer: Viewer,
  row: Pick<BriefingRow, "ownerId" | "kind" | "target">,
): boolean =>
  mayKeep(viewer) &&
  (viewer.role === "administrator" ||
    row.ownerId === viewer.person ||
    (row.kind === "project" && viewer.manages.includes(row.target)));

/** Whether somebody may mail a briefing: who makes boards, and who manages the project that it is of. */
export const mayMail = (viewer: Viewer, row: Pick<BriefingRow, "kind" | "target">): boolean =>
  mayBuild(viewer) ||
  (mayKeep(viewer) && row.kind === "project" && viewer.manages.includes(row.target));

/**
 * A briefing is read by who sees what it is of; of a team by those who work here. A frozen one whose subject is gone, and not
 * only hidden from them, is read on by who made it and by administrators.
 */
export async function mayRead(em: EntityManager, desk: Desk, row: BriefingRow): Promise<boolean> {
  const { viewer } = desk;
  if (row.kind === "team" && viewer.isClient) return false;
  if (nameOf(desk, row.kind, row.target) !== null) return true;
  const isTheirs = row.ownerId === viewer.person || viewer.role === "administrator";
  return row.frozenOn !== null && isTheirs && !(await isThere(em, row.kind, row.target));
}

export async function mayReadBriefing(em: EntityManager, desk: Desk, id: number): Promise<boolean> {
  const row = await loadBriefing(em, id);
  return row !== null && mayRead(em, desk, row);
}

export async function readable(em: EntityManager, desk: Desk, id: number): Promise<BriefingRow> {
  const row = await loadBriefing(em, id);
  if (!row || !(await mayRead(em, desk, row))) throw nothingHere();
  return row;
}

/** @throws Refused for who may not change it */
export async function changeable(em: EntityManager, desk: Desk, id: number): Promise<BriefingRow> {
  const row = await readable(em, desk, id);
  if (!mayChange(desk.viewer, row)) throw nothingHere();
  return row;
}

export const isFor = (part: KeptPart, desk: Desk, row: BriefingRow): boolean =>
  !part.readers || mayChange(desk.viewer, row) || part.readers.includes(roleOf(desk.viewer));
