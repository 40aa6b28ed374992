import type { ImportState } from "@/contract/workspace";

import type { PoolClient } from "pg";
import { fresh, LockMode, unitOfWork, withConnection, type EntityManager } from "../database";
import { ImportEntity } from "../entities";
import { heldOf } from "../lock";

/** An import as it is kept. */
export interface ImportRow {
  readonly id: number;
  readonly person: number | null;
  readonly fileName: string;
  readonly folder: string;
  readonly state: ImportState["state"];
  readonly progress: { readonly doing?: string; readonly share?: number };
  readonly outcome:
    | (Pick<ImportState, "tables" | "refused" | "causes" | "unstaged" | "unread"> & {
        problem?: string;
      })
    | null;
}

interface Kept {
  id: number;
  person?: { id: number } | null;
  fileName: string;
  folder: string;
  state: string;
  progress: Record<string, unknown>;
  outcome?: Record<string, unknown> | null;
}

const rowOf = ({ id, person, fileName, folder, state, progress, outcome }: Kept): ImportRow => ({
  id,
  person: person?.id ?? null,
  fileName,
  folder,
  state: state as ImportState["state"],
  progress,
  outcome: (outcome ?? null) as ImportRow["outcome"],
});

/** What the worker is asked about an import: to try it, or to bring it in. */
export interface ImportJob {
  readonly id: number;
  readonly dryRun: boolean;
}

const keyOf = (id: number): string => `import:${id}`;

/** A job for the worker, added with what it is about or not at all; one import has one job at most. */
async function addJob(unit: EntityManager, job: ImportJob): Promise<void> {
  await withConnection(unit, (client) =>
    client.query(
      "SELECT graphile_worker.add_job('import', $1::json, queue_name => 'imports', max_attempts => 1, job_key => $2)",
      [JSON.stringify(job), keyOf(job.id)],
    ),
  );
}

/** Keeps where a bundle lies, and has it read. */
export const addImport = (
  em: EntityManager,
  person: number,
  fileName: string,
  folder: string,
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const made = unit.create(ImportEntity, { person, fileName, folder, state: "reading" });
    await unit.flush();
    await addJob(unit, { id: made.id, dryRun: true });
    return made.id;
  });

export async function findImport(em: EntityManager, id: number): Promise<ImportRow | null> {
  const kept = await fresh(em).findOne(ImportEntity, id);
  return kept && rowOf(kept);
}

export async function latestImports(em: EntityManager): Promise<ImportRow[]> {
  const kept = await fresh(em).find(ImportEntity, {}, { orderBy: { id: "desc" }, limit: 5 });
  return kept.map(rowOf);
}

/** States in which the worker has an import, or is to have it. */
const AT_WORK = ["reading", "writing"] as const;

/** Says what came of an import, if it is still at work. */
export const settleImport = (
  em: EntityManager,
  id: number,
  state: ImportState["state"],
  outcome: object,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(
      ImportEntity,
      { id, state: { $in: [...AT_WORK] } },
      { state, updatedAt: new Date(), outcome: outcome as Record<string, unknown> },
    );
  });

/**
 * Says that an import is done, in the transaction that brings it in.
 * @returns false where it was stopped meanwhile, so that nothing of it may come in
 */
export async function finishImport(
  client: PoolClient,
  id: number,
  outcome: object,
): Promise<boolean> {
  const { rowCount } = await client.query(
    "UPDATE imports SET state = 'done', outcome = $2, updated_at = now() WHERE id = $1 AND state = 'writing'",
    [id, JSON.stringify(outcome)],
  );
  return rowCount === 1;
}

/**
 * Stops an import that has not come in; its job, where it waits, goes too.
 * @returns false where there was nothing to stop
 */
export const stopImport = (em: EntityManager, id: number): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const stopped = await unit.nativeUpdate(
      ImportEntity,
      { id, state: { $in: [...AT_WORK, "checked", "asks"] } },
      { state: "stopped", updatedAt: new Date() },
    );
    if (stopped === 1)
      await withConnection(unit, (client) =>
        client.query("SELECT graphile_worker.remove_job($1)", [keyOf(id)]),
      );
    return stopped === 1;
  });

/**
 * Goes on with an import that waits for an answer: its state and its job, or neither; once, however often it is asked at once.
 * @returns false where it waits for no answer any more
 */
export const continueImport = (
  em: EntityManager,
  id: number,
  from: "checked" | "asks",
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const isAsked = from === "asks";
    const moved = await unit.nativeUpdate(
      ImportEntity,
      { id, state: from },
      { state: isAsked ? "reading" : "writing", updatedAt: new Date() },
    );
    if (moved === 1) await addJob(unit, { id, dryRun: isAsked });
    return moved === 1;
  });

/** How long a job may be taken on before whoever did it has to hold its import, in seconds. */
const GRACE_S = 10;

/**
 * Takes imports up again whose worker has died: an import at work that nobody holds gets a job again, and the queue is free.
 * Nothing of it had come in.
 * @returns their ids
 */
export async function takeUpImports(em: EntityManager): Promise<readonly number[]> {
  const held = await heldOf(em, "import");
  return unitOfWork(em, async (unit) => {
    const left = await unit.find(
      ImportEntity,
      {
        state: { $in: [...AT_WORK] },
        id: { $nin: [...held] },
        updatedAt: { $lt: new Date(Date.now() - GRACE_S * 1000) },
      },
      { orderBy: { id: "asc" }, lockMode: LockMode.PESSIMISTIC_PARTIAL_WRITE },
    );
    const taken: number[] = [];
    for (const { id, state } of left) {
      const isWaiting = await withConnection(unit, async (client) => {
        const { rows } = await client.query<{ id: string; locked_by: string | null }>(
          `SELECT id, locked_by FROM graphile_worker.jobs
           WHERE key = $1 AND (locked_at IS NULL OR locked_at < now() - make_interval(secs => $2))`,
          [keyOf(id), GRACE_S],
        );
        const dead = rows.flatMap((row) => (row.locked_by === null ? [] : [row.locked_by]));
        if (dead.length) {
          await client.query("SELECT graphile_worker.force_unlock_workers($1)", [dead]);
          await client.query("SELECT graphile_worker.complete_jobs($1::bigint[])", [
            rows.map((row) => row.id),
          ]);
        }
        return rows.length > dead.length;
      });
      if (isWaiting) continue;
      await addJob(unit, { id, dryRun: state === "reading" });
      taken.push(id);
    }
    return taken;
  });
}

export const noteProgress = (
  em: EntityManager,
  id: number,
  progress: { doing: string; share: number },
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(ImportEntity, { id }, { progress, updatedAt: new Date() });
  });
