import fc from "fast-check";
import { spansOf, TRACKED, type TrackedField, type TrackedValues } from "@/core/history";
import { instantText, parseInstant, type Instant } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager, type KeptMove } from "@/data";
import { firstChange, loadHistoryRules, writeHistories } from "@/data/repositories/histories";
import { loadRecords, withoutColumns } from "@/data/repositories/storedRecords";
import { inTransaction, withConnection } from "@/data/database";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";

const NOW = parseInstant("2026-11-24T16:00:00Z")!;
let em: EntityManager;
let ids: number[];
let values: Record<"status" | "assignee" | "priority", string[]>;

beforeAll(async () => {
  em = await freshDatabase("history");
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now: NOW });
  await withConnection(em, async (client) => {
    const list = async (text: string) =>
      (await client.query<{ id: number }>(text)).rows.map((row) => String(row.id));
    ids = (await list("SELECT id FROM items WHERE deleted_at IS NULL ORDER BY id")).map(Number);
    values = {
      status: await list("SELECT id FROM statuses ORDER BY id"),
      assignee: await list("SELECT id FROM people ORDER BY id"),
      priority: await list("SELECT id FROM priorities ORDER BY id"),
    };
  });
});
afterAll(dropDatabase);

interface StoredSpan {
  valid_from: string;
  valid_to: string;
  status_id: number | null;
  priority_id: number | null;
  assignee_id: number | null;
  is_open: boolean;
  reopened: number;
}

const change = fc.record({
  item: fc.nat(200),
  field: fc.constantFrom("status" as const, "assignee" as const, "priority" as const),
  pick: fc.nat(200),
  empty: fc.boolean(),
  /** Minutes before now: 0 is a change of this moment, more a move that arrives late. */
  late: fc.constantFrom(0, 0, 0, 60, 6000),
});

/** Puts a move into its place in time; a late one changes what came before the next move of its field. */
function withMove(
  moves: readonly KeptMove[],
  now: TrackedValues,
  at: Instant,
  field: TrackedField,
  to: string | null,
): { moves: KeptMove[]; now: TrackedValues } | null {
  const next = moves.find((move) => move.field === field && move.at > at);
  if (next) return null;
  const from = now[field];
  if (from === to) return null;
  const all = [...moves, { at, field, from, to, by: null }]
    .map((move, place) => ({ move, place }))
    .sort((a, b) => a.move.at - b.move.at || a.place - b.place);
  return { moves: all.map(({ move }) => move), now: { ...now, [field]: to } };
}

test("whatever is moved, also late, replay of moves = spans = item in the database", async () => {
  const rules = await withConnection(em, loadHistoryRules);
  let clock = NOW;
  await fc.assert(
    fc.asyncProperty(fc.array(change, { minLength: 1, maxLength: 6 }), async (changes) => {
      const touched = new Set<number>();
      for (const { item, field, pick, empty, late } of changes) {
        const id = ids[item % ids.length];
        clock += 60_000_000;
        await inTransaction(em, async (client) => {
          const [record] = await loadRecords(client, [id]);
          const to =
            empty && field !== "status" ? null : values[field][pick % values[field].length];
          const moved = withMove(
            record.moves,
            record.now,
            Math.max(clock - late * 60_000_000, record.createdAt),
            field,
            to,
          );
          if (!moved) return;
          // Wholly, or only from the first change on.
          await writeHistories(
            client,
            [
              pick % 2
                ? { ...record, ...moved }
                : { ...withoutColumns(record), ...moved, since: firstChange(moved.moves) },
            ],
            rules,
          );
          touched.add(id);
        });
      }
      for (const id of touched) await agrees(id, rules);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

async function agrees(
  id: number,
  rules: Awaited<ReturnType<typeof loadHistoryRules>>,
): Promise<void> {
  await inTransaction(em, async (client) => {
    const [record] = await loadRecords(client, [id]);
    const replayed = spansOf(record, record.moves, rules);
    const { rows: spans } = await client.query<StoredSpan>(
      `SELECT to_char(valid_from AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS valid_from, valid_to::text, status_id, priority_id, assignee_id, is_open, reopened FROM state_spans WHERE item_id = $1 ORDER BY state_spans.valid_from`,
      [id],
    );
    expect(spans.map((span) => parseInstant(span.valid_from))).toEqual(
      replayed.map((span) => span.from),
    );
    spans.forEach((span, i) => {
      const text = (value: number | null) => (value === null ? null : String(value));
      expect([text(span.status_id), text(span.priority_id), text(span.assignee_id)]).toEqual([
        replayed[i].values.status,
        replayed[i].values.priority,
        replayed[i].values.assignee,
      ]);
      expect([span.is_open, span.reopened]).toEqual([replayed[i].isOpen, replayed[i].reopened]);
    });
    expect(spans[spans.length - 1].valid_to).toBe("infinity");
    const last = replayed[replayed.length - 1];
    for (const field of TRACKED)
      expect([field, record.now[field]]).toEqual([field, last.values[field]]);
    const { rows: items } = await client.query<{
      is_open: boolean;
      reopened: number;
      reassigned: number;
      finished: string | null;
    }>(
      `SELECT is_open, reopened, reassigned, to_char(finished_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS finished FROM items WHERE id = $1`,
      [id],
    );
    expect(items[0]).toMatchObject({
      is_open: last.isOpen,
      reopened: last.reopened,
      reassigned: last.reassigned,
    });
    // Every column of every state is what deriving all of them anew comes to.
    const stored = async () =>
      (
        await client.query<{ state: unknown }>(
          "SELECT to_jsonb(s) AS state FROM state_spans s WHERE item_id = $1 ORDER BY valid_from",
          [id],
        )
      ).rows;
    const before = await stored();
    await writeHistories(client, [withoutColumns(record)], rules);
    expect(before).toEqual(await stored());
    expect(items[0].finished === null ? null : instantText(parseInstant(items[0].finished)!)).toBe(
      last.finishedAt === null ? null : instantText(last.finishedAt),
    );
  });
}
