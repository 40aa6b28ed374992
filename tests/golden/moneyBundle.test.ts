import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { RawBundle, RawTable, TableId } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import { exportBundle, importBundle, readBundleFiles, type EntityManager } from "@/data";
import { dropDatabase, freshDatabase } from "../support/database";
import { MONEY_BUNDLE, moneyRefusals, type MoneyRefusal } from "./money/load";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
let em: EntityManager;
let bundle: RawBundle;

beforeAll(async () => {
  em = await freshDatabase("money_refusals");
  bundle = await readBundleFiles(MONEY_BUNDLE);
});
afterAll(dropDatabase);

/** The bundle with one row more, or with one row in place of another. */
function withRow({ file, row, instead_of: other }: MoneyRefusal): RawBundle {
  const id = file.replace(/\.csv$/, "") as TableId;
  const { lines: _, ...table } = bundle[id]! as RawTable & { lines?: unknown };
  const columns = [
    ...table.columns,
    ...Object.keys(row).filter((name) => !table.columns.includes(name)),
  ];
  const cells = columns.map((name) => row[name] ?? "");
  const rows = other
    ? table.rows.map((kept) => (kept[0] === other ? cells : kept))
    : [...table.rows, cells];
  return { ...bundle, [id]: { columns, rows } };
}

test("the world itself comes in whole", async () => {
  const { refused, unread } = await importBundle(em, bundle, { now: NOW, dryRun: true });
  expect({ refused, unread }).toEqual({ refused: [], unread: [] });
});

test.each(moneyRefusals().map((refusal) => [refusal.file, refusal.reason, refusal] as const))(
  "%s: %s",
  async (file, reason, refusal) => {
    const { refused } = await importBundle(em, withRow(refusal), { now: NOW, dryRun: true });
    const [wrong, ...others] = refused.filter((one) => !one.reason.endsWith(" was refused"));
    expect({ file: `${wrong.table}.csv`, column: wrong.column, others }).toEqual({
      file,
      column: refusal.column,
      others: [],
    });
    expect(wrong.reason).toContain(reason);
  },
);

test("written out and read again it changes nothing", async () => {
  await importBundle(em, bundle, { now: NOW });
  const folder = await mkdtemp(join(tmpdir(), "money-"));
  await exportBundle(em, folder);
  const written = await readBundleFiles(folder);
  expect(Object.keys(written).sort()).toEqual(Object.keys(bundle).sort());
  const { tables, refused } = await importBundle(em, written, { now: NOW });
  expect(refused).toEqual([]);
  for (const [table, { read, same }] of Object.entries(tables))
    expect({ table, same }).toEqual({ table, same: read });
});
