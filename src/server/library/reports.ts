import {
  ReportSchema,
  type Report,
  checkReport,
  printReport,
  sentencePieces,
  usesSavedFilter,
} from "@/core/kinds";
import { fine, refused, type Result } from "@/core/base";
import { DressSchema } from "@/core/definition";
import type { AskContext, Catalog } from "@/core/catalog";

import type { KeptReport, PinLine, ReportLine, ReportName, TwinLine } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";
import { asks, ISO, isAdministrator, mayBuild, readable, recordVersion, writable } from "./kept";

interface ReportRow {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly definition: unknown;
  readonly dress: unknown;
  readonly owner_id: number;
  readonly owner: string;
  readonly updated_at: string;
  readonly pinned: boolean;
  readonly may_change: boolean;
}

const COLUMNS = `r.id, r.version, r.name, r.purpose, r.category, r.definition, r.dress, r.owner_id, p.name AS owner, ${ISO("r.updated_at")} AS updated_at,
  EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'report' AND x.target_id = r.id) AS pinned, ${writable("r", "report")} AS may_change`;

export async function loadReport(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<KeptReport | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<ReportRow>(
      `SELECT ${COLUMNS} FROM reports r JOIN people p ON p.id = r.owner_id WHERE r.id = $3 AND r.deleted_at IS NULL AND ${readable("r", "report")}`,
      [...asks(viewer), id],
    );
    const row = rows[0];
    if (!row) return null;
    return {
      id: row.id,
      version: row.version,
      name: row.name,
      purpose: row.purpose,
      category: row.category,
      definition: ReportSchema.parse(row.definition),
      dress: DressSchema.parse(row.dress),
      owner: { id: row.owner_id, name: row.owner },
      updatedAt: row.updated_at,
      pinned: row.pinned,
      mayChange: mayBuild(viewer) && row.may_change,
    };
  });
}

interface LineRow extends ReportRow {
  readonly boards: number;
  readonly opened: number;
  readonly last_opened: string | null;
  readonly mine_opened: string | null;
  readonly team: boolean;
}

export async function listReports(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
): Promise<ReportLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<LineRow>(
      `SELECT ${COLUMNS},
         (SELECT count(*)::int FROM dashboards d WHERE d.deleted_at IS NULL AND d.tiles @> jsonb_build_array(jsonb_build_object('report', r.id))) AS boards,
         (SELECT count(*)::int FROM opens o WHERE o.kind = 'report' AND o.target_id = r.id AND o.at > now() - interval '90 days') AS opened,
         (SELECT ${ISO("max(o.at)")} FROM opens o WHERE o.kind = 'report' AND o.target_id = r.id) AS last_opened,
         (SELECT ${ISO("max(o.at)")} FROM opens o WHERE o.kind = 'report' AND o.target_id = r.id AND o.person_id = $1) AS mine_opened,
         p.team_id = ANY($3::int[]) OR EXISTS (SELECT 1 FROM shares x WHERE x.kind = 'report' AND x.target_id = r.id AND x.team_id = ANY($3::int[])) AS team
       FROM reports r JOIN people p ON p.id = r.owner_id WHERE r.deleted_at IS NULL AND ${readable("r", "report")} ORDER BY r.updated_at DESC, r.id DESC`,
      [...asks(viewer), viewer.teams],
    );
    return rows.map((row) => {
      const definition = ReportSchema.parse(row.definition);
      return {
        id: row.id,
        name: row.name,
        purpose: row.purpose,
        category: row.category,
        pieces: sentencePieces(definition, catalog),
        shape: definition.shape ?? null,
        owner: row.owner,
        mine: row.owner_id === viewer.person,
        myTeams: Boolean(row.team),
        updatedAt: row.updated_at,
        boards: row.boards,
        pinned: row.pinned,
        mayChange: mayBuild(viewer) && row.may_change,
        opened: row.opened,
        lastOpened: row.last_opened,
        mineOpened: row.mine_opened,
      };
    });
  });
}

/** Names of all reports that one may read, for pickers. */
export const reportNames = (em: EntityManager, viewer: Viewer): Promise<ReportName[]> =>
  withConnection(
    em,
    async (client) =>
      (
        await client.query<ReportName>(
          `SELECT r.id, r.name, r.definition->>'kind' IN ('level', 'crossings') AS "isTrend" FROM reports r WHERE r.deleted_at IS NULL AND ${readable("r", "report")} ORDER BY r.name COLLATE "natural" LIMIT 2000`,
          asks(viewer),
        )
      ).rows,
  );

/** Reports that one may read and that ask the same, or the same of the same records. */
export async function findTwins(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
  report: Report,
  except: number | null,
): Promise<TwinLine[]> {
  const asked = printReport({ ...report, shape: undefined }, catalog);
  const conditions = (one: Report) => JSON.stringify([one.subject, one.where ?? null]);
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; name: string; definition: unknown }>(
      `SELECT r.id, r.name, r.definition FROM reports r WHERE r.deleted_at IS NULL AND r.id IS DISTINCT FROM $3 AND r.definition->'subject' = $4::jsonb AND ${readable("r", "report")} ORDER BY r.updated_at DESC LIMIT 500`,
      [...asks(viewer), except, JSON.stringify(report.subject)],
    );
    const twins = rows.flatMap(({ id, name, definition }): TwinLine[] => {
      const other = ReportSchema.parse(definition);
      if (printReport({ ...other, shape: undefined }, catalog) === asked)
        return [{ id, name, same: "sentence" }];
      return report.where && conditions(other) === conditions(report)
        ? [{ id, name, same: "conditions" }]
        : [];
    });
    return [
      ...twins.filter((twin) => twin.same === "sentence"),
      ...twins.filter((twin) => twin.same === "conditions"),
    ].slice(0, 3);
  });
}

/** The reports that a saved filter changes: those that say it, as their subject or in a condition, or by way of another filter. */
export async function reportsOfFilter(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
  filter: number,
): Promise<{ id: number; name: string }[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; name: string; definition: unknown }>(
      `SELECT r.id, r.name, r.definition FROM reports r WHERE r.deleted_at IS NULL AND r.definition::text LIKE '%"filter"%' AND ${readable("r", "report")} ORDER BY r.name COLLATE "natural"`,
      asks(viewer),
    );
    return rows
      .filter(({ definition }) => usesSavedFilter(ReportSchema.parse(definition), filter, catalog))
      .map(({ id, name }) => ({ id, name }));
  });
}

const mayNot = () =>
  refused({
    code: "report.right",
    message: "Members read reports; ask a builder to save this one.",
  });
const nameProblem = (name: string): string | null =>
  name.trim() === ""
    ? "A report needs a name."
    : name.trim().length > 200
      ? "A name has at most 200 characters."
      : null;

export interface ReportToSave {
  readonly id?: number;
  /** The version that was changed; another one by now is told instead of overwritten. */
  readonly version?: number;
  readonly name: string;
  readonly purpose?: string;
  readonly category?: string;
  readonly definition: unknown;
  readonly dress: unknown;
  /** Shared with everyone from the start: ready-made ones. */
  readonly forEveryone?: boolean;
}

/** Saves a new report, or a new version of one. */
export async function saveReport(
  em: EntityManager,
  viewer: Viewer,
  context: AskContext,
  given: ReportToSave,
): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer)) return mayNot();
  const problem = nameProblem(given.name);
  if (problem) return refused({ code: "report.name", message: problem, path: "name" });
  const read = ReportSchema.safeParse(given.definition);
  const dress = DressSchema.safeParse(given.dress);
  if (!read.success || !dress.success)
    return refused({
      code: "report.shape",
      message: "This report has a part that is not understood.",
    });
  const wrong = checkReport(read.data, context);
  if (wrong.length) return refused(...wrong);
  const name = given.name.trim();
  const [purpose, category] = [
    (given.purpose ?? "").trim().slice(0, 1000),
    (given.category ?? "").trim().slice(0, 100),
  ];
  const saved = await withConnection(
    em,
    async (client): Promise<Result<{ id: number; version: number }>> => {
      const values = [
        name,
        JSON.stringify(read.data),
        JSON.stringify(dress.data),
        viewer.person,
        purpose,
        category,
      ];
      if (given.id === undefined) {
        const { rows } = await client.query<{ id: number; version: number }>(
          "INSERT INTO reports (name, definition, dress, owner_id, updated_by_id, purpose, category) VALUES ($1, $2, $3, $4, $4, $5, $6) RETURNING id, version",
          values,
        );
        if (given.forEveryone)
          await client.query(
            "INSERT INTO shares (kind, target_id, everyone) VALUES ('report', $1, true)",
            [rows[0].id],
          );
        return fine(rows[0]);
      }
      const { rows } = await client.query<{ id: number; version: number }>(
        `UPDATE reports r SET name = $3, definition = $4, dress = $5, purpose = $6, category = $7, updated_by_id = $1, updated_at = now(), version = version + 1 WHERE r.id = $8 AND r.version = $9 AND r.deleted_at IS NULL AND ${writable("r", "report")} RETURNING r.id, r.version`,
        [
          viewer.person,
          isAdministrator(viewer),
          name,
          values[1],
          values[2],
          purpose,
          category,
          given.id,
          given.version ?? 0,
        ],
      );
      if (rows[0]) return fine(rows[0]);
      const { rows: kept } = await client.query<{ may: boolean; name: string }>(
        `SELECT ${writable("r", "report")} AS may, p.name FROM reports r JOIN people p ON p.id = r.updated_by_id WHERE r.id = $3 AND r.deleted_at IS NULL`,
        [...asks(viewer), given.id],
      );
      if (!kept[0])
        return refused({
          code: "report.none",
          message: "This report is gone. Save it as a copy to keep your work.",
        });
      if (!kept[0].may)
        return refused({
          code: "report.owner",
          message: "This report is somebody else's. Save it as a copy.",
        });
      return refused({
        code: "report.version",
        message: `${kept[0].name} saved this report meanwhile. Look at the difference, then keep yours or theirs.`,
      });
    },
  );
  if (saved.ok)
    await recordVersion(em, viewer, "report", {
      ...saved.value,
      name,
      body: { definition: read.data, dress: dress.data, purpose, category },
    });
  return saved;
}

export async function listPins(em: EntityManager, viewer: Viewer): Promise<PinLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<PinLine>(
      `SELECT x.kind, x.target_id AS id, coalesce(r.name, d.name, f.name) AS name FROM pins x
         LEFT JOIN reports r ON x.kind = 'report' AND r.id = x.target_id AND r.deleted_at IS NULL AND ${readable("r", "report")} LEFT JOIN dashboards d ON x.kind = 'dashboard' AND d.id = x.target_id AND d.deleted_at IS NULL AND ${readable("d", "dashboard")}
         LEFT JOIN saved_filters f ON x.kind = 'filter' AND f.id = x.target_id AND f.deleted_at IS NULL AND ${readable("f", "filter")}
       WHERE x.person_id = $1 AND coalesce(r.name, d.name, f.name) IS NOT NULL ORDER BY x.created_at`,
      asks(viewer),
    );
    return rows;
  });
}
