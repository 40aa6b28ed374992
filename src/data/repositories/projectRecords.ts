import type { MilestoneLine, ProgressLine } from "@/contract/projects";
import type { Instant } from "@/core/time";
import { fresh, inTransaction, unitOfWork, withConnection, type EntityManager } from "../database";
import { Reminder } from "../entities";
import { notePresence, touchRecords } from "./histories";
import { isoDay, isoText } from "./instants";

/** What is kept of a project by hand: how far it is, its milestones, and what is said of it week by week. */

/** The lines of a project's own room that no report counts. */
export interface ProjectRow {
  readonly id: number;
  readonly name: string;
  readonly type: string | null;
  readonly manager: number | null;
  readonly managerName: string | null;
  readonly teams: readonly string[];
}

export async function loadProject(em: EntityManager, id: number): Promise<ProjectRow | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<ProjectRow & Record<string, unknown>>(
      `SELECT p.id, p.name, p.type, p.manager_id AS manager, m.name AS "managerName",
         ARRAY(SELECT t.name FROM project_teams x JOIN teams t ON t.id = x.team_id WHERE x.project_id = p.id ORDER BY x.position) AS teams
       FROM projects p LEFT JOIN people m ON m.id = p.manager_id WHERE p.id = $1`,
      [id],
    ),
  );
  return rows[0] ?? null;
}

export async function findProjectByName(em: EntityManager, name: string): Promise<number | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ id: number }>("SELECT id FROM projects WHERE name = $1", [name]),
  );
  return rows[0]?.id ?? null;
}

export async function milestonesOf(em: EntityManager, project: number): Promise<MilestoneLine[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<MilestoneLine & Record<string, unknown>>(
      `SELECT id, name, ${isoDay("coalesce(baseline_on, due_on)")} AS baseline, ${isoDay("due_on")} AS due, ${isoDay("reached_on")} AS reached
       FROM milestones WHERE project_id = $1 ORDER BY due_on NULLS LAST, id`,
      [project],
    ),
  );
  return rows;
}

interface Span {
  readonly starts: string | null;
  readonly ends: string | null;
}

/**
 * Sets the days that a project lies between.
 * @param was as they were seen
 * @returns true; or the days that stand there by now, where these are others; null without such a project
 */
export const putProjectSpan = (
  em: EntityManager,
  project: number,
  was: Span,
  to: Span,
  now: Instant,
): Promise<true | Span | null> =>
  inTransaction(em, async (client) => {
    const { rows } = await client.query<Span & Record<string, unknown>>(
      `SELECT ${isoDay("starts_on")} AS starts, ${isoDay("ends_on")} AS ends FROM projects WHERE id = $1 FOR UPDATE`,
      [project],
    );
    const [kept] = rows;
    if (!kept) return null;
    if (kept.starts !== was.starts || kept.ends !== was.ends) return kept;
    await client.query("UPDATE projects SET starts_on = $2, ends_on = $3 WHERE id = $1", [
      project,
      to.starts,
      to.ends,
    ]);
    await touchRecords(client, now);
    return true;
  });

/** Moves a milestone that is not reached to another day; its first date stays. @returns whether it stood where it was seen */
export const moveMilestone = (
  em: EntityManager,
  project: number,
  { id, expected, to }: { readonly id: number; readonly expected: string; readonly to: string },
  now: Instant,
): Promise<boolean> =>
  inTransaction(em, async (client) => {
    const { rowCount } = await client.query(
      `UPDATE milestones SET baseline_on = coalesce(baseline_on, due_on), due_on = $4
       WHERE project_id = $1 AND id = $2 AND due_on = $3 AND reached_on IS NULL`,
      [project, id, expected, to],
    );
    if (rowCount) await touchRecords(client, now);
    return Boolean(rowCount);
  });

interface MilestoneFacts {
  readonly name: string;
  readonly due: string | null;
  readonly reached: string | null;
}
export interface MilestoneToSave extends MilestoneFacts {
  /** The one that is changed, as it was seen; nothing: a new one. */
  readonly was?: (MilestoneFacts & { readonly id: number }) | undefined;
}

/**
 * Keeps a milestone. Its first date stays what it was: the first due date that it ever had.
 * @returns its id; null where there is none of that id, "taken" where another one has its name, and what stands there by now
 *   where that is not what was seen
 */
export const putMilestone = (
  em: EntityManager,
  project: number,
  { was, name, due, reached }: MilestoneToSave,
  now: Instant,
): Promise<number | null | "taken" | MilestoneFacts> =>
  inTransaction(em, async (client) => {
    const { rowCount: taken } = await client.query(
      "SELECT 1 FROM milestones WHERE project_id = $1 AND name = $2 AND id IS DISTINCT FROM $3",
      [project, name, was?.id ?? null],
    );
    if (taken) return "taken";
    if (was) {
      const { rows: kept } = await client.query<MilestoneFacts & Record<string, unknown>>(
        `SELECT name, ${isoDay("due_on")} AS due, ${isoDay("reached_on")} AS reached
         FROM milestones WHERE project_id = $1 AND id = $2 FOR UPDATE`,
        [project, was.id],
      );
      const [now] = kept;
      if (!now) return null;
      if (now.name !== was.name || now.due !== was.due || now.reached !== was.reached) return now;
    }
    const { rows } =
      was === undefined
        ? await client.query<{ id: number }>(
            "INSERT INTO milestones (project_id, name, due_on, reached_on, baseline_on) VALUES ($1, $2, $3, $4, $3) RETURNING id",
            [project, name, due, reached],
          )
        : await client.query<{ id: number }>(
            `UPDATE milestones SET name = $3, baseline_on = coalesce(baseline_on, due_on, $4), due_on = $4, reached_on = $5
             WHERE project_id = $1 AND id = $2 RETURNING id`,
            [project, was.id, name, due, reached],
          );
    if (rows.length) await touchRecords(client, now);
    return rows[0]?.id ?? null;
  });

export const removeMilestone = (
  em: EntityManager,
  project: number,
  id: number,
  now: Instant,
): Promise<boolean> =>
  inTransaction(em, async (client) => {
    const { rowCount } = await client.query(
      "DELETE FROM milestones WHERE project_id = $1 AND id = $2",
      [project, id],
    );
    if (rowCount) await touchRecords(client, now);
    return Boolean(rowCount);
  });

export async function progressOf(em: EntityManager, project: number): Promise<ProgressLine[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<ProgressLine & Record<string, unknown>>(
      `SELECT ${isoDay('"on"')} AS "on", planned_percent::text AS planned, actual_percent::text AS actual
       FROM progress WHERE project_id = $1 ORDER BY progress."on"`,
      [project],
    ),
  );
  return rows;
}

interface ProgressFacts {
  readonly actual: string | null;
  readonly planned: string | null;
}

/**
 * Keeps how far a project is on a day; what is not given stays as it is.
 * @param was what stood there, as it was seen; null: nothing
 * @returns true; or what stands there by now, where that is not what was seen
 */
export const putProgress = (
  em: EntityManager,
  project: number,
  {
    on,
    actual,
    planned,
    was,
  }: {
    on: string;
    actual?: string | null | undefined;
    planned?: string | null | undefined;
    was: ProgressFacts | null;
  },
  now: Instant,
): Promise<true | ProgressFacts | null> =>
  inTransaction(em, async (client) => {
    // Of two who enter the first line of a day at once, the second waits here for the first.
    await client.query("SELECT FROM projects WHERE id = $1 FOR NO KEY UPDATE", [project]);
    const { rows: kept } = await client.query<ProgressFacts & Record<string, unknown>>(
      'SELECT actual_percent::text AS actual, planned_percent::text AS planned FROM progress WHERE project_id = $1 AND "on" = $2',
      [project, on],
    );
    const stands = kept[0] ?? null;
    if (stands?.actual !== was?.actual || stands?.planned !== was?.planned) return stands;
    await client.query(
      `INSERT INTO progress (project_id, "on", planned_percent, actual_percent) VALUES ($1, $2, $3, $4)
       ON CONFLICT (project_id, "on") DO UPDATE
         SET planned_percent = excluded.planned_percent, actual_percent = excluded.actual_percent`,
      [
        project,
        on,
        planned === undefined ? (stands?.planned ?? null) : planned,
        actual === undefined ? (stands?.actual ?? null) : actual,
      ],
    );
    await client.query(
      'DELETE FROM progress WHERE project_id = $1 AND "on" = $2 AND planned_percent IS NULL AND actual_percent IS NULL',
      [project, on],
    );
    await touchRecords(client, now);
    return true;
  });

export interface WordRow {
  readonly person: number | null;
  readonly name: string | null;
  readonly week: string;
  readonly health: string | null;
  readonly done: string | null;
  readonly next: string | null;
  readonly worry: string | null;
  readonly handedInAt: string | null;
}

/** The latest weeks first. */
export async function wordsOf(
  em: EntityManager,
  project: number,
  most: number,
): Promise<WordRow[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<WordRow & Record<string, unknown>>(
      `SELECT w.person_id AS person, p.name, w.week, w.health, w.done, w.next, w.worry,
         to_char(w.handed_in_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS "handedInAt"
       FROM weekly_words w LEFT JOIN people p ON p.id = w.person_id
       WHERE w.project_id = $1 ORDER BY w.week DESC, w.id LIMIT $2`,
      [project, most],
    ),
  );
  return rows;
}

export interface WordToSave {
  readonly week: string;
  readonly health: string | null;
  readonly done: string;
  readonly next: string;
  readonly worry: string;
}

/** Hands in a word; one that was handed in before keeps when that was. */
export const putWord = (
  em: EntityManager,
  project: number,
  person: number,
  { week, health, done, next, worry }: WordToSave,
  now: Instant,
): Promise<void> =>
  inTransaction(em, async (client) => {
    await client.query(
      `INSERT INTO weekly_words (project_id, person_id, week, health, done, next, worry, handed_in_at)
       VALUES ($1, $2, $3, $4, nullif($5, ''), nullif($6, ''), nullif($7, ''), to_timestamp($8::double precision))
       ON CONFLICT (project_id, person_id, week) DO UPDATE SET health = excluded.health, done = excluded.done,
         next = excluded.next, worry = excluded.worry, handed_in_at = coalesce(weekly_words.handed_in_at, excluded.handed_in_at)`,
      [project, person, week, health, done, next, worry, now / 1_000_000],
    );
    await notePresence(client, [{ person_id: person, project_id: project }]);
    await touchRecords(client, now);
  });

export interface ReminderRow {
  readonly project: number;
  readonly week: string;
  readonly at: string;
}

/** The reminders of some projects that were sent. */
export async function remindersOf(
  em: EntityManager,
  projects: readonly number[],
): Promise<ReminderRow[]> {
  const found = await fresh(em).find(Reminder, {
    projectId: { $in: [...projects] },
    sentAt: { $ne: null },
  });
  return found.flatMap(({ projectId, week, sentAt }) =>
    sentAt ? [{ project: projectId, week, at: isoText(sentAt) }] : [],
  );
}

export interface ReminderKey {
  readonly project: number;
  readonly week: string;
  readonly person: number;
}

const reminderKey = ({ project, week, person }: ReminderKey) => ({
  projectId: project,
  week,
  person,
});

/**
 * Takes it on to remind somebody of a week: one at a time, and what somebody left half-done for a minute can be taken on again.
 * @returns false where they were reminded before, or are being so
 */
export const takeReminder = (
  em: EntityManager,
  key: ReminderKey,
  by: number,
  now: Date,
): Promise<boolean> =>
  withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      `INSERT INTO reminders (project_id, week, person_id, by_id, at) VALUES ($1, $2, $3, $4, $5)
       ON CONFLICT (project_id, week, person_id) DO UPDATE SET by_id = excluded.by_id, at = excluded.at
       WHERE reminders.sent_at IS NULL AND reminders.at < excluded.at - interval '1 minute'`,
      [key.project, key.week, key.person, by, now],
    );
    return Boolean(rowCount);
  });

/** It was sent. */
export const reminderSent = (em: EntityManager, key: ReminderKey, now: Date): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(Reminder, reminderKey(key), { sentAt: now });
  });

/** It was not sent: somebody may try again. */
export const dropReminder = (em: EntityManager, key: ReminderKey): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeDelete(Reminder, reminderKey(key));
  });

export async function mailOf(
  em: EntityManager,
  person: number,
): Promise<{ readonly name: string; readonly email: string | null } | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ name: string; email: string | null }>(
      "SELECT name, email FROM people WHERE id = $1 AND active",
      [person],
    ),
  );
  return rows[0] ?? null;
}

/** The first due date that each of some items ever had, where it has another one now. */
export async function firstDues(
  em: EntityManager,
  items: readonly number[],
): Promise<ReadonlyMap<number, string>> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ item: number; due: string }>(
      `SELECT DISTINCT ON (m.item_id) m.item_id AS item, coalesce(m.from_value, m.to_value) AS due
       FROM moves m WHERE m.item_id = ANY($1) AND m.field = 'due' AND coalesce(m.from_value, m.to_value) IS NOT NULL
       ORDER BY m.item_id, m.at, m.id`,
      [items],
    ),
  );
  return new Map(rows.map(({ item, due }) => [item, due]));
}
