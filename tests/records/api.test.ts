import { viewerNamed } from "../support/viewer";
import { parseSentence } from "@/core/kinds";
import { parseInstant } from "@/core/time";
import type { AskContext } from "@/core/catalog";

import { importBundle, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { apiAnswer, apiRecords } from "@/server/api/answer";
import { makeToken } from "@/server/accounts/tokens";
import type { Clock } from "@/server/clock";
import { deskOf } from "@/server/viewer/viewpoint";
import { bodyOf } from "../support/api";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";

type GroupName = string | null | { rest: true };
interface Row {
  group: GroupName[];
  value: number | string | null;
  records: number;
  empties: number;
  cells?: { value: number | string | null }[];
  parts?: { group: GroupName; records: number }[];
}
interface Body {
  rows: Row[];
  total: { value: number | string | null; records: number };
  columns: { role: string; name: string }[];
  subtotals?: Row[][];
  sentence: string;
  asOf: string;
  workings: { lines: { says: string; left: number }[] };
}

const NOW = "2026-11-24T15:30:00Z";
const clock: Clock = { now: () => parseInstant(NOW)! };
let em: EntityManager;
let token: string;
let members: string;

beforeAll(async () => {
  em = await goldenDatabase("api");
  token = (await makeToken(em, "gil"))!;
  members = (await makeToken(em, "tove"))!;
});
afterAll(dropDatabase);

const answer = async (sentence: string, more: object = {}) =>
  bodyOf<Body>(await apiAnswer(em, clock, token, { sentence, ...more }));
const records = async (sentence: string, more: object = {}) =>
  bodyOf<Body>(await apiRecords(em, clock, token, { sentence, ...more }));

interface Decided {
  readonly at: string;
  readonly kind: "created" | "deleted" | "moved";
  readonly moves: readonly {
    readonly field: string;
    readonly from: string | null;
    readonly to: string | null;
    readonly by: string | null;
  }[];
}
const decided = async (sentence: string, group: string[]): Promise<Decided[]> =>
  (await records(sentence, { group })).rows.map(
    (row) => (row as unknown as { decided: Decided }).decided,
  );

describe("what the door answers", () => {
  test("the sentence in our wording, the instant, and the account of its conditions", async () => {
    const body = await answer(
      "Count ITEMS where status is closed and kind is fault Grouped By priority",
    );
    expect(body.sentence).toBe(
      "count items where status is finished and kind is fault by priority",
    );
    expect(body.asOf).toBe(NOW);
    const left = body.workings.lines.map((line) => line.left);
    expect(left[left.length - 1]).toBe(body.total.value);
    expect([...left].sort((a, b) => b - a)).toEqual(left);
  });
  test("several measures stand in order, the first in the row itself", async () => {
    const body = await answer("count and sum of points of items by kind");
    expect(body.columns.map((column) => column.role)).toEqual(["group", "measure", "measure"]);
    for (const row of body.rows) expect(row.cells![0].value).toBe(row.value);
  });
  test("tiers have their subtotals, which add up", async () => {
    const body = await answer("count items by kind then priority");
    for (const tier of body.subtotals![0]) {
      const parts = body.rows.filter((row) => row.group[0] === tier.group[0]);
      expect(parts.reduce((sum, row) => sum + row.records, 0)).toBe(tier.records);
    }
  });
  test("people come by login, dates as dates, numbers in full", async () => {
    expect((await answer("count items where key is D1 by assignee")).rows[0].group).toEqual([
      "bram",
    ]);
    expect((await answer("lowest created of items where key is D1")).total.value).toBe(
      "2026-11-02T09:00:00Z",
    );
    expect((await answer('average points of items where key starts with "B"')).total.value).toBe(
      "4.107142857143",
    );
  });
  test("medians of cells without records are empty, not an error", async () => {
    const body = await answer("median points of items by priority split by kind");
    expect(body.rows.flatMap((row) => row.parts!).some((part) => part.records === 0)).toBe(true);
  });
  test("a list has values as kept", async () => {
    const body = await answer("list items where key is D1 showing key, assignee, tags, created");
    expect((body.rows[0] as unknown as { values: unknown[] }).values).toEqual([
      "D1",
      "bram",
      ["storm", "berth 2"],
      "2026-11-02T09:00:00Z",
    ]);
  });
  test("records as dots: each with its date and value, whose percentiles are the measures", async () => {
    const sentence =
      "median lead time in hours and p85 lead time in hours of items by month of finished for last 12 months";
    const body = (await answer(`${sentence} as dots`)) as unknown as Body & {
      dots: { key: string; at: string; value: number | string }[];
      dotsOf: number;
      total: { cells: { value: number | string }[] };
    };
    expect(body.dotsOf).toBe(body.dots.length);
    expect(body.total.records).toBe(body.dotsOf);
    const values = body.dots.map((dot) => Number(dot.value)).sort((a, b) => a - b);
    const percentile = (share: number) => {
      const at = share * (values.length - 1);
      return values[Math.floor(at)] + (at % 1) * (values[Math.ceil(at)] - values[Math.floor(at)]);
    };
    expect(Number(body.total.cells[0].value)).toBeCloseTo(percentile(0.5), 6);
    expect(Number(body.total.cells[1].value)).toBeCloseTo(percentile(0.85), 6);
    expect(body.dots.map((dot) => dot.key).sort()).toEqual(
      (await records(sentence)).rows.map((row) => (row as unknown as { key: string }).key).sort(),
    );
  });
  test("an earlier now is as it stood: later items, moves and deletions have not happened", async () => {
    const before = await answer("count items", { now: "2026-05-31T22:59:59.999999Z" });
    expect(before.total.records).toBeLessThan((await answer("count items")).total.records);
    expect(await answer("count items as it stood on 2026-05-31")).toMatchObject({
      total: { value: before.total.value },
    });
  });
});

describe("the records behind a row", () => {
  const SENTENCES = [
    "count items by priority",
    "count items by assignee top 3",
    "count items by tags top 2",
    'count items by assignee folding (ines, bram as "Desk crew")',
    "count items by kind then priority",
    "count items by month of created for last 12 months",
    "count moves by moved by top 2",
    "count time entries by person",
    "count items by weekday of created",
    "count items by tags without storm, not set",
  ];
  test.each(SENTENCES)("%s: each row opens as many as it counts", async (sentence) => {
    const body = await answer(sentence);
    for (const row of body.rows) {
      if (row.records === 0) continue;
      expect([row.group, (await records(sentence, { group: row.group })).total.records]).toEqual([
        row.group,
        row.records,
      ]);
    }
    expect((await records(sentence)).total.records).toBe(body.total.records);
  });
  test("a part of a split opens too", async () => {
    const sentence = "count items by stage split by kind";
    for (const row of (await answer(sentence)).rows) {
      for (const part of row.parts!) {
        if (part.records > 0)
          expect(
            (await records(sentence, { group: row.group, split: part.group })).total.records,
          ).toBe(part.records);
      }
    }
  });
  test("pages follow one another without gap or overlap", async () => {
    const keys = async (offset: number) =>
      (await records("count items", { offset, limit: 10 })).rows.map(
        (row) => (row as unknown as { key: string }).key,
      );
    const all = (await records("count items")).rows.map(
      (row) => (row as unknown as { key: string }).key,
    );
    const paged = [
      ...(await keys(0)),
      ...(await keys(10)),
      ...(await keys(20)),
      ...(await keys(30)),
    ];
    expect(paged).toEqual(all);
    expect(new Set(all).size).toBe(all.length);
  });
  test("what is in a part of a bridge or a flow has the step that brought it there", async () => {
    const bridge = "bridge of items where status is open from 2026-10-31 to 2026-11-24";
    const { parts } = (await answer(bridge)) as unknown as { parts: { cause: string }[] };
    const finished = await decided(bridge, [
      `p${parts.findIndex((part) => part.cause === "finished")}`,
    ]);
    expect(finished.length).toBeGreaterThan(0);
    for (const { kind, at, moves } of finished) {
      expect([kind, moves.map((move) => move.field)]).toEqual(["moved", ["status"]]);
      expect(["Signed off", "Withdrawn", "Shipped", "Dropped"]).toContain(moves[0].to);
      expect(at > "2026-10-31" && at < NOW).toBe(true);
    }
    const created = await decided(bridge, [
      `p${parts.findIndex((part) => part.cause === "created")}`,
    ]);
    expect(created.length).toBeGreaterThan(0);
    for (const step of created)
      expect([step.kind, step.moves]).toEqual(
        step.kind === "created"
          ? ["created", []]
          : ["moved", [expect.objectContaining({ field: "status" })]],
      );
    const left = await decided(
      "arrivals and departures of items where assignee is bram by month for last 3 months",
      ["b2", "out"],
    );
    for (const step of left)
      if (step.kind === "moved")
        expect(step.moves[0]).toMatchObject({ field: "assignee", from: "bram" });
  });
  test("running totals of flows add up, and each opens all that came since the start; the level beside them opens what was there", async () => {
    const sentence =
      "arrivals and departures of items where status is open by month for last 6 months running total with net and level";
    const { rows } = (await answer(sentence)) as unknown as {
      rows: {
        levelStart: number;
        arrived: number;
        departed: number;
        levelEnd: number;
        running: { arrived: number; departed: number };
      }[];
    };
    let [arrived, departed] = [0, 0];
    for (const [i, row] of rows.entries()) {
      expect(row.running).toEqual({
        arrived: (arrived += row.arrived),
        departed: (departed += row.departed),
      });
      expect(rows[0].levelStart + row.running.arrived - row.running.departed).toBe(row.levelEnd);
      expect((await records(sentence, { group: [`l${i}`] })).total.records).toBe(row.levelEnd);
      const came = new Set<string>();
      for (let at = 0; at <= i; at += 1)
        for (const { key } of (await records(sentence, { group: [`b${at}`, "in"] }))
          .rows as unknown as { key: string }[])
          came.add(key);
      expect((await records(sentence, { group: [`c${i}`, "in"] })).total.records).toBe(came.size);
    }
    expect(arrived).toBeGreaterThan(10);
  });
  test("a burndown with its likelihood: the same each time, later for more of the runs; without enough days it says so", async () => {
    const ask = async (sentence: string) =>
      (await answer(sentence, { forecast: true })) as unknown as {
        forecast: {
          why?: string;
          runs?: number;
          doneBy?: Record<"p50" | "p85" | "p95", string | null>;
        };
      };
    const sentence =
      "burndown of items where status is open from 2026-11-01 to 2026-12-31 in count";
    const { forecast } = await ask(sentence);
    if (forecast.doneBy) {
      expect(forecast.runs).toBe(10_000);
      const days = [forecast.doneBy.p50, forecast.doneBy.p85, forecast.doneBy.p95].map(
        (day) => day ?? "9999",
      );
      expect(days).toEqual([...days].sort());
    } else expect(forecast.why).toMatch(/working days|not/);
    expect((await ask(sentence)).forecast).toEqual(forecast);
    expect(await apiAnswer(em, clock, token, { sentence, forecast: "yes" })).toMatchObject({
      status: 400,
    });
  });
  test("a row that is not there is told so", async () => {
    expect(
      await apiRecords(em, clock, token, { sentence: "count items by priority", group: ["P9"] }),
    ).toMatchObject({ status: 400 });
    expect(
      await apiRecords(em, clock, token, {
        sentence: "count items by priority",
        group: ["P1", "P2"],
      }),
    ).toMatchObject({ status: 400 });
  });
});

describe("the workings of history", () => {
  const notes = async (sentence: string) =>
    new Map(
      (
        (await answer(sentence)) as unknown as {
          workings: { notes: { about: string; says: string }[] };
        }
      ).workings.notes.map((note) => [note.about, note.says]),
    );
  test("say how the figures add up, and since when there is any history", async () => {
    const flows = (
      await notes(
        "arrivals and departures of items where status is open by month for last 6 months",
      )
    ).get("it adds up")!;
    const [, start, arrived, departed, end] =
      /^(\d+) at the start \+ (\d+) arrived − (\d+) departed = (\d+) at the end/
        .exec(flows)!
        .map(Number);
    expect(start + arrived - departed).toBe(end);
    const bridge = (
      await notes("bridge of items where status is open from 2026-10-31 to 2026-11-24")
    ).get("it adds up")!;
    const parts = [...bridge.matchAll(/ ([+−]) (\d+) /g)].reduce(
      (sum, [, sign, n]) => sum + (sign === "+" ? 1 : -1) * Number(n),
      Number(/^\d+/.exec(bridge)![0]),
    );
    expect(parts).toBe(Number(/= (\d+) at the second/.exec(bridge)![1]));
    expect((await notes('burndown of sprint "Sprint 9" in points')).get("it adds up")).toMatch(
      /committed .* = .* remaining/,
    );
    expect((await notes("level of items at month ends for last 6 months")).get("history")).toMatch(
      /it begins on/,
    );
    expect((await notes("count items by status")).has("history")).toBe(false);
  });
  test("name the last correction: moves that arrived after the past was told", async () => {
    const level = "level of items where priority is P4 at day ends for 2026-11-19 to 2026-11-24";
    expect((await notes(level)).has("last correction")).toBe(false);
    const before = (await answer(level)).rows.map((row) => row.value);
    const { key, priority } = await withConnection(
      em,
      async (client) =>
        (
          await client.query<{ key: string; priority: string }>(
            "SELECT i.key, p.name AS priority FROM items i JOIN priorities p ON p.id = i.priority_id WHERE i.project_id IS NULL AND i.deleted_at IS NULL AND p.name <> 'P4' AND NOT EXISTS (SELECT 1 FROM moves m WHERE m.item_id = i.id AND m.field = 'priority') ORDER BY i.key LIMIT 1",
          )
        ).rows[0],
    );
    const moves = [
      [key, "2026-11-20T09:00:00Z", "priority", priority, "P4", "ines"],
      [key, "2026-11-22T09:00:00Z", "priority", "P4", priority, "ines"],
    ];
    const brought = await importBundle(
      em,
      { moves: { columns: ["key", "at", "field", "from", "to", "by"], rows: moves } },
      { now: parseInstant("2026-11-24T15:00:00Z")! },
    );
    expect(brought.refused).toEqual([]);
    // The past is corrected, for two days and no more.
    expect((await answer(level)).rows.map((row) => Number(row.value))).toEqual(
      before.map((value, i) => Number(value) + (i === 1 || i === 2 ? 1 : 0)),
    );
    const note = (await notes(level)).get("last correction")!;
    expect(note).toMatch(
      /^on 24 Nov 2026, 1\d:00: 2 moves arrived late, the earliest of 20 Nov 2026/,
    );
  });
});

describe("problems", () => {
  test.each([
    ["no token", null, { sentence: "count items" }, 401, "/problems/no-token"],
    ["a token nobody has", "gt_wrong", { sentence: "count items" }, 401, "/problems/no-token"],
    ["no sentence", "own", {}, 400, "/problems/bad-request"],
    [
      "a key that is none",
      "own",
      { sentence: "count items", extra: 1 },
      400,
      "/problems/bad-request",
    ],
    [
      "a now that is none",
      "own",
      { sentence: "count items", now: "yesterday" },
      400,
      "/problems/bad-request",
    ],
    [
      "decimals beyond four",
      "own",
      { sentence: "count items", percent: { base: "all", decimals: 9 } },
      400,
      "/problems/bad-request",
    ],
    ["a sentence that is none", "own", { sentence: "tell me" }, 422, "/problems/sentence"],
  ])("%s", async (_name, given, body, status, type) => {
    const reply = await apiAnswer(em, clock, given === "own" ? token : given, body);
    expect(reply).toMatchObject({ status, problem: { status, type } });
  });
  test("only administrators may ask as of another instant", async () => {
    expect(
      await apiAnswer(em, clock, members, { sentence: "count items", now: NOW }),
    ).toMatchObject({ status: 403 });
    expect(await apiAnswer(em, clock, members, { sentence: "count items" })).toMatchObject({
      status: 200,
    });
  });
});

describe("a sentence and its definition are two ways of asking one thing", () => {
  const SENTENCES = [
    "count items where status is open by priority split by team",
    "count where created during this month, count where status is open, of items by assignee top 3",
    "average lead time in days of items where finished during last 3 months by team",
    "list items where status is open showing key, title, age sorted by age descending",
    "level of items where status is open at month ends for last 6 months split by priority",
    "arrivals and departures of items where status is open by month for last 6 months",
    "bridge of items where status is open from 2026-10-01 to 2026-11-01",
    'burndown of sprint "Sprint 9" in points',
  ];
  let view: AskContext;
  beforeAll(async () => {
    view = (await deskOf(em, await viewerNamed(em, "gil"), clock)).view;
  });
  test.each(SENTENCES)("%s", async (sentence) => {
    const parsed = parseSentence(sentence, view);
    if (!parsed.ok) throw new Error(parsed.problems[0].message);
    const said = bodyOf<Body>(await apiAnswer(em, clock, token, { sentence }));
    expect(bodyOf<Body>(await apiAnswer(em, clock, token, { definition: parsed.value }))).toEqual(
      said,
    );
    expect(said.sentence).toBe(sentence);
  });
  test("one of them is needed, and not both", async () => {
    const definition = {
      kind: "count",
      subject: { id: "items" },
      measures: [{ measure: "count" }],
      by: [],
    };
    for (const asked of [{}, { sentence: "count items", definition }])
      expect(await apiAnswer(em, clock, token, asked)).toMatchObject({ problem: { status: 400 } });
    expect(
      await apiAnswer(em, clock, token, { definition: { ...definition, surprise: 1 } }),
    ).toMatchObject({ problem: { status: 400 } });
    expect(
      await apiAnswer(em, clock, token, {
        definition: { ...definition, by: [{ field: ["nothing"] }] },
      }),
    ).toMatchObject({ problem: { status: 422 } });
  });
});
