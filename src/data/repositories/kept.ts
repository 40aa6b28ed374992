import type { BinLine, PinLine, ShareLine, VersionLine } from "@/contract/library";

import { fresh, unitOfWork, withConnection, type EntityManager } from "../database";
import { Open, Pin, Share, Version, type SharedKind } from "../entities";
import type { Viewer } from "./names";
import { ISO, isoText } from "./instants";
import { asks, readable, writable } from "./sharing";

/** What is the same for reports, dashboards and saved filters: who may, versions, shares, the bin, what was opened. */

const TABLES: Readonly<Record<SharedKind, string>> = {
  report: "reports",
  dashboard: "dashboards",
  filter: "saved_filters",
};
const ENTITIES: Readonly<Record<SharedKind, string>> = {
  report: "Report",
  dashboard: "Dashboard",
  filter: "SavedFilter",
};
interface Binnable {
  id: number;
  deletedAt: Date | null;
}
const KINDS = Object.keys(TABLES) as SharedKind[];
/** How long what was thrown away lies in the bin. */
export const BIN_DAYS = 30;

/** Whether somebody may read or change a definition; null where there is none, or none that they may know of. */
export async function rightTo(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  inBin = false,
): Promise<"read" | "change" | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ may: boolean }>(
      `SELECT ${writable("t", kind)} AS may FROM ${TABLES[kind]} t WHERE t.id = $3 AND (t.deleted_at IS NOT NULL) = $4 AND ${readable("t", kind)}`,
      [...asks(viewer), id, inBin],
    ),
  );
  if (!rows[0]) return null;
  return rows[0].may ? "change" : "read";
}

export async function isOwner(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<boolean> {
  const { rows } = await withConnection(em, (client) =>
    client.query(`SELECT FROM ${TABLES[kind]} t WHERE t.id = $1 AND t.owner_id = $2`, [
      id,
      viewer.person,
    ]),
  );
  return rows.length > 0;
}

/** Filters are names: whoever knows names looks for them anew. */
export async function touchNames(em: EntityManager): Promise<void> {
  await withConnection(em, (client) =>
    client.query("UPDATE workspace SET names_version = names_version + 1"),
  );
}

/** A version with its body as it was kept. */
export type VersionRow = Omit<VersionLine, "report"> & { readonly body: Record<string, unknown> };

/** Every save is a version: its name and its whole body. */
export function addVersion(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  kept: { id: number; version: number; name: string; body: Record<string, unknown> },
): void {
  em.create(Version, {
    kind,
    targetId: kept.id,
    version: kept.version,
    name: kept.name,
    body: kept.body,
    savedBy: viewer.person,
  });
}

export async function versionsOf(
  em: EntityManager,
  kind: SharedKind,
  id: number,
): Promise<VersionRow[]> {
  const versions = await fresh(em).find(
    Version,
    { kind, targetId: id },
    { populate: ["savedBy"], orderBy: { version: "desc" }, limit: 200 },
  );
  return versions.map(({ version, name, body, savedBy, savedAt }) => ({
    version,
    name,
    body,
    savedBy: savedBy?.name ?? null,
    savedAt: isoText(savedAt),
  }));
}

export async function sharesOf(
  em: EntityManager,
  kind: SharedKind,
  id: number,
): Promise<ShareLine[]> {
  const shares = await fresh(em).find(
    Share,
    { kind, targetId: id },
    { orderBy: { everyone: "desc", team: "asc", person: "asc" } },
  );
  return shares.map(({ everyone, person, team, mayChange }) => ({
    everyone,
    person: person?.id ?? null,
    team: team?.id ?? null,
    mayChange,
  }));
}

/** Replaces whom something is shared with. */
export const putShares = (
  em: EntityManager,
  kind: SharedKind,
  id: number,
  shares: readonly ShareLine[],
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeDelete(Share, { kind, targetId: id });
    for (const share of shares) unit.create(Share, { kind, targetId: id, ...share });
    await unit.flush();
    if (kind === "filter") await touchNames(unit);
  });

export const shareWithEveryone = (em: EntityManager, kind: SharedKind, id: number): void =>
  void em.create(Share, { kind, targetId: id, everyone: true });

/** Puts something into the bin, or takes it out. */
export const setBinned = (
  em: EntityManager,
  kind: SharedKind,
  id: number,
  isBinned: boolean,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    // Not by the entity: what lies in the bin is no new version.
    await unit.nativeUpdate<Binnable>(
      ENTITIES[kind],
      { id },
      { deletedAt: isBinned ? new Date() : null },
    );
    if (kind === "filter") await touchNames(unit);
  });

/** What lies in the bin and may be taken out of it again. */
export async function binOf(em: EntityManager, viewer: Viewer): Promise<BinLine[]> {
  const one = (kind: SharedKind) =>
    `SELECT '${kind}' AS kind, t.id, t.name, ${ISO("t.deleted_at")} AS "deletedAt", t.deleted_at AS at FROM ${TABLES[kind]} t WHERE t.deleted_at > now() - interval '${BIN_DAYS} days' AND ${writable("t", kind)}`;
  const { rows } = await withConnection(em, (client) =>
    client.query<BinLine>(
      `SELECT kind, id, name, "deletedAt" FROM (${KINDS.map(one).join(" UNION ALL ")}) binned ORDER BY at DESC`,
      asks(viewer),
    ),
  );
  return rows;
}

const OPENED_AGAIN_MS = 600_000;

/** Remembers that something was opened, once in ten minutes: for what is popular, unused and recent. */
export const addOpen = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const since = new Date(Date.now() - OPENED_AGAIN_MS);
    const known = await unit.count(Open, {
      person: viewer.person,
      kind,
      targetId: id,
      at: { $gt: since },
    });
    if (known === 0) unit.create(Open, { person: viewer.person, kind, targetId: id });
  });

/** Keeps something in one's own side list, or takes it out. */
export const putPin = (
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  id: number,
  pinned: boolean,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const pin = { person: viewer.person, kind, targetId: id };
    if (pinned) await unit.upsert(Pin, pin, { onConflictAction: "ignore" });
    else await unit.nativeDelete(Pin, pin);
  });

export async function pinsOf(em: EntityManager, viewer: Viewer): Promise<PinLine[]> {
  const joins = KINDS.map(
    (kind) =>
      `LEFT JOIN ${TABLES[kind]} ${kind} ON x.kind = '${kind}' AND ${kind}.id = x.target_id AND ${kind}.deleted_at IS NULL AND ${readable(kind, kind)}`,
  ).join(" ");
  const name = `coalesce(${KINDS.map((kind) => `${kind}.name`).join(", ")})`;
  const { rows } = await withConnection(em, (client) =>
    client.query<PinLine>(
      `SELECT x.kind, x.target_id AS id, ${name} AS name FROM pins x ${joins} WHERE x.person_id = $1 AND ${name} IS NOT NULL ORDER BY x.created_at`,
      asks(viewer),
    ),
  );
  return rows;
}
