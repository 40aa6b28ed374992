import type { DemoFacts } from "@/contract/signIn";
import type { PoolClient } from "pg";
import { compareTexts } from "@/core/base";
import {
  byLabel,
  LINKS,
  readMoneyRules,
  type CatalogData,
  type CustomField,
  type NamedMeasure,
  type Stage,
  type Subject,
  type Thing,
  type ThingLists,
  type ViewerWords,
} from "@/core/catalog";
import { parseInstant, type Instant, type WorkCalendar } from "@/core/time";
import { withConnection, type EntityManager } from "../database";
import { loadCalendar } from "./calendar";

import type { FieldRow } from "./identities";
import { mayRead } from "./sharing";

export type Role = "administrator" | "builder" | "member";

/** Somebody who is signed in, with what they may see. `visible`: of which projects; null is all of them. */
export interface Viewer extends ViewerWords {
  readonly login: string;
  readonly name: string;
  readonly role: Role;
  readonly visible: readonly number[] | null;
  /** Somebody of a client: reads, and changes no item. */
  readonly isClient: boolean;
  /** The projects that they manage. */
  readonly manages: readonly number[];
}

/** @returns null when nobody active has this identity */
export async function loadViewer(em: EntityManager, person: number): Promise<Viewer | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{
      login: string;
      name: string;
      role: Role;
      team_id: number | null;
      teams: number[];
      visible: number[];
      mine: number[];
      manages: number[];
      is_client: boolean;
    }>(
      `WITH me AS (SELECT * FROM people WHERE id = $1 AND active),
          t AS (SELECT coalesce(array_agg(team_id ORDER BY position), '{}') AS teams FROM team_members WHERE person_id = $1)
     SELECT me.login, me.name, me.role, me.team_id, me.client IS NOT NULL AS is_client, t.teams,
       ARRAY(SELECT p.id FROM projects p WHERE p.manager_id = $1 OR NOT EXISTS (SELECT 1 FROM project_teams x WHERE x.project_id = p.id) OR EXISTS (SELECT 1 FROM project_teams x WHERE x.project_id = p.id AND x.team_id = ANY(t.teams)) ORDER BY p.id) AS visible,
       ARRAY(SELECT p.id FROM projects p WHERE p.manager_id = $1 OR EXISTS (SELECT 1 FROM project_teams x WHERE x.project_id = p.id AND x.team_id = ANY(t.teams)) ORDER BY p.id) AS mine,
       ARRAY(SELECT p.id FROM projects p WHERE p.manager_id = $1 ORDER BY p.id) AS manages
     FROM me, t`,
      [person],
    ),
  );
  const row = rows[0];
  if (!row) return null;
  const visible = row.role === "administrator" ? null : row.visible;
  return {
    person,
    login: row.login,
    name: row.name,
    role: row.role,
    team: row.team_id,
    teams: row.teams,
    projects: visible ? row.mine.filter((id) => visible.includes(id)) : row.mine,
    visible,
    isClient: row.is_client,
    manages: row.manages,
  };
}

export interface WorkspaceRow {
  readonly name: string;
  readonly demo: DemoFacts | null;
  readonly namesVersion: number;
  readonly recordsVersion: number;
  readonly latestAt: Instant | null;
}

export async function loadWorkspace(em: EntityManager): Promise<WorkspaceRow> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{
      name: string;
      demo: DemoFacts | null;
      names_version: string;
      records_version: string;
      latest_at: string | null;
    }>(
      `SELECT name, demo, names_version, records_version, to_char(latest_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS latest_at FROM workspace`,
    ),
  );
  const row = rows[0];
  return {
    name: row.name,
    demo: row.demo,
    namesVersion: Number(row.names_version),
    recordsVersion: Number(row.records_version),
    latestAt: row.latest_at ? parseInstant(row.latest_at) : null,
  };
}

const SEEN = (column: string) =>
  `($1::int[] IS NULL OR ${column} IS NULL OR ${column} = ANY($1::int[]))`;

interface PriorityRow {
  readonly id: number;
  readonly name: string;
  readonly response_target: string | null;
  readonly resolution_target: string | null;
  readonly clock: "working" | "always";
}

/** What a viewer may know of, the calendar, and the settings of the workspace. */
export const loadKnown = (
  em: EntityManager,
  viewer: Viewer,
): Promise<{
  data: CatalogData;
  calendar: WorkCalendar;
  settings: Readonly<Record<string, string>>;
}> =>
  withConnection(em, async (client) => {
    const { calendar, settings } = await loadCalendar(client);
    const lists = await loadCatalogData(client, viewer, calendar.locale);
    return { data: { ...lists, money: readMoneyRules(settings) }, calendar, settings };
  });

/** Everything with a name that a viewer may know of, each list in its natural order. */
async function loadCatalogData(
  client: PoolClient,
  viewer: Viewer,
  locale: string,
): Promise<Omit<CatalogData, "money">> {
  const read = async <T extends object>(text: string, values: unknown[] = []): Promise<T[]> =>
    (await client.query<T & Record<string, never>>(text, values)).rows;
  const projects = viewer.visible;
  const plain = (text: string, values: unknown[] = []) =>
    read<{ id: number; name: string }>(text, values).then((rows) =>
      rows.map((row): Thing => ({ ...row, label: row.name })).sort(byLabel(locale)),
    );
  const statuses = await read<{
    id: number;
    name: string;
    stage: Stage;
    workflow: string;
    paused: boolean;
  }>(
    "SELECT id, name, stage, workflow, paused FROM statuses ORDER BY (SELECT min(id) FROM statuses w WHERE w.workflow = statuses.workflow), position, id",
  );
  const kinds = await read<{ id: number; name: string; plural: string }>(
    "SELECT id, name, plural FROM kinds",
  );
  const people = await read<{ id: number; login: string; name: string; team_id: number | null }>(
    `SELECT p.id, p.login, p.name, p.team_id FROM people p WHERE $1::int[] IS NULL OR p.id = $2 OR EXISTS (SELECT 1 FROM person_projects x WHERE x.person_id = p.id AND (x.project_id = 0 OR x.project_id = ANY($1::int[])))
       OR EXISTS (SELECT 1 FROM team_members m WHERE m.person_id = p.id AND m.team_id = ANY($3::int[])) OR EXISTS (SELECT 1 FROM teams t WHERE t.manager_id = p.id) OR EXISTS (SELECT 1 FROM projects j WHERE j.manager_id = p.id AND j.id = ANY($1::int[]))`,
    [projects, viewer.person, viewer.teams],
  );
  const sprints = await read<{
    id: number;
    name: string;
    team_id: number | null;
    starts_at: string | null;
    ends_at: string | null;
    closed_at: string | null;
  }>(
    `SELECT id, name, team_id, to_char(ends_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS ends_at, to_char(starts_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS starts_at, to_char(closed_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS closed_at FROM sprints WHERE ${SEEN("project_id")}`,
    [projects],
  );
  const lists: ThingLists = {
    status: statuses.map((row) => ({ ...row, label: row.name })),
    kind: kinds.map((row) => ({ ...row, label: row.name })).sort(byLabel(locale)),
    priority: (
      await read<PriorityRow>(
        "SELECT id, name, response_target, resolution_target, clock FROM priorities ORDER BY rank, id",
      )
    ).map((row) => ({
      id: row.id,
      name: row.name,
      label: row.name,
      ...(row.response_target || row.resolution_target
        ? {
            promise: {
              response: row.response_target,
              resolution: row.resolution_target,
              clock: row.clock,
            },
          }
        : {}),
    })),
    person: people
      .map((row) => ({
        id: row.id,
        name: row.login,
        label: row.name,
        ...(row.team_id ? { team: row.team_id } : {}),
      }))
      .sort(byLabel(locale)),
    team: await plain("SELECT id, name FROM teams"),
    service: await plain("SELECT id, name FROM services"),
    asset: await plain("SELECT id, name FROM assets"),
    project: await plain(
      "SELECT id, name FROM projects WHERE $1::int[] IS NULL OR id = ANY($1::int[])",
      [projects],
    ),
    sprint: sprints
      .map((row) => ({
        id: row.id,
        name: row.name,
        label: row.name,
        ...(row.team_id ? { team: row.team_id } : {}),
        ...(row.ends_at ? { endsAt: parseInstant(row.ends_at)! } : {}),
        ...(row.starts_at ? { startsAt: parseInstant(row.starts_at)! } : {}),
        ...(row.closed_at ? { closedAt: parseInstant(row.closed_at)! } : {}),
      }))
      .sort((a, b) => compareTexts(a.label, b.label, locale)),
    release: await plain(`SELECT id, name FROM releases WHERE ${SEEN("project_id")}`, [projects]),
  };
  const fields = await read<FieldRow>(
    "SELECT id, name, type, many, choices FROM fields ORDER BY position, id",
  );
  const links = (await read<{ link: string }>("SELECT DISTINCT link FROM links ORDER BY link")).map(
    (row) => row.link,
  );
  const filters = await read<{
    id: number;
    name: string;
    purpose: string;
    subject: Subject;
    condition: object | null;
  }>(
    `SELECT f.id, f.name, f.purpose, f.subject, f.condition FROM saved_filters f WHERE f.deleted_at IS NULL AND ${mayRead("f", "filter", "$1", "$2")} ORDER BY f.name COLLATE "natural", f.id`,
    [viewer.person, viewer.role === "administrator"],
  );
  const measures = await read<NamedMeasure>(
    "SELECT id, name, means, subject, measure FROM named_measures ORDER BY name, id",
  );
  return {
    lists,
    customFields: fields.map((field): CustomField => ({ ...field })),
    links: [...new Set([...LINKS, ...links])],
    filters: filters.map(({ condition, ...filter }) => ({ ...filter, where: condition })),
    measures,
  };
}
