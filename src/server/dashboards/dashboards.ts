import {
  BoardFilterSchema,
  DashboardSchema,
  DeckSchema,
  TileSchema,
} from "@/core/definition/schemas";
import { isReportTile, type BoardFilter, type Tile } from "@/core/definition";
import type { AskContext } from "@/core/catalog";
import { conditionText } from "@/core/sentence";
import type {
  ChosenFilters,
  DashboardLine,
  KeptDashboard,
  ShownFilter,
} from "@/contract/dashboards";
import { fine, refused, type Result } from "@/core/base";

import { z } from "zod";

import {
  findDashboard,
  keepChosen,
  putDashboard,
  readableDashboards,
  rightTo,
  visitBoard,
  writableDashboards,
  type DashboardRow,
  type EntityManager,
  type Viewer,
} from "@/data";
import type { Clock } from "../clock";
import { mayBuild } from "../library/kept";
import { nothingHere } from "../refused";

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
  filters: readonly ShownFilter[] = [],
): KeptDashboard => ({
  ...row,
  owner: { id: ownerId, name: owner },
  tiles: z.array(TileSchema).parse(row.tiles),
  decks: z.array(DeckSchema).parse(row.decks),
  filters,
  mayChange: mayBuild(viewer) && row.mayChange,
});

export async function loadDashboard(
  em: EntityManager,
  viewer: Viewer,
  id: number,
  context?: Pick<AskContext, "catalog">,
): Promise<KeptDashboard | null> {
  const row = await findDashboard(em, viewer, id);
  if (!row) return null;
  const filters = z.array(BoardFilterSchema).parse(row.filters);
  return keptDashboard(row, viewer, context ? filters.map((one) => shown(one, context)) : []);
}

/** A filter with what it begins with in words, by the names that things have now. */
const shown = (filter: BoardFilter, { catalog }: Pick<AskContext, "catalog">): ShownFilter => ({
  ...filter,
  says: filter.begins ? conditionText(filter.begins, catalog, filter.subject) : null,
});

/** Notes that somebody looks at a dashboard; tells what they chose of its filters, and when they saw it before. */
export const visit = (em: EntityManager, viewer: Viewer, clock: Clock, id: number) =>
  visitBoard(em, viewer, id, new Date(clock.now() / 1000));

/** Keeps what somebody chose of the filters of a dashboard that they may read. */
export async function keepChoice(
  em: EntityManager,
  viewer: Viewer,
  clock: Clock,
  id: number,
  chosen: ChosenFilters,
): Promise<true> {
  if (!(await rightTo(em, viewer, "dashboard", id))) throw nothingHere();
  await keepChosen(em, viewer, id, chosen, new Date(clock.now() / 1000));
  return true;
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
      .filter(isReportTile)
      .map((tile) => [tile.report, tile.by ?? kept!.ownerId]),
  );
  const named = tiles.filter(isReportTile).map((tile) => tile.report);
  const fresh = new Set(named.filter((report) => !before.has(report)));
  for (const report of fresh) if (!(await rightTo(em, viewer, "report", report))) return null;
  return tiles.map((tile) =>
    isReportTile(tile) ? { ...tile, by: before.get(tile.report) ?? viewer.person } : tile,
  );
}

const WRONG: Readonly<Record<string, string>> = {
  purpose: "What it is for takes at most 500 characters.",
  tiles: "A tile has no place on the grid.",
  decks: "A deck needs a title of at most 120 characters.",
  filters: "A filter of this dashboard does not read.",
};

export interface DashboardToSave {
  readonly id?: number;
  readonly version?: number;
  readonly name: string;
  readonly purpose?: string;
  readonly tiles: unknown;
  /** Left out: as they are. */
  readonly decks?: unknown;
  readonly filters?: unknown;
  /** Shared with everyone from the start: ready-made ones. */
  readonly forEveryone?: boolean;
}

export async function saveDashboard(
  em: EntityManager,
  viewer: Viewer,
  given: DashboardToSave,
): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer)) return mayNot();
  const before = given.id === undefined ? undefined : await findDashboard(em, viewer, given.id);
  const read = DashboardSchema.safeParse({
    name: given.name,
    purpose: given.purpose ?? before?.purpose ?? "",
    tiles: given.tiles,
    decks: given.decks ?? before?.decks ?? [],
    filters: given.filters ?? before?.filters ?? [],
  });
  if (!read.success)
    return refused({
      code: "dashboard.shape",
      message:
        read.error.issues[0].path[0] === "name"
          ? "A dashboard needs a name of at most 200 characters."
          : WRONG[String(read.error.issues[0].path[0])],
      path: String(read.error.issues[0].path[0]),
    });
  const { name, purpose, decks, filters } = read.data;
  const tiles = await ownTiles(em, viewer, given.id, read.data.tiles);
  if (!tiles)
    return refused({
      code: "dashboard.tile",
      message: "A tile names a report that is not there, or not yours to see.",
      path: "tiles",
    });
  const saved = await putDashboard(
    em,
    viewer,
    { ...given, name },
    { purpose, tiles, decks, filters },
  );
  return "saved" in saved
    ? fine(saved.saved)
    : refused({
        code: "dashboard.version",
        message:
          "Somebody saved this dashboard meanwhile. Your changes are still here: load theirs in another window, then save yours again.",
      });
}
