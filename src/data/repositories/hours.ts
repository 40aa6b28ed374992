import type { Day, Instant } from "@/core/time";
import { inTransaction, withConnection, type EntityManager } from "../database";
import { notePresence, touchRecords } from "./histories";

/** One person's time entries, as they are booked and corrected by hand. */

export interface EntryRow {
  readonly id: number;
  readonly key: string | null;
  readonly title: string | null;
  readonly item: number | null;
  /** Its own project: not that of its item. */
  readonly project: number | null;
  readonly day: Day;
  readonly minutes: number;
  readonly billable: boolean;
  /** Who corrected it last, and when. */
  readonly correctedBy: string | null;
  readonly correctedAt: string | null;
}

/** @param client of a unit of work that goes on; nothing: one of its own */
export async function entriesOf(
  em: EntityManager,
  person: number,
  from: Day,
  to: Day,
): Promise<EntryRow[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<EntryRow & Record<string, unknown>>(
      `SELECT t.id, i.key, i.title, t.item_id AS item, t.project_id AS project, t.worked_on::text AS day,
         t.minutes::float8 AS minutes, coalesce(t.billable, FALSE) AS billable, c.name AS "correctedBy",
         to_char(c.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS "correctedAt"
       FROM time_entries t LEFT JOIN items i ON i.id = t.item_id
       LEFT JOIN LATERAL (SELECT p.name, x.at FROM time_entry_changes x JOIN people p ON p.id = x.by_id
         WHERE x.entry_id = t.id ORDER BY x.id DESC LIMIT 1) c ON TRUE
       WHERE t.person_id = $1 AND t.worked_on BETWEEN $2 AND $3 AND t.gone_at IS NULL
       ORDER BY t.worked_on, t.id`,
      [person, from, to],
    ),
  );
  return rows;
}

export const holidaysIn = async (
  em: EntityManager,
  from: Day,
  to: Day,
): Promise<ReadonlyMap<Day, string>> => {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ day: string; name: string }>(
      "SELECT day::text, name FROM holidays WHERE day BETWEEN $1 AND $2",
      [from, to],
    ),
  );
  return new Map(rows.map(({ day, name }) => [day, name]));
};

export interface Booking {
  readonly person: number;
  readonly item: number | null;
  readonly project: number | null;
  readonly day: Day;
  readonly billable: boolean;
  readonly minutes: number;
  /** What stood there for whoever typed it. */
  readonly was: number;
}

/**
 * Makes the entries of one person, thing and day come to a number of minutes: what is more is a new entry where there was none,
 * what stands there is corrected from the last one on, and each correction keeps what was, who and when.
 * @returns false where by now something else stands there
 */
export const bookMinutes = (
  em: EntityManager,
  { person, item, project, day, billable, minutes, was }: Booking,
  by: number,
  now: Instant,
): Promise<boolean> =>
  inTransaction(em, async (client) => {
    // Two windows of one person write one after the other.
    await client.query("SELECT 1 FROM people WHERE id = $1 FOR UPDATE", [person]);
    const { rows: kept } = await client.query<{ id: number; minutes: number }>(
      `SELECT id, minutes::float8 AS minutes FROM time_entries
       WHERE person_id = $1 AND item_id IS NOT DISTINCT FROM $2 AND project_id IS NOT DISTINCT FROM $3 AND worked_on = $4
         AND coalesce(billable, FALSE) = $5 AND gone_at IS NULL ORDER BY id`,
      [person, item, project, day, billable],
    );
    const stands = kept.reduce((sum, entry) => sum + entry.minutes, 0);
    if (Math.round(stands) !== was) return false;
    const at = now / 1_000_000;
    if (kept.length === 0 && minutes > 0)
      await client.query(
        `INSERT INTO time_entries (item_id, project_id, person_id, worked_on, minutes, billable, booked_at)
         VALUES ($1, $2, $3, $4, $5, $6, to_timestamp($7::double precision))`,
        [item, project, person, day, minutes, billable, at],
      );
    let rest = minutes - stands;
    for (const entry of [...kept].reverse()) {
      if (rest === 0) break;
      const next = Math.max(0, entry.minutes + rest);
      rest -= next - entry.minutes;
      await client.query(
        `INSERT INTO time_entry_changes (entry_id, at, by_id, minutes, deleted)
         VALUES ($1, to_timestamp($2::double precision), $3, $4, $5)`,
        [entry.id, at, by, entry.minutes, next === 0],
      );
      if (next === 0)
        await client.query(
          "UPDATE time_entries SET deleted_at = to_timestamp($2::double precision) WHERE id = $1",
          [entry.id, at],
        );
      else
        await client.query("UPDATE time_entries SET minutes = $2 WHERE id = $1", [entry.id, next]);
    }
    const { rows: charged } = await client.query<{ project: number | null }>(
      "SELECT coalesce($1::int, (SELECT project_id FROM items WHERE id = $2)) AS project",
      [project, item],
    );
    await notePresence(client, [{ person_id: person, project_id: charged[0].project ?? 0 }]);
    await touchRecords(client, now);
    return true;
  });

/** Which projects are finished by a day. */
export async function finishedProjects(
  em: EntityManager,
  projects: readonly number[],
  day: Day,
): Promise<readonly number[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ id: number }>(
      "SELECT id FROM projects WHERE id = ANY($1) AND finished_on <= $2",
      [projects, day],
    ),
  );
  return rows.map(({ id }) => id);
}
