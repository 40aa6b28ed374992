import { mkdir, readFile, readdir, rm, writeFile } from "node:fs/promises";
import { basename, join } from "node:path";
import { randomUUID } from "node:crypto";
import { makeWorkerUtils } from "graphile-worker";
import { TABLES, type TableId } from "@/core/bundle";
import type { Stage } from "@/core/catalog";
import type { ImportState } from "@/contract/room";
import {
  type EntityManager,
  importBundle,
  type ImportOutcome,
  readBundleFiles,
  UnreadableBundle,
  type Viewer,
  withConnection,
  writeRefused,
} from "@/data";
import type { Clock } from "../clock";
import { log } from "../log";
import { makeFirstReadyMade } from "../library/readyMade";

const dataFolder = (): string => process.env.GRAND_TALLY_DATA ?? join(process.cwd(), ".data");

export interface ImportJob {
  readonly id: number;
  readonly dryRun: boolean;
  readonly stages?: Readonly<Record<string, Stage>>;
}

const enqueue = async (job: ImportJob): Promise<void> => {
  const utils = await makeWorkerUtils({ connectionString: process.env.DATABASE_URL! });
  try {
    await utils.addJob("import", job, { queueName: "imports", maxAttempts: 1 });
  } finally {
    await utils.release();
  }
};

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
  const id = await withConnection(
    em,
    async (client) =>
      (
        await client.query<{ id: number }>(
          "INSERT INTO imports (person_id, file_name, folder, state) VALUES ($1, $2, $3, 'reading') RETURNING id",
          [viewer.person, basename(fileName).slice(0, 200), folder],
        )
      ).rows[0].id,
  );
  await enqueue({ id, dryRun: true });
  return id;
}

interface ImportRow {
  id: number;
  file_name: string;
  folder: string;
  state: ImportState["state"];
  progress: { doing?: string; share?: number };
  outcome:
    (Pick<ImportState, "tables" | "refused" | "causes" | "unstaged"> & { problem?: string }) | null;
}

const load = (em: EntityManager, id: number): Promise<ImportRow | undefined> =>
  withConnection(
    em,
    async (client) =>
      (
        await client.query<ImportRow>(
          "SELECT id, file_name, folder, state, progress, outcome FROM imports WHERE id = $1",
          [id],
        )
      ).rows[0],
  );

const stateOf = (row: ImportRow): ImportState => ({
  id: row.id,
  fileName: row.file_name,
  state: row.state,
  doing: row.progress.doing ?? "waiting for its turn",
  share: row.progress.share ?? 0,
  problem: row.outcome?.problem ?? null,
  tables: row.outcome?.tables ?? [],
  refused: row.outcome?.refused ?? 0,
  causes: row.outcome?.causes ?? [],
  unstaged: row.outcome?.unstaged ?? [],
});

export async function importState(em: EntityManager, id: number): Promise<ImportState | null> {
  const row = await load(em, id);
  return row ? stateOf(row) : null;
}

export async function lastImports(em: EntityManager): Promise<ImportState[]> {
  return withConnection(em, async (client) =>
    (
      await client.query<ImportRow>(
        "SELECT id, file_name, folder, state, progress, outcome FROM imports ORDER BY id DESC LIMIT 5",
      )
    ).rows.map(stateOf),
  );
}

/** Goes on with an import that was read, or drops it. */
export async function actOnImport(
  em: EntityManager,
  id: number,
  act: "bring in" | "stop",
  stages?: Readonly<Record<string, Stage>>,
): Promise<ImportState | null> {
  const row = await load(em, id);
  if (!row) return null;
  if (act === "stop") {
    await setState(em, id, "stopped");
    await rm(row.folder, { recursive: true, force: true });
  } else if (row.state === "checked" || row.state === "asks") {
    await setState(em, id, row.state === "asks" ? "reading" : "writing");
    await enqueue({
      id,
      dryRun: row.state === "asks",
      ...(stages ? { stages } : ((await keptStages(row.folder)) ?? {})),
    });
    if (stages) await writeFile(join(row.folder, "stages.json"), JSON.stringify(stages));
  }
  return importState(em, id);
}

const keptStages = async (
  folder: string,
): Promise<{ stages: Record<string, Stage> } | undefined> => {
  const text = await readFile(join(folder, "stages.json"), "utf8").catch(() => null);
  return text ? { stages: JSON.parse(text) as Record<string, Stage> } : undefined;
};

const setState = (
  em: EntityManager,
  id: number,
  state: ImportState["state"],
  outcome?: object,
): Promise<unknown> =>
  withConnection(em, (client) =>
    client.query(
      "UPDATE imports SET state = $2, outcome = coalesce($3, outcome), updated_at = now() WHERE id = $1 AND state <> 'stopped'",
      [id, state, outcome ? JSON.stringify(outcome) : null],
    ),
  );

/** The job: reads the bundle, tries it or brings it in, and keeps what came of it. */
export async function runImport(em: EntityManager, clock: Clock, job: ImportJob): Promise<void> {
  const row = await load(em, job.id);
  if (!row || row.state === "stopped") return;
  let told = 0;
  const note = (doing: string, share: number) =>
    void withConnection(em, (client) =>
      client.query("UPDATE imports SET progress = $2, updated_at = now() WHERE id = $1", [
        job.id,
        JSON.stringify({ doing, share }),
      ]),
    ).catch((error: unknown) => log.warn({ error }, "progress of an import could not be noted"));
  try {
    const [file] = (await readdir(row.folder)).filter(
      (name) => name !== "stages.json" && !name.startsWith("refused"),
    );
    const raw = await readBundleFiles(file === "bundle.zip" ? join(row.folder, file) : row.folder);
    const by = await importer(em, job.id);
    const outcome = await importBundle(em, raw, {
      dryRun: job.dryRun,
      now: clock.now(),
      by,
      ...(job.stages ? { stages: job.stages } : {}),
      onProgress: (doing, done, of) => {
        if (Date.now() - told < 300) return;
        told = Date.now();
        note(doing, of ? done / of : 0);
      },
    });
    await writeRefused(join(row.folder, "refused"), raw, outcome.refused);
    if (!job.dryRun && outcome.unstaged.length === 0 && by !== null)
      await makeFirstReadyMade(em, by);
    await setState(
      em,
      job.id,
      outcome.unstaged.length ? "asks" : job.dryRun ? "checked" : "done",
      toldOf(outcome),
    );
  } catch (error) {
    const unreadable = error instanceof UnreadableBundle;
    if (!unreadable) log.error({ error }, "an import failed");
    await setState(em, job.id, "failed", {
      problem: unreadable
        ? error.message
        : "It could not be read to its end; nothing was written. The details are in the worker's log.",
    });
  }
}

const importer = (em: EntityManager, id: number): Promise<number | null> =>
  withConnection(
    em,
    async (client) =>
      (
        await client.query<{ person_id: number | null }>(
          "SELECT person_id FROM imports WHERE id = $1",
          [id],
        )
      ).rows[0]?.person_id ?? null,
  );

function toldOf(
  outcome: ImportOutcome,
): Pick<ImportState, "tables" | "refused" | "causes" | "unstaged"> {
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
  };
}

/** The refused rows of an import, each file's text by its name. */
export async function refusedZip(
  em: EntityManager,
  id: number,
): Promise<{ name: string; text: string }[]> {
  const row = await load(em, id);
  if (!row) return [];
  const folder = join(row.folder, "refused");
  const names = await readdir(folder).catch(() => [] as string[]);
  return Promise.all(
    names.map(async (name) => ({ name, text: await readFile(join(folder, name), "utf8") })),
  );
}
