import type { ImportState } from "@/contract/workspace";

import { fresh, unitOfWork, withConnection, type EntityManager } from "../database";
import { ImportEntity } from "../entities";

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

/** A job for the worker, added with what it is about or not at all. */
async function addJob(unit: EntityManager, task: string, payload: object): Promise<void> {
  await withConnection(unit, (client) =>
    client.query(
      "SELECT graphile_worker.add_job($1, $2::json, queue_name => 'imports', max_attempts => 1)",
      [task, JSON.stringify(payload)],
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
    await addJob(unit, "import", { id: made.id, dryRun: true });
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

/** Sets where an import stands, unless it was stopped. */
export const putImportState = (
  em: EntityManager,
  id: number,
  state: ImportState["state"],
  outcome?: Record<string, unknown>,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(
      ImportEntity,
      { id, state: { $ne: "stopped" } },
      { state, updatedAt: new Date(), ...(outcome ? { outcome } : {}) },
    );
  });

/** Goes on with an import that waits for an answer: its state and its job, or neither. */
export const continueImport = (
  em: EntityManager,
  id: number,
  state: ImportState["state"],
  job: object,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await putImportState(unit, id, state);
    await addJob(unit, "import", job);
  });

export const noteProgress = (
  em: EntityManager,
  id: number,
  progress: { doing: string; share: number },
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(ImportEntity, { id }, { progress, updatedAt: new Date() });
  });
