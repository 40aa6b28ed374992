import type { ImportState } from "@/contract/workspace";
import { mkdir, readFile, readdir, rm, writeFile } from "node:fs/promises";
import { basename, join } from "node:path";
import { randomUUID } from "node:crypto";
import { TABLES, type TableId } from "@/core/bundle";
import type { Stage } from "@/core/catalog";

import {
  addImport,
  continueImport,
  findImport,
  finishImport,
  hold,
  importBundle,
  latestImports,
  noteProgress,
  settleImport,
  stopImport,
  readBundleFiles,
  UnreadableBundle,
  writeRefused,
  type EntityManager,
  type ImportJob,
  type ImportOutcome,
  type ImportRow,
  type Viewer,
} from "@/data";
import type { Clock } from "../clock";
import { log } from "../log";
import { makeFirstReadyMade } from "../library/readyMade";

const dataFolder = (): string => process.env.GRAND_TALLY_DATA ?? join(process.cwd(), ".data");

/** Keeps an uploaded bundle and has it read, without writing anything yet. */
export async function beginImport(
  em: EntityManager,
  viewer: Viewer,
  fileName: string,
  bytes: Uint8Array,
): Promise<number> {
  const folder = join(dataFolder(), "uploads", randomUUID());
  await mkdir(folder, { recursive: true });
  await writeFile(
    join(
      folder,
      /\.(csv|tsv)$/i.test(fileName) ? `items${fileName.slice(-4).toLowerCase()}` : "bundle.zip",
    ),
    bytes,
  );
  return addImport(em, viewer.person, basename(fileName).slice(0, 200), folder);
}

const stateOf = (row: ImportRow): ImportState => ({
  id: row.id,
  fileName: row.fileName,
  state: row.state,
  doing: row.progress.doing ?? "waiting for its turn",
  share: row.progress.share ?? 0,
  problem: row.outcome?.problem ?? null,
  tables: row.outcome?.tables ?? [],
  refused: row.outcome?.refused ?? 0,
  causes: row.outcome?.causes ?? [],
  unstaged: row.outcome?.unstaged ?? [],
  unread: row.outcome?.unread ?? [],
});

export async function importState(em: EntityManager, id: number): Promise<ImportState | null> {
  const row = await findImport(em, id);
  return row ? stateOf(row) : null;
}

export const lastImports = async (em: EntityManager): Promise<ImportState[]> =>
  (await latestImports(em)).map(stateOf);

/** Goes on with an import that was read, or drops it. */
export async function actOnImport(
  em: EntityManager,
  id: number,
  act: "bring in" | "stop",
  stages?: Readonly<Record<string, Stage>>,
): Promise<ImportState | null> {
  const row = await findImport(em, id);
  if (!row) return null;
  if (act === "stop") {
    if (await stopImport(em, id)) await rm(row.folder, { recursive: true, force: true });
  } else if (row.state === "checked" || row.state === "asks") {
    if (stages) await keepStages(row.folder, stages);
    await continueImport(em, id, row.state);
  }
  return importState(em, id);
}

const STAGES = "stages.json";
const keepStages = (folder: string, stages: Readonly<Record<string, Stage>>): Promise<void> =>
  writeFile(join(folder, STAGES), JSON.stringify(stages));

async function keptStages(folder: string): Promise<{ stages?: Record<string, Stage> }> {
  const text = await readFile(join(folder, STAGES), "utf8").catch(() => null);
  return text ? { stages: JSON.parse(text) as Record<string, Stage> } : {};
}

/** The job: reads the bundle, tries it or brings it in, and keeps what came of it. Who holds it is alone with it. */
export async function runImport(em: EntityManager, clock: Clock, job: ImportJob): Promise<void> {
  const letGo = await hold("import", job.id);
  if (!letGo) return;
  try {
    const row = await findImport(em, job.id);
    if (row?.state === (job.dryRun ? "reading" : "writing")) await readOrBring(em, clock, job, row);
  } finally {
    await letGo();
  }
}

async function readOrBring(
  em: EntityManager,
  clock: Clock,
  { id, dryRun }: ImportJob,
  { folder, person: by }: ImportRow,
): Promise<void> {
  let told = 0;
  const note = (doing: string, share: number) =>
    void noteProgress(em, id, { doing, share }).catch((error: unknown) =>
      log.warn({ error }, "progress of an import could not be noted"),
    );
  try {
    const [file] = (await readdir(folder)).filter(
      (name) => name !== STAGES && !name.startsWith("refused"),
    );
    const raw = await readBundleFiles(file === "bundle.zip" ? join(folder, file) : folder);
    const outcome = await importBundle(em, raw, {
      dryRun,
      now: clock.now(),
      by,
      ...(await keptStages(folder)),
      onProgress: (doing, done, of) => {
        if (Date.now() - told < 300) return;
        told = Date.now();
        note(doing, of ? done / of : 0);
      },
      together: async (client, made) => {
        await writeRefused(join(folder, "refused"), raw, made.refused);
        return finishImport(client, id, toldOf(made));
      },
    });
    if (dryRun || outcome.unstaged.length) {
      await writeRefused(join(folder, "refused"), raw, outcome.refused);
      await settleImport(em, id, outcome.unstaged.length ? "asks" : "checked", toldOf(outcome));
    } else if (by !== null) await makeFirstReadyMade(em, by);
  } catch (error) {
    const unreadable = error instanceof UnreadableBundle;
    if (!unreadable) log.error({ error }, "an import failed");
    await settleImport(em, id, "failed", {
      problem: unreadable
        ? error.message
        : "It could not be read to its end; nothing was written. The details are in the worker's log.",
    });
  }
}

function toldOf(
  outcome: ImportOutcome,
): Pick<ImportState, "tables" | "refused" | "causes" | "unstaged" | "unread"> {
  const causes = new Map<string, { count: number; where: string[] }>();
  for (const { table, line, column, reason } of outcome.refused) {
    const general = `${TABLES[table].file}, ${column}: ${reason.replace(/^"[^"]*" /, "a value ").replace(/line \d+/, "one line")}`;
    const cause = causes.get(general) ?? { count: 0, where: [] };
    cause.count += 1;
    if (cause.where.length < 3) cause.where.push(`line ${line}: ${reason}`);
    causes.set(general, cause);
  }
  return {
    tables: Object.entries(outcome.tables).map(([id, counts]) => ({
      file: TABLES[id as TableId].file,
      ...counts,
    })),
    refused: outcome.refused.length,
    causes: [...causes]
      .map(([reason, { count, where }]) => ({ reason, count, where: where.join(" · ") }))
      .sort((a, b) => b.count - a.count)
      .slice(0, 20),
    unstaged: outcome.unstaged,
    unread: [...new Set(outcome.unread.map(({ table }) => table))].map((table) => ({
      file: `${TABLES[table].file}.csv`,
      columns: outcome.unread.flatMap((one) => (one.table === table ? [one.column] : [])),
    })),
  };
}

/** The refused rows of an import, each file's text by its name. */
export async function refusedZip(
  em: EntityManager,
  id: number,
): Promise<{ name: string; text: string }[]> {
  const row = await findImport(em, id);
  if (!row) return [];
  const folder = join(row.folder, "refused");
  const names = await readdir(folder).catch(() => [] as string[]);
  return Promise.all(
    names.map(async (name) => ({ name, text: await readFile(join(folder, name), "utf8") })),
  );
}
