import fc from "fast-check";
import { instantText, parseInstant, type Instant } from "@/core/time";
import type { RawBundle } from "@/core/bundle";
import { readBundleFiles } from "@/data";
import { GOLDEN_BUNDLE } from "../golden/load";

/** Instants at which calendars turn: clock changes, year ends, the 29th of February, week 53. In UTC, for Lisbon. */
const TURNS = [
  "2024-02-29T12:00:00Z",
  "2025-03-30T00:59:59.999999Z",
  "2025-03-30T01:00:00Z",
  "2025-10-26T00:30:00Z",
  "2025-10-26T01:00:00Z",
  "2025-12-31T23:59:59.999999Z",
  "2026-01-01T00:00:00Z",
  "2026-03-29T01:00:00Z",
  "2026-06-29T23:00:00Z",
  "2026-10-25T00:30:00Z",
  "2026-10-25T01:30:00Z",
  "2026-11-23T00:00:00Z",
  "2026-11-24T15:30:00Z",
].map((text) => parseInstant(text)!);
const FIRST = TURNS[0];
const LAST = TURNS[TURNS.length - 1];

/** The values that each tracked field moves among, as a bundle writes them; "" is not set. */
const VALUES: Readonly<Record<string, readonly string[]>> = {
  status: ["Logged", "Triaged", "In hand", "Waiting for parts", "Signed off", "Withdrawn"],
  priority: ["P1", "P2", "P3", ""],
  assignee: ["ines", "bram", "tove", ""],
  team: ["Desk", "Booking", "Quay", ""],
  service: ["Gate readers", "Ticket kiosks", ""],
  sprint: ["Sprint 8", "Sprint 9", ""],
  points: ["1", "2", "5.5", ""],
  remaining_minutes: ["30", "90", ""],
};
const FIELDS = Object.keys(VALUES);

interface Life {
  readonly createdAt: Instant;
  readonly deletedAt: Instant | null;
  readonly start: Readonly<Record<string, string>>;
  /** Changes in order, those of one instant after one another. */
  readonly changes: readonly {
    readonly at: Instant;
    readonly field: string;
    readonly to: string;
  }[];
}

const anyInstant: fc.Arbitrary<Instant> = fc.oneof(
  { weight: 2, arbitrary: fc.constantFrom(...TURNS) },
  {
    weight: 3,
    arbitrary: fc
      .integer({ min: 0, max: 1_000_000 })
      .map((part) => FIRST + Math.round(((LAST - FIRST) / 1_000_000) * part)),
  },
);

/** A life with steps at one instant, fields that go to and fro, reopening, and an end at any time or none. */
const life: fc.Arbitrary<Life> = fc
  .record({
    instants: fc
      .array(anyInstant, { minLength: 1, maxLength: 9 })
      .map((list) => list.sort((a, b) => a - b)),
    changes: fc.array(
      fc.record({
        field: fc.constantFrom(...FIELDS, "status", "status", "status"),
        pick: fc.nat(99),
        stays: fc.boolean(),
      }),
      { maxLength: 14 },
    ),
    start: fc.record(
      Object.fromEntries(FIELDS.map((field) => [field, fc.constantFrom(...VALUES[field])])),
    ),
    ends: fc.integer({ min: 0, max: 5 }),
  })
  .map(({ instants, changes, start, ends }) => {
    let place = 0;
    const made = changes.map(({ field, pick, stays }) => {
      if (!stays) place = Math.min(place + 1, instants.length - 1);
      return { at: instants[place], field, to: VALUES[field][pick % VALUES[field].length] };
    });
    const end = made.length ? made[made.length - 1].at : instants[0];
    return {
      createdAt: instants[0],
      deletedAt: ends === 0 ? end : ends === 1 ? Math.min(end + 3_600_000_000, LAST) : null,
      start: start as Record<string, string>,
      changes: made,
    };
  });

/** A workspace like that of the golden cases, whose items have had random lives. The same seed makes the same one. */
export async function randomHistories(seed: number, count: number): Promise<RawBundle> {
  const {
    items: _items,
    moves: _moves,
    links: _links,
    time_entries: _time,
    fields: _fields,
    ...settings
  } = await readBundleFiles(GOLDEN_BUNDLE);
  const lives = fc.sample(life, { seed, numRuns: count });
  const items: string[][] = [];
  const moves: string[][] = [];
  lives.forEach(({ createdAt, deletedAt, start, changes }, index) => {
    const key = `R${index + 1}`;
    const now = { ...start };
    for (const { at, field, to } of changes) {
      if (now[field] === to) continue;
      moves.push([key, instantText(at), field, now[field], to, "ines"]);
      now[field] = to;
    }
    items.push([
      key,
      index % 3 ? "fault" : "request",
      `Item ${index + 1}`,
      ...FIELDS.map((field) => now[field]),
      instantText(createdAt),
      deletedAt === null ? "" : instantText(deletedAt),
    ]);
  });
  return {
    ...settings,
    items: {
      columns: ["key", "kind", "title", ...FIELDS, "created_at", "deleted_at"],
      rows: items,
    },
    moves: { columns: ["key", "at", "field", "from", "to", "by"], rows: moves },
  };
}
