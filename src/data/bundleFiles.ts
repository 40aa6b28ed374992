import { createReadStream, createWriteStream, existsSync } from "node:fs";
import { mkdir, readdir, stat, writeFile } from "node:fs/promises";
import { basename, join } from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { parse } from "csv-parse";
import { stringify } from "csv-stringify";
import { open as openZip, type Entry, type ZipFile } from "yauzl";
import {
  TABLE_IDS,
  TABLES,
  type RawBundle,
  type RawTable,
  type Refusal,
  type TableId,
} from "@/core/bundle";

/** A bundle that cannot be read at all; the message is for the person who brought it. */
export class UnreadableBundle extends Error {}

/** Most bytes that a bundle may unpack to. */
export const LARGEST_BUNDLE = 4 * 1024 ** 3;

const tableOf = (fileName: string): TableId | undefined => {
  const found = /^([a-z_]+)\.(csv|tsv)$/.exec(fileName);
  return found ? TABLE_IDS.find((id) => TABLES[id].file === found[1]) : undefined;
};

/** Reads the files of a bundle from a folder or a .zip of one. */
export async function readBundleFiles(path: string): Promise<RawBundle> {
  if (!existsSync(path)) throw new UnreadableBundle(`there is no ${path}`);
  const raw: { [T in TableId]?: RawTable } = {};
  if ((await stat(path)).isDirectory()) {
    for (const name of await readdir(path)) {
      const table = tableOf(name);
      if (table) raw[table] = await readTable(createReadStream(join(path, name)), name);
    }
  } else await readZip(path, raw);
  if (!raw.items) throw new UnreadableBundle(`${basename(path)} has no items.csv`);
  return raw;
}

async function readTable(stream: Readable, name: string): Promise<RawTable> {
  const parser = stream.pipe(
    parse({
      bom: true,
      delimiter: name.endsWith(".tsv") ? "\t" : ",",
      relax_column_count: true,
      skip_empty_lines: true,
    }),
  );
  stream.on("error", (error) => parser.destroy(error));
  const kept = new Map<string, string>();
  const once = (cell: string): string => {
    if (cell.length > 40) return cell;
    const known = kept.get(cell);
    if (known !== undefined) return known;
    if (kept.size < 200_000) kept.set(cell, cell);
    return cell;
  };
  const rows: string[][] = [];
  const lines: number[] = [];
  let line = 1;
  let broken = false;
  try {
    for await (const cells of parser as AsyncIterable<string[]>) {
      rows.push(cells.map(once));
      lines.push(line);
      const breaks = cells.reduce(
        (sum, cell) => sum + (cell.includes("\n") ? cell.split("\n").length - 1 : 0),
        0,
      );
      broken ||= breaks > 0;
      line += 1 + breaks;
    }
  } catch (error) {
    throw new UnreadableBundle(`${name} cannot be read as a table: ${(error as Error).message}`);
  }
  if (rows.length === 0) throw new UnreadableBundle(`${name} has no header row`);
  return { columns: rows[0], rows: rows.slice(1), ...(broken ? { lines: lines.slice(1) } : {}) };
}

async function readZip(path: string, raw: { [T in TableId]?: RawTable }): Promise<void> {
  const zip = await new Promise<ZipFile>((resolve, reject) =>
    openZip(path, { lazyEntries: true, autoClose: false }, (error, file) =>
      error
        ? reject(new UnreadableBundle(`${basename(path)} is neither a folder nor a zip file`))
        : resolve(file),
    ),
  );
  try {
    let size = 0;
    for (;;) {
      const entry = await nextEntry(zip);
      if (!entry) return;
      const name = basename(entry.fileName);
      const table = tableOf(name);
      if (!table || entry.fileName.split("/").length > 2) continue;
      size += entry.uncompressedSize;
      if (size > LARGEST_BUNDLE)
        throw new UnreadableBundle(`${basename(path)} unpacks to more than 4 GiB`);
      const stream = await new Promise<Readable>((resolve, reject) =>
        zip.openReadStream(entry, (error, opened) => (error ? reject(error) : resolve(opened))),
      );
      raw[table] = await readTable(stream, name);
    }
  } finally {
    zip.close();
  }
}

const nextEntry = (zip: ZipFile): Promise<Entry | null> =>
  new Promise((resolve, reject) => {
    const settle = (entry: Entry | null) => {
      zip.removeAllListeners();
      resolve(entry);
    };
    zip.once("entry", settle);
    zip.once("end", () => settle(null));
    zip.once("error", (error) =>
      reject(new UnreadableBundle(`the zip file is damaged: ${(error as Error).message}`)),
    );
    zip.readEntry();
  });

/** Writes one file of a bundle. */
export async function writeTable(
  folder: string,
  name: string,
  columns: readonly string[],
  rows: AsyncIterable<readonly unknown[]> | Iterable<readonly unknown[]>,
): Promise<void> {
  await mkdir(folder, { recursive: true });
  await pipeline(
    rows as Iterable<unknown>,
    stringify({ header: true, columns: columns as string[] }),
    createWriteStream(join(folder, name)),
  );
}

/** Writes refused rows as FILE.csv with a reason column, to be mended and brought again. */
export async function writeRefused(
  folder: string,
  raw: RawBundle,
  refused: readonly Refusal[],
): Promise<string[]> {
  const names: string[] = [];
  for (const id of TABLE_IDS) {
    const rows = refused.filter((refusal) => refusal.table === id).sort((a, b) => a.line - b.line);
    if (rows.length === 0) continue;
    const name = `${TABLES[id].file}.csv`;
    const columns = raw[id]!.columns;
    await writeTable(
      folder,
      name,
      [...columns, "reason"],
      rows.map((refusal) => [
        ...columns.map((_, i) => refusal.row[i] ?? ""),
        `line ${refusal.line}, ${refusal.column}: ${refusal.reason}`,
      ]),
    );
    names.push(name);
  }
  return names;
}

/** Writes a template for the statuses that no file describes. */
export async function writeStatusTemplate(
  folder: string,
  unstaged: readonly { status: string; guess: string }[],
): Promise<string> {
  const path = join(folder, "statuses.csv");
  const cell = (text: string) => `"${text.replace(/"/g, '""')}"`;
  await mkdir(folder, { recursive: true });
  await writeFile(
    path,
    [
      "status,stage,position,paused,workflow",
      ...unstaged.map(({ status, guess }, i) => `${cell(status)},${guess},${i + 1},no,`),
    ].join("\n") + "\n",
  );
  return path;
}
