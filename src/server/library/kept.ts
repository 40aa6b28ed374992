import { fine, refused, type Result } from "@/core/base";
import {
  mayRead,
  mayWrite,
  type EntityManager,
  type SharedKind,
  type Viewer,
  withConnection,
} from "@/data";
import type { BinLine, ShareLine, VersionLine } from "@/contract/room";

/** What is the same for reports, dashboards and saved filters: who may, versions, shares, the bin, what was opened. */
const TABLES: Readonly<Record<SharedKind, string>> = {
  report: "reports",
  dashboard: "dashboards",
  filter: "saved_filters",
};
export const KINDS = Object.keys(TABLES) as SharedKind[];
export const tableOf = (kind: SharedKind): string => TABLES[kind];

export const ISO = (column: string): string =>
  `to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`;
export const isAdministrator = (viewer: Viewer): boolean => viewer.role === "administrator";
export const mayBuild = (viewer: Viewer): boolean => viewer.role !== "member";
const NONE = {
  code: "kept.none",
  message: "There is no such thing, or it is not yours to change.",
};

/** Reading: what one may read by its own shares, and a report also by a dashboard that shows it. $1 is the person, $2 whether an administrator. */
export const readable = (alias: string, kind: SharedKind): string =>
  kind === "report"
    ? `(${mayRead(alias, kind, "$1", "$2")} OR EXISTS (SELECT 1 FROM dashboards b WHERE b.deleted_at IS NULL AND b.tiles @> jsonb_build_array(jsonb_build_object('report', ${alias}.id)) AND ${mayRead("b", "dashboard", "$1", "$2")}))`
    : mayRead(alias, kind, "$1", "$2");
export const writable = (alias: string, kind: SharedKind): string =>
  mayWrite(alias, kind, "$1", "$2");
export const asks = (viewer: Viewer): [number, boolean] => [viewer.person, isAdministrator(viewer)];

export async function mayChangeKept(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<boolean> {
  if (!mayBuild(viewer)) return false;
  return withConnection(
    em,
    async (client) =>
      (
        await client.query(
          `SELECT 1 FROM ${TABLES[kind]} t WHERE t.id = $3 AND t.deleted_at IS NULL AND ${writable("t", kind)}`,
          [...asks(viewer), id],
        )
      ).rowCount === 1,
  );
}

/** Every save is a version: its name and its whole body. */
export async function recordVersion(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  kept: { id: number; version: number; name: string; body: object },
): Promise<void> {
  await withConnection(em, (client) =>
    client.query(
      "INSERT INTO versions (kind, target_id, version, name, body, saved_by_id) VALUES ($1, $2, $3, $4, $5, $6) ON CONFLICT DO NOTHING",
      [kind, kept.id, kept.version, kept.name, JSON.stringify(kept.body), viewer.person],
    ),
  );
}

export async function listVersions(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<VersionLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<VersionLine>(
      `SELECT v.version, v.name, v.body, p.name AS "savedBy", ${ISO("v.saved_at")} AS "savedAt" FROM versions v JOIN ${TABLES[kind]} t ON t.id = v.target_id LEFT JOIN people p ON p.id = v.saved_by_id
       WHERE v.kind = $3 AND v.target_id = $4 AND t.deleted_at IS NULL AND ${readable("t", kind)} ORDER BY v.version DESC LIMIT 200`,
      [...asks(viewer), kind, id],
    );
    return rows;
  });
}

export async function listShares(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<ShareLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<ShareLine>(
      `SELECT x.everyone, x.person_id AS person, x.team_id AS team, x.may_change AS "mayChange" FROM shares x JOIN ${TABLES[kind]} t ON t.id = x.target_id WHERE x.kind = $3 AND x.target_id = $4 AND ${readable("t", kind)} ORDER BY x.everyone DESC, x.team_id, x.person_id`,
      [...asks(viewer), kind, id],
    );
    return rows;
  });
}

/** Replaces whom something is shared with. */
export async function setShares(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  shares: readonly ShareLine[],
): Promise<Result<true>> {
  if (!(await mayChangeKept(em, viewer, kind, id))) return refused(NONE);
  return withConnection(em, async (client) => {
    await client.query("BEGIN");
    await client.query("DELETE FROM shares WHERE kind = $1 AND target_id = $2", [kind, id]);
    for (const { everyone, person, team, mayChange } of shares)
      await client.query(
        "INSERT INTO shares (kind, target_id, everyone, person_id, team_id, may_change) VALUES ($1, $2, $3, $4, $5, $6)",
        [kind, id, everyone, person, team, mayChange],
      );
    if (kind === "filter")
      await client.query("UPDATE workspace SET names_version = names_version + 1");
    await client.query("COMMIT");
    return fine(true as const);
  });
}

export async function binKept(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<Result<true>> {
  if (!(await mayChangeKept(em, viewer, kind, id))) return refused(NONE);
  await withConnection(em, async (client) => {
    await client.query(`UPDATE ${TABLES[kind]} SET deleted_at = now() WHERE id = $1`, [id]);
    if (kind === "filter")
      await client.query("UPDATE workspace SET names_version = names_version + 1");
  });
  return fine(true as const);
}

/** What lies in the bin and may be taken out of it again. */
export async function listBin(em: EntityManager, viewer: Viewer): Promise<BinLine[]> {
  if (!mayBuild(viewer)) return [];
  const one = (kind: SharedKind) =>
    `SELECT '${kind}' AS kind, t.id, t.name, ${ISO("t.deleted_at")} AS "deletedAt", t.deleted_at AS at FROM ${TABLES[kind]} t WHERE t.deleted_at > now() - interval '30 days' AND ${writable("t", kind)}`;
  return withConnection(
    em,
    async (client) =>
      (
        await client.query<BinLine>(
          `SELECT kind, id, name, "deletedAt" FROM (${KINDS.map(one).join(" UNION ALL ")}) binned ORDER BY at DESC`,
          asks(viewer),
        )
      ).rows,
  );
}

export async function restoreFromBin(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<Result<true>> {
  if (!mayBuild(viewer)) return refused(NONE);
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      `UPDATE ${TABLES[kind]} t SET deleted_at = NULL WHERE t.id = $3 AND t.deleted_at IS NOT NULL AND ${writable("t", kind)}`,
      [...asks(viewer), id],
    );
    if (kind === "filter")
      await client.query("UPDATE workspace SET names_version = names_version + 1");
    return rowCount ? fine(true as const) : refused(NONE);
  });
}

/** Remembers that something was opened: for what is popular, unused and recent. */
export const noteOpened = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<unknown> =>
  withConnection(em, (client) =>
    client.query(
      "INSERT INTO opens (person_id, kind, target_id) SELECT $1, $2, $3 WHERE NOT EXISTS (SELECT 1 FROM opens WHERE person_id = $1 AND kind = $2 AND target_id = $3 AND at > now() - interval '10 minutes')",
      [viewer.person, kind, id],
    ),
  );

/** Keeps something in one's own side list, or takes it out. */
export async function setPin(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  pinned: boolean,
): Promise<void> {
  await withConnection(em, (client) =>
    pinned
      ? client.query(
          "INSERT INTO pins (person_id, kind, target_id) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING",
          [viewer.person, kind, id],
        )
      : client.query("DELETE FROM pins WHERE person_id = $1 AND kind = $2 AND target_id = $3", [
          viewer.person,
          kind,
          id,
        ]),
  );
}
