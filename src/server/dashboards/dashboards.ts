import { DashboardSchema, TileSchema } from "@/core/definition/schemas";
import type { Tile } from "@/core/definition";
import type { DashboardLine, KeptDashboard } from "@/contract/dashboards";
import { fine, refused, type Result } from "@/core/base";

import { z } from "zod";

import {
  findDashboard,
  putDashboard,
  readableDashboards,
  rightTo,
  writableDashboards,
  type DashboardRow,
  type EntityManager,
  type Viewer,
} from "@/data";
import { mayBuild } from "../library/kept";

export async function listDashboards(em: EntityManager, viewer: Viewer): Promise<DashboardLine[]> {
  const lines = await readableDashboards(em, viewer);
  return lines.map((line) => ({ ...line, mayChange: mayBuild(viewer) && line.mayChange }));
}

/** The dashboard that somebody lands on: one of their pins, or else the first that they may read. */
export async function firstBoard(em: EntityManager, viewer: Viewer): Promise<number | null> {
  const boards = await readableDashboards(em, viewer);
  return (boards.find((board) => board.pinned) ?? boards[0])?.id ?? null;
}

const keptDashboard = (
  { ownerId, owner, ...row }: DashboardRow,
  viewer: Viewer,
): KeptDashboard => ({
  ...row,
  owner: { id: ownerId, name: owner },
  tiles: z.array(TileSchema).parse(row.tiles),
  mayChange: mayBuild(viewer) && row.mayChange,
});

export async function loadDashboard(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<KeptDashboard | null> {
  const row = await findDashboard(em, viewer, id);
  return row ? keptDashboard(row, viewer) : null;
}

/** The dashboards that a viewer may put tiles on. */
export async function boardsToChange(em: EntityManager, viewer: Viewer): Promise<KeptDashboard[]> {
  if (!mayBuild(viewer)) return [];
  const rows = await writableDashboards(em, viewer);
  return rows.map((row) => keptDashboard(row, viewer));
}

const mayNot = () =>
  refused({
    code: "dashboard.right",
    message: "Members read dashboards; ask a builder to change this one.",
  });

/**
 * The tiles as they are kept: those that were there already are still whose they were, new ones are the saver's, who has to
 * see what they show. A tile of a report that is gone stays, and says so.
 * @returns null where a new tile shows what the saver may not see
 */
async function ownTiles(
  em: EntityManager,
  viewer: Viewer,
  id: number | undefined,
  tiles: readonly Tile[],
): Promise<Tile[] | null> {
  const kept = id === undefined ? undefined : await findDashboard(em, viewer, id);
  const before = new Map(
    z
      .array(TileSchema)
      .parse(kept?.tiles ?? [])
      .map((tile) => [tile.report, tile.by ?? kept!.ownerId]),
  );
  const fresh = new Set(tiles.map((tile) => tile.report).filter((report) => !before.has(report)));
  for (const report of fresh) if (!(await rightTo(em, viewer, "report", report))) return null;
  return tiles.map((tile) => ({ ...tile, by: before.get(tile.report) ?? viewer.person }));
}

export interface DashboardToSave {
  readonly id?: number;
  readonly version?: number;
  readonly name: string;
  readonly purpose?: string;
  readonly tiles: unknown;
  /** Shared with everyone from the start: ready-made ones. */
  readonly forEveryone?: boolean;
}

export async function saveDashboard(
  em: EntityManager,
  viewer: Viewer,
  given: DashboardToSave,
): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer)) return mayNot();
  const read = DashboardSchema.safeParse({
    name: given.name,
    purpose: given.purpose ?? "",
    tiles: given.tiles,
  });
  if (!read.success)
    return refused({
      code: "dashboard.shape",
      message:
        read.error.issues[0].path[0] === "name"
          ? "A dashboard needs a name of at most 200 characters."
          : "A tile has no place on the grid.",
      path: String(read.error.issues[0].path[0]),
    });
  const { name, purpose } = read.data;
  const tiles = await ownTiles(em, viewer, given.id, read.data.tiles);
  if (!tiles)
    return refused({
      code: "dashboard.tile",
      message: "A tile names a report that is not there, or not yours to see.",
      path: "tiles",
    });
  const saved = await putDashboard(em, viewer, { ...given, name }, { purpose, tiles });
  return "saved" in saved
    ? fine(saved.saved)
    : refused({
        code: "dashboard.version",
        message:
          "Somebody saved this dashboard meanwhile. Your changes are still here: load theirs in another window, then save yours again.",
      });
}
