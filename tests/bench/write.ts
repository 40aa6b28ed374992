import { TABLES, type TableId } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import { writeTable } from "@/data/bundleFiles";
import { makeWorld } from "@/demo";

/** Writes the demo world at a scale as the files of a bundle. */
const [scale, folder] = [Number(process.argv[2]), process.argv[3]];
for (const [id, table] of Object.entries(
  makeWorld({ seed: 7, end: parseInstant("2026-11-24T15:30:00Z")!, scale }),
)) {
  await writeTable(folder, `${TABLES[id as TableId].file}.csv`, table!.columns, table!.rows);
}
