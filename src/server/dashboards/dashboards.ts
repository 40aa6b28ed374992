import { fine, refused, type Result } from "@/core/base";
import { DashboardSchema, TileSchema } from "@/core/definition";
import { z } from "zod";
import type { DashboardLine, KeptDashboard } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";
import { asks, ISO, mayBuild, readable, recordVersion, writable } from "../library/kept";

export async function listDashboards(em: EntityManager, viewer: Viewer): Promise<DashboardLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{
      id: number;
      name: string;
      purpose: string;
      owner: string;
      tiles: number;
      updated_at: string;
      pinned: boolean;
      may_change: boolean;
    }>(
      `SELECT d.id, d.name, d.purpose, p.name AS owner, jsonb_array_length(d.tiles) AS tiles, ${ISO("d.updated_at")} AS updated_at, ${writable("d", "dashboard")} AS may_change,
         EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'dashboard' AND x.target_id = d.id) AS pinned
       FROM dashboards d JOIN people p ON p.id = d.owner_id WHERE d.deleted_at IS NULL AND ${readable("d", "dashboard")} ORDER BY d.name COLLATE "natural", d.id`,
      asks(viewer),
    );
    return rows.map(({ updated_at: updatedAt, may_change: may, ...row }) => ({
      ...row,
      updatedAt,
      mayChange: mayBuild(viewer) && may,
    }));
  });
}

export async function loadDashboard(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<KeptDashboard | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{
      id: number;
      version: number;
      name: string;
      purpose: string;
      owner_id: number;
      owner: string;
      tiles: unknown;
      pinned: boolean;
      may_change: boolean;
    }>(
      `SELECT d.id, d.version, d.name, d.purpose, d.owner_id, p.name AS owner, d.tiles, EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'dashboard' AND x.target_id = d.id) AS pinned, ${writable("d", "dashboard")} AS may_change
       FROM dashboards d JOIN people p ON p.id = d.owner_id WHERE d.id = $3 AND d.deleted_at IS NULL AND ${readable("d", "dashboard")}`,
      [...asks(viewer), id],
    );
    const row = rows[0];
    if (!row) return null;
    return {
      id: row.id,
      version: row.version,
      name: row.name,
      purpose: row.purpose,
      owner: { id: row.owner_id, name: row.owner },
      tiles: z.array(TileSchema).parse(row.tiles),
      pinned: row.pinned,
      mayChange: mayBuild(viewer) && row.may_change,
    };
  });
}

/** The dashboards that a viewer may put tiles on. */
export async function boardsToChange(em: EntityManager, viewer: Viewer): Promise<KeptDashboard[]> {
  const lines = mayBuild(viewer) ? await listDashboards(em, viewer) : [];
  const boards = await Promise.all(lines.map((line) => loadDashboard(em, viewer, line.id)));
  return boards.filter((board): board is KeptDashboard => board !== null && board.mayChange);
}

const mayNot = () =>
  refused({
    code: "dashboard.right",
    message: "Members read dashboards; ask a builder to change this one.",
  });

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
  const { name, purpose, tiles } = read.data;
  const saved = await withConnection(
    em,
    async (client): Promise<Result<{ id: number; version: number }>> => {
      if (given.id === undefined) {
        const { rows } = await client.query<{ id: number; version: number }>(
          "INSERT INTO dashboards (name, purpose, tiles, owner_id, updated_by_id) VALUES ($1, $2, $3, $4, $4) RETURNING id, version",
          [name, purpose, JSON.stringify(tiles), viewer.person],
        );
        if (given.forEveryone)
          await client.query(
            "INSERT INTO shares (kind, target_id, everyone) VALUES ('dashboard', $1, true)",
            [rows[0].id],
          );
        return fine(rows[0]);
      }
      const { rows } = await client.query<{ id: number; version: number }>(
        `UPDATE dashboards d SET name = $3, purpose = $4, tiles = $5, updated_by_id = $1, updated_at = now(), version = version + 1 WHERE d.id = $6 AND d.version = $7 AND d.deleted_at IS NULL AND ${writable("d", "dashboard")} RETURNING d.id, d.version`,
        [...asks(viewer), name, purpose, JSON.stringify(tiles), given.id, given.version ?? 0],
      );
      return rows[0]
        ? fine(rows[0])
        : refused({
            code: "dashboard.version",
            message:
              "Somebody saved this dashboard meanwhile. Your changes are still here: load theirs in another window, then save yours again.",
          });
    },
  );
  if (saved.ok)
    await recordVersion(em, viewer, "dashboard", {
      ...saved.value,
      name,
      body: { purpose, tiles },
    });
  return saved;
}
