import { fine, refused, type Result } from "@/core/base";
import { DressSchema, ReportSchema } from "@/core/definition";
import type { Catalog } from "@/core/catalog";
import { checkReport, sentencePieces } from "@/core/sentence";
import type { AskContext } from "@/core/catalog";
import type { KeptReport, PinLine, ReportLine } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";

const ISO = (column: string) => `to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`;

export async function loadReport(em: EntityManager, viewer: Viewer, id: number): Promise<KeptReport | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; version: number; name: string; definition: unknown; dress: unknown; owner_id: number; owner: string; updated_at: string; pinned: boolean }>(
      `SELECT r.id, r.version, r.name, r.definition, r.dress, r.owner_id, p.name AS owner, ${ISO("r.updated_at")} AS updated_at,
         EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $2 AND x.kind = 'report' AND x.target_id = r.id) AS pinned
       FROM reports r JOIN people p ON p.id = r.owner_id WHERE r.id = $1 AND r.deleted_at IS NULL`,
      [id, viewer.person],
    );
    const row = rows[0];
    if (!row) return null;
    return { id: row.id, version: row.version, name: row.name, definition: ReportSchema.parse(row.definition), dress: DressSchema.parse(row.dress), owner: { id: row.owner_id, name: row.owner }, updatedAt: row.updated_at, pinned: row.pinned };
  });
}

export async function listReports(em: EntityManager, viewer: Viewer, catalog: Catalog): Promise<ReportLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; name: string; definition: unknown; owner_id: number; owner: string; updated_at: string; pinned: boolean; boards: number }>(
      `SELECT r.id, r.name, r.definition, r.owner_id, p.name AS owner, ${ISO("r.updated_at")} AS updated_at,
         EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'report' AND x.target_id = r.id) AS pinned,
         (SELECT count(*)::int FROM dashboards d WHERE d.deleted_at IS NULL AND d.tiles @> jsonb_build_array(jsonb_build_object('report', r.id))) AS boards
       FROM reports r JOIN people p ON p.id = r.owner_id WHERE r.deleted_at IS NULL ORDER BY r.updated_at DESC, r.id DESC`,
      [viewer.person],
    );
    return rows.map((row) => {
      const definition = ReportSchema.parse(row.definition);
      return { id: row.id, name: row.name, pieces: sentencePieces(definition, catalog), shape: definition.shape ?? null, owner: row.owner, mine: row.owner_id === viewer.person, updatedAt: row.updated_at, boards: row.boards, pinned: row.pinned };
    });
  });
}

export const mayBuild = (viewer: Viewer): boolean => viewer.role !== "member";
const mayNot = () => refused({ code: "report.right", message: "Members read reports; ask a builder to save this one." });
const nameProblem = (name: string): string | null => (name.trim() === "" ? "A report needs a name." : name.trim().length > 200 ? "A name has at most 200 characters." : null);

export interface ReportToSave {
  readonly id?: number;
  /** The version that was changed; another one by now is told instead of overwritten. */
  readonly version?: number;
  readonly name: string;
  readonly definition: unknown;
  readonly dress: unknown;
}

/** Saves a new report, or a new version of one. */
export async function saveReport(em: EntityManager, viewer: Viewer, context: AskContext, given: ReportToSave): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer)) return mayNot();
  const problem = nameProblem(given.name);
  if (problem) return refused({ code: "report.name", message: problem, path: "name" });
  const read = ReportSchema.safeParse(given.definition);
  const dress = DressSchema.safeParse(given.dress);
  if (!read.success || !dress.success) return refused({ code: "report.shape", message: "This report has a part that is not understood." });
  const wrong = checkReport(read.data, context);
  if (wrong.length) return refused(...wrong);
  return withConnection(em, async (client) => {
    const values = [given.name.trim(), JSON.stringify(read.data), JSON.stringify(dress.data), viewer.person];
    if (given.id === undefined) {
      const { rows } = await client.query<{ id: number; version: number }>("INSERT INTO reports (name, definition, dress, owner_id, updated_by_id) VALUES ($1, $2, $3, $4, $4) RETURNING id, version", values);
      return fine(rows[0]);
    }
    const { rows } = await client.query<{ id: number; version: number }>(
      "UPDATE reports SET name = $1, definition = $2, dress = $3, updated_by_id = $4, updated_at = now(), version = version + 1 WHERE id = $5 AND version = $6 AND deleted_at IS NULL AND (owner_id = $4 OR $7) RETURNING id, version",
      [...values, given.id, given.version ?? 0, viewer.role === "administrator"],
    );
    if (rows[0]) return fine(rows[0]);
    const { rows: kept } = await client.query<{ owner_id: number; name: string }>("SELECT r.owner_id, p.name FROM reports r JOIN people p ON p.id = r.updated_by_id WHERE r.id = $1 AND r.deleted_at IS NULL", [given.id]);
    if (!kept[0]) return refused({ code: "report.none", message: "This report is gone. Save it as a copy to keep your work." });
    if (kept[0].owner_id !== viewer.person && viewer.role !== "administrator") return refused({ code: "report.owner", message: "This report is somebody else's. Save it as a copy." });
    return refused({ code: "report.version", message: `${kept[0].name} saved this report meanwhile. Save yours as a copy, or load theirs.` });
  });
}

/** Puts a report into the bin. */
export async function binReport(em: EntityManager, viewer: Viewer, id: number): Promise<Result<true>> {
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query("UPDATE reports SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL AND (owner_id = $2 OR $3)", [id, viewer.person, viewer.role === "administrator"]);
    return rowCount ? fine(true as const) : refused({ code: "report.none", message: "There is no such report, or it is somebody else's." });
  });
}

/** Keeps a report or dashboard in one's own side list, or takes it out. */
export async function setPin(em: EntityManager, viewer: Viewer, kind: "report" | "dashboard", id: number, pinned: boolean): Promise<void> {
  await withConnection(em, (client) =>
    pinned
      ? client.query("INSERT INTO pins (person_id, kind, target_id) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING", [viewer.person, kind, id])
      : client.query("DELETE FROM pins WHERE person_id = $1 AND kind = $2 AND target_id = $3", [viewer.person, kind, id]),
  );
}

export async function listPins(em: EntityManager, viewer: Viewer): Promise<PinLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ kind: "report" | "dashboard"; id: number; name: string }>(
      `SELECT x.kind, x.target_id AS id, coalesce(r.name, d.name) AS name FROM pins x
         LEFT JOIN reports r ON x.kind = 'report' AND r.id = x.target_id AND r.deleted_at IS NULL LEFT JOIN dashboards d ON x.kind = 'dashboard' AND d.id = x.target_id AND d.deleted_at IS NULL
       WHERE x.person_id = $1 AND coalesce(r.name, d.name) IS NOT NULL ORDER BY x.created_at`,
      [viewer.person],
    );
    return rows;
  });
}

