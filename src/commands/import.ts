import { TABLES, type TableId } from "@/core/bundle";
import { dirname, join } from "node:path";
import {
  importBundle,
  newSession,
  readBundleFiles,
  writeRefused,
  writeStatusTemplate,
} from "@/data";
import { systemClock } from "@/server/clock";
import { fromCaller, runCommand } from "./run";

/** bin/import FOLDER_OR_ZIP [--dry-run] */
runCommand(async () => {
  const [path] = process.argv.slice(2).filter((word) => !word.startsWith("--"));
  const dryRun = process.argv.includes("--dry-run");
  if (!path) throw new Error("say what to bring in: bin/import FOLDER_OR_ZIP [--dry-run]");
  const raw = await readBundleFiles(fromCaller(path));
  let told = "";
  const outcome = await importBundle(await newSession(), raw, {
    dryRun,
    now: systemClock.now(),
    onProgress: (doing, done, of) => {
      const line = `${doing} … ${of > 1 ? `${Math.round((100 * done) / of)} %` : ""}`;
      if (line !== told) process.stderr.write(`${(told = line)}\n`);
    },
  });
  const beside = path.endsWith(".zip") ? dirname(fromCaller(path)) : fromCaller(path);
  if (outcome.unstaged.length) {
    const template = await writeStatusTemplate(join(beside, "templates"), outcome.unstaged);
    throw new Error(
      `no file says of which stage these statuses are: ${outcome.unstaged.map(({ status }) => status).join(", ")}. A first guess is in ${template}: mend it, put it beside items.csv, and bring the bundle in again`,
    );
  }
  process.stdout.write(`${dryRun ? "Would come in" : "Came in"}:\n`);
  for (const [id, counts] of Object.entries(outcome.tables))
    process.stdout.write(
      `  ${TABLES[id as TableId].file}: ${counts.read} read, ${counts.fresh} new, ${counts.changed} changed, ${counts.same} the same, ${counts.refused} refused\n`,
    );
  if (outcome.refused.length === 0) return;
  const folder = join(beside, "refused");
  await writeRefused(folder, raw, outcome.refused);
  process.stdout.write(
    `${outcome.refused.length} rows were refused; they are in ${folder} with their reasons:\n`,
  );
  for (const { table, line, column, reason } of outcome.refused.slice(0, 20))
    process.stdout.write(`  ${TABLES[table].file}.csv line ${line}, ${column}: ${reason}\n`);
});
