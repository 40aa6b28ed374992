import { fine, refused, type Result } from "@/core/base";
import { DashboardSchema, TileSchema } from "@/core/definition";
import { z } from "zod";
import type { DashboardLine, KeptDashboard } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";
import { mayBuild } from "../library/reports";

const mayChange = (viewer: Viewer, owner: number): boolean => mayBuild(viewer) && (owner === viewer.person || viewer.role === "administrator");

export async function listDashboards(em: EntityManager, viewer: Viewer): Promise<DashboardLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; name: string; purpose: string; owner: string; owner_id: number; tiles: number; updated_at: string; pinned: boolean }>(
      `SELECT d.id, d.name, d.purpose, d.owner_id, p.name AS owner, jsonb_array_length(d.tiles) AS tiles, to_char(d.updated_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS updated_at,
         EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'dashboard' AND x.target_id = d.id) AS pinned
       FROM dashboards d JOIN people p ON p.id = d.owner_id WHERE d.deleted_at IS NULL ORDER BY d.name COLLATE "natural", d.id`,
      [viewer.person],
    );
    return rows.map(({ updated_at: updatedAt, owner_id: owner, ...row }) => ({ ...row, updatedAt, mayChange: mayChange(viewer, owner) }));
  });
}

export async function loadDashboard(em: EntityManager, viewer: Viewer, id: number): Promise<KeptDashboard | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; version: number; name: string; purpose: string; owner_id: number; owner: string; tiles: unknown; pinned: boolean }>(
      `SELECT d.id, d.version, d.name, d.purpose, d.owner_id, p.name AS owner, d.tiles, EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $2 AND x.kind = 'dashboard' AND x.target_id = d.id) AS pinned
       FROM dashboards d JOIN people p ON p.id = d.owner_id WHERE d.id = $1 AND d.deleted_at IS NULL`,
      [id, viewer.person],
    );
    const row = rows[0];
    if (!row) return null;
    return { id: row.id, version: row.version, name: row.name, purpose: row.purpose, owner: { id: row.owner_id, name: row.owner }, tiles: z.array(TileSchema).parse(row.tiles), pinned: row.pinned, mayChange: mayChange(viewer, row.owner_id) };
  });
}

/** The dashboards that a viewer may put tiles on. */
export async function boardsToChange(em: EntityManager, viewer: Viewer): Promise<KeptDashboard[]> {
  const lines = mayBuild(viewer) ? await listDashboards(em, viewer) : [];
  const boards = await Promise.all(lines.map((line) => loadDashboard(em, viewer, line.id)));
  return boards.filter((board): board is KeptDashboard => board !== null && board.mayChange);
}

const mayNot = () => refused({ code: "dashboard.right", message: "Members read dashboards; ask a builder to change this one." });

export interface DashboardToSave {
  readonly id?: number;
  readonly version?: number;
  readonly name: string;
  readonly purpose?: string;
  readonly tiles: unknown;
}

export async function saveDashboard(em: EntityManager, viewer: Viewer, given: DashboardToSave): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer)) return mayNot();
  const read = DashboardSchema.safeParse({ name: given.name, purpose: given.purpose ?? "", tiles: given.tiles });
  if (!read.success) return refused({ code: "dashboard.shape", message: read.error.issues[0].path[0] === "name" ? "A dashboard needs a name of at most 200 characters." : "A tile has no place on the grid.", path: String(read.error.issues[0].path[0]) });
  const { name, purpose, tiles } = read.data;
  return withConnection(em, async (client) => {
    if (given.id === undefined) {
      const { rows } = await client.query<{ id: number; version: number }>("INSERT INTO dashboards (name, purpose, tiles, owner_id, updated_by_id) VALUES ($1, $2, $3, $4, $4) RETURNING id, version", [name, purpose, JSON.stringify(tiles), viewer.person]);
      return fine(rows[0]);
    }
    const { rows } = await client.query<{ id: number; version: number }>(
      "UPDATE dashboards SET name = $1, purpose = $2, tiles = $3, updated_by_id = $4, updated_at = now(), version = version + 1 WHERE id = $5 AND version = $6 AND deleted_at IS NULL AND (owner_id = $4 OR $7) RETURNING id, version",
      [name, purpose, JSON.stringify(tiles), viewer.person, given.id, given.version ?? 0, viewer.role === "administrator"],
    );
    return rows[0] ? fine(rows[0]) : refused({ code: "dashboard.version", message: "Somebody saved this dashboard meanwhile. Your changes are still here: load theirs in another window, then save yours again." });
  });
}

export async function binDashboard(em: EntityManager, viewer: Viewer, id: number): Promise<Result<true>> {
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query("UPDATE dashboards SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL AND (owner_id = $2 OR $3)", [id, viewer.person, viewer.role === "administrator"]);
    return rowCount ? fine(true as const) : refused({ code: "dashboard.none", message: "There is no such dashboard, or it is somebody else's." });
  });
}
