import type { DashboardLine } from "@/contract/dashboards";
import type { BoardFilter, Deck, Tile } from "@/core/definition";

import { withConnection, type EntityManager } from "../database";
import { DashboardEntity } from "../entities";
import { ISO } from "./instants";
import type { Viewer } from "./names";
import { saveKept, type Saved, type ToSave } from "./saving";
import { asks, pinned, readable, writable } from "./sharing";

export interface DashboardRow {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly ownerId: number;
  readonly owner: string;
  readonly tiles: unknown;
  readonly decks: unknown;
  readonly filters: unknown;
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

const FROM = `FROM dashboards d JOIN people p ON p.id = d.owner_id WHERE d.deleted_at IS NULL AND ${readable("d", "dashboard")}`;
const COLUMNS = `d.id, d.version, d.name, d.purpose, d.owner_id AS "ownerId", p.name AS owner, d.tiles, d.decks, d.filters, ${pinned("d", "dashboard")} AS pinned, ${writable("d", "dashboard")} AS "mayChange"`;

export async function readableDashboards(
  em: EntityManager,
  viewer: Viewer,
): Promise<DashboardLine[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<DashboardLine>(
      `SELECT d.id, d.name, d.purpose, p.name AS owner, jsonb_array_length(d.tiles) AS tiles, ${ISO("d.updated_at")} AS "updatedAt", ${pinned("d", "dashboard")} AS pinned, ${writable("d", "dashboard")} AS "mayChange"
       ${FROM} ORDER BY d.name COLLATE "natural", d.id`,
      asks(viewer),
    ),
  );
  return rows;
}

/** Names of the dashboards that one may read whose names hold some words. */
export async function readableBoardNames(
  em: EntityManager,
  viewer: Viewer,
  words: string,
  limit: number,
): Promise<{ id: number; name: string }[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ id: number; name: string }>(
      `SELECT d.id, d.name ${FROM} AND position(lower($3) in lower(d.name)) > 0 ORDER BY d.name COLLATE "natural", d.id LIMIT $4`,
      [...asks(viewer), words, limit],
    ),
  );
  return rows;
}

export async function findDashboard(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<DashboardRow | undefined> {
  const { rows } = await withConnection(em, (client) =>
    client.query<DashboardRow>(`SELECT ${COLUMNS} ${FROM} AND d.id = $3`, [...asks(viewer), id]),
  );
  return rows[0];
}

/** The dashboards that somebody may put tiles on, by name. */
export async function writableDashboards(
  em: EntityManager,
  viewer: Viewer,
): Promise<DashboardRow[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<DashboardRow>(
      `SELECT ${COLUMNS} ${FROM} AND ${writable("d", "dashboard")} ORDER BY d.name COLLATE "natural", d.id`,
      asks(viewer),
    ),
  );
  return rows;
}

export const putDashboard = (
  em: EntityManager,
  viewer: Viewer,
  given: ToSave,
  body: {
    readonly purpose: string;
    readonly tiles: Tile[];
    readonly decks: Deck[];
    readonly filters: BoardFilter[];
  },
): Promise<Saved> =>
  saveKept(
    em,
    viewer,
    "dashboard",
    given,
    { ...body },
    {
      make: (unit) =>
        unit.create(DashboardEntity, {
          name: given.name,
          owner: viewer.person,
          updatedBy: viewer.person,
          ...body,
        }),
      load: (unit, id) => unit.findOne(DashboardEntity, { id, deletedAt: null }),
      change: (kept) => Object.assign(kept, { name: given.name, ...body }),
    },
  );
