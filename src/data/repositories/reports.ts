import type { Dress } from "@/core/definition";
import type { Report } from "@/core/kinds";
import { withConnection, type EntityManager } from "../database";
import { ReportEntity } from "../entities";
import { ISO } from "./instants";
import type { Viewer } from "./names";
import { saveKept, type Saved, type ToSave } from "./saving";
import { asks, pinned, readable, writable } from "./sharing";

/** A report as it is kept, with what its reader may do. Definitions are as stored: whoever takes them reads them by their schema. */
export interface ReportRow {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly definition: unknown;
  readonly dress: unknown;
  readonly ownerId: number;
  readonly owner: string;
  readonly updatedAt: string;
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** The same with how it is used. */
export interface ReportUseRow extends ReportRow {
  readonly boards: number;
  /** How often it was opened in 90 days, when last, and when last by the reader. */
  readonly opened: number;
  readonly lastOpened: string | null;
  readonly mineOpened: string | null;
  readonly myTeams: boolean | null;
}

const COLUMNS = `r.id, r.version, r.name, r.purpose, r.category, r.definition, r.dress, r.owner_id AS "ownerId", p.name AS owner, ${ISO("r.updated_at")} AS "updatedAt",
  ${pinned("r", "report")} AS pinned, ${writable("r", "report")} AS "mayChange"`;
const FROM = `FROM reports r JOIN people p ON p.id = r.owner_id WHERE r.deleted_at IS NULL AND ${readable("r", "report")}`;
const OPENS = "FROM opens o WHERE o.kind = 'report' AND o.target_id = r.id";

const read = async <T extends object>(
  em: EntityManager,
  text: string,
  values: readonly unknown[],
): Promise<T[]> =>
  (
    await withConnection(em, (client) =>
      client.query<T & Record<string, never>>(text, values as unknown[]),
    )
  ).rows;

export const findReport = async (
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<ReportRow | undefined> =>
  (await read<ReportRow>(em, `SELECT ${COLUMNS} ${FROM} AND r.id = $3`, [...asks(viewer), id]))[0];

export const readableReports = (em: EntityManager, viewer: Viewer): Promise<ReportUseRow[]> =>
  read(
    em,
    `SELECT ${COLUMNS},
       (SELECT count(*)::int FROM dashboards d WHERE d.deleted_at IS NULL AND d.tiles @> jsonb_build_array(jsonb_build_object('report', r.id))) AS boards,
       (SELECT count(*)::int ${OPENS} AND o.at > now() - interval '90 days') AS opened,
       (SELECT ${ISO("max(o.at)")} ${OPENS}) AS "lastOpened",
       (SELECT ${ISO("max(o.at)")} ${OPENS} AND o.person_id = $1) AS "mineOpened",
       p.team_id = ANY($3::int[]) OR EXISTS (SELECT 1 FROM shares x WHERE x.kind = 'report' AND x.target_id = r.id AND x.team_id = ANY($3::int[])) AS "myTeams"
     ${FROM} ORDER BY r.updated_at DESC, r.id DESC`,
    [...asks(viewer), viewer.teams],
  );

/**
 * Reports that were opened in the last 30 days: those that the reader opened last, and those that their teams open most.
 * @param most of each
 */
export async function openedReports(
  em: EntityManager,
  viewer: Viewer,
  most: number,
): Promise<{ id: number; name: string; definition: Report; isOwn: boolean }[]> {
  const lately = "o.at > now() - interval '30 days'";
  const rows = await read<{
    id: number;
    name: string;
    definition: Report;
    mine: string | null;
    theirs: number;
  }>(
    em,
    `SELECT r.id, r.name, r.definition,
       (SELECT ${ISO("max(o.at)")} ${OPENS} AND ${lately} AND o.person_id = $1) AS mine,
       (SELECT count(*)::int ${OPENS} AND ${lately} AND o.person_id <> $1
          AND o.person_id IN (SELECT t.person_id FROM team_members t WHERE t.team_id = ANY($3::int[]))) AS theirs
     ${FROM}`,
    [...asks(viewer), viewer.teams],
  );
  const own = rows
    .filter(({ mine }) => mine !== null)
    .sort((a, b) => (a.mine! < b.mine! ? 1 : -1))
    .slice(0, most);
  const others = rows
    .filter(({ mine, theirs }) => mine === null && theirs > 0)
    .sort((a, b) => b.theirs - a.theirs || a.id - b.id)
    .slice(0, most);
  return [...own, ...others].map(({ id, name, definition, mine }) => ({
    id,
    name,
    definition,
    isOwn: mine !== null,
  }));
}

/** Names of all reports that one may read; those whose names hold some words, if any are given. */
export const readableNames = (
  em: EntityManager,
  viewer: Viewer,
  words = "",
  limit = 100_000,
): Promise<{ id: number; name: string; kind: string }[]> =>
  read(
    em,
    `SELECT r.id, r.name, r.definition->>'kind' AS kind ${FROM} AND position(lower($3) in lower(r.name)) > 0 ORDER BY r.name COLLATE "natural", r.id LIMIT $4`,
    [...asks(viewer), words, limit],
  );

/** Reports of the same subject, those saved last first. */
export const reportsOfSubject = (
  em: EntityManager,
  viewer: Viewer,
  subject: Report["subject"],
  except: number | null,
): Promise<Pick<ReportRow, "id" | "name" | "definition">[]> =>
  read(
    em,
    `SELECT r.id, r.name, r.definition ${FROM} AND r.id IS DISTINCT FROM $3 AND r.definition->'subject' = $4::jsonb ORDER BY r.updated_at DESC LIMIT 500`,
    [...asks(viewer), except, JSON.stringify(subject)],
  );

/** Reports that name some saved filter. */
export const reportsWithFilters = (
  em: EntityManager,
  viewer: Viewer,
): Promise<Pick<ReportRow, "id" | "name" | "definition">[]> =>
  read(
    em,
    `SELECT r.id, r.name, r.definition ${FROM} AND r.definition::text LIKE '%"filter"%' ORDER BY r.name COLLATE "natural"`,
    asks(viewer),
  );

export const hasReports = async (em: EntityManager): Promise<boolean> =>
  (await em.fork().count(ReportEntity)) > 0;

export interface ReportBody {
  readonly purpose: string;
  readonly category: string;
  readonly definition: Report;
  readonly dress: Dress;
}

export const putReport = (
  em: EntityManager,
  viewer: Viewer,
  given: ToSave,
  body: ReportBody,
): Promise<Saved> =>
  saveKept(
    em,
    viewer,
    "report",
    given,
    { ...body },
    {
      make: (unit) =>
        unit.create(ReportEntity, {
          name: given.name,
          owner: viewer.person,
          updatedBy: viewer.person,
          ...body,
        }),
      load: (unit, id) => unit.findOne(ReportEntity, { id, deletedAt: null }),
      change: (kept) => Object.assign(kept, { name: given.name, ...body }),
    },
  );
