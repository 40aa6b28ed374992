import { promiseMicros } from "@/core/catalog/sql";
import { openedRecords } from "../support/opened";
import {
  bridgeAnswer,
  crossingsAnswer,
  levelAnswer,
  planBridge,
  planCrossings,
  planLevel,
  type RecordRow,
} from "@/core/kinds/planned";
import {
  type BridgeReport,
  type CrossingsReport,
  type LevelReport,
  type Report,
} from "@/core/kinds";
import fc from "fast-check";

import { workClock } from "@/core/time";
import { runPlan } from "@/data";
import { dropDatabase } from "../support/database";
import { sum, type ReplayStep } from "./replay";
import { recordAt } from "./timeline";

import {
  NOW,
  SEED,
  em,
  view,
  replay,
  beginWorld,
  says,
  where,
  stretch,
  items,
  measured,
  close,
  check,
} from "./randomWorld";

beforeAll(() => beginWorld("random_histories"));
afterAll(dropDatabase);

/** The step that is told beside a record is the last of its steps, with moves that were made then. */
function expectDecided(report: Report, row: RecordRow, steps: readonly ReplayStep[]): void {
  const line = replay.lines.find((one) => one.key === row.key)!;
  const last = steps.filter((step) => step.key === row.key).at(-1)!;
  expect([says(report), row.key, row.decided?.at]).toEqual([says(report), row.key, last.at]);
  const { kind, moves } = row.decided!;
  expect([says(report), row.key, kind]).toEqual([
    says(report),
    row.key,
    last.at === line.createdAt ? "created" : last.at === line.deletedAt ? "deleted" : "moved",
  ]);
  if (kind === "moved") expect(moves.length).toBeGreaterThan(0);
  const then = line.moves
    .filter((move) => move.at === last.at)
    .map(({ field, to }) => ({ field, to: to === null ? null : String(to) }));
  for (const { field, to } of moves) expect(then).toContainEqual({ field, to });
}

test("of sums, what arrived, what left and what was revalued carries one level to the next, each as a replay finds it", async () => {
  await check(
    fc.tuple(stretch(), where(), fc.option(measured, { nil: undefined, freq: 4 })),
    async ([at, condition, field]) => {
      const report: CrossingsReport = {
        kind: "crossings",
        which: "both",
        ...items,
        ...at,
        ...(condition ? { where: condition as CrossingsReport["where"] } : {}),
        ...(field ? { measure: { measure: "sum", field: [...field] } } : {}),
      };
      const answer = crossingsAnswer(await runPlan(em, planCrossings(report, view)));
      const steps = replay.stepsOf(report, field?.[0]);
      for (const { bucket, crossing } of answer.rows) {
        if (!crossing) continue;
        const inside = steps.filter(
          (step) => step.at >= bucket.start && step.at <= replay.lastOf(bucket),
        );
        const wanted = {
          arrived: sum(inside.map((step) => (step.was === null ? step.is : null))),
          departed: sum(inside.map((step) => (step.is === null ? step.was : null))),
          revalued: sum(
            inside.map((step) =>
              step.was !== null && step.is !== null ? step.is - step.was : null,
            ),
          ),
        };
        expect([
          says(report),
          bucket.from,
          Number(crossing.arrived),
          Number(crossing.departed),
          Number(crossing.revalued),
        ]).toEqual([says(report), bucket.from, wanted.arrived, wanted.departed, wanted.revalued]);
        expect(
          Number(crossing.levelStart) + wanted.arrived - wanted.departed + wanted.revalued,
        ).toBeCloseTo(Number(crossing.levelEnd), 6);
        const end = field
          ? sum(replay.valuesAt(report, field[0], replay.lastOf(bucket)))
          : replay.levelAt(report, replay.lastOf(bucket));
        expect([says(report), bucket.from, Number(crossing.levelEnd)]).toEqual([
          says(report),
          bucket.from,
          end,
        ]);
      }
    },
    60,
  );
}, 300_000);

test("a bridge between any two days adds up, names each item once, and its causes are true of them", async () => {
  const day = fc
    .integer({ min: 0, max: 1000 })
    .map((n) => new Date(Date.UTC(2024, 1, 28 + n)).toISOString().slice(0, 10));
  await check(
    fc.tuple(day, day, where(), fc.option(measured, { nil: undefined })),
    async ([one, other, condition, field]) => {
      const report: BridgeReport = {
        kind: "bridge",
        ...items,
        from: one < other ? one : other,
        to: one < other ? other : one,
        ...(condition ? { where: condition as BridgeReport["where"] } : {}),
        ...(field ? { measure: { measure: "sum", field: [...field] } } : {}),
      };
      const parts = await runPlan(em, planBridge(report, view));
      const [first, second] = [parts.from - 1, parts.to - 1];
      const weigh = (at: number) =>
        field ? sum(replay.valuesAt(report, field[0], at)) : replay.levelAt(report, at);
      expect([says(report), Number(parts.levelFrom), Number(parts.levelTo)]).toEqual([
        says(report),
        weigh(first),
        weigh(second),
      ]);
      expect(
        parts.parts.reduce((total, part) => total + Number(part.amount), Number(parts.levelFrom)),
      ).toBeCloseTo(Number(parts.levelTo), 6);
      const named = parts.parts.flatMap((part) => part.items.map((item) => item.key));
      expect(new Set(named).size).toBe(named.length);
      for (const part of parts.parts) {
        for (const { key } of part.items) {
          const line = replay.lines.find((candidate) => candidate.key === key)!;
          const [was, is] = [replay.isIn(report, line, first), replay.isIn(report, line, second)];
          expect([says(report), key, part.cause, was, is]).toEqual([
            says(report),
            key,
            part.cause,
            ["deleted", "finished", "changed out", "revalued"].includes(part.cause),
            ["created", "reopened", "changed in", "revalued"].includes(part.cause),
          ]);
          if (part.cause === "created") expect(line.createdAt).toBeGreaterThan(first);
          if (part.cause === "deleted") expect(line.deletedAt).not.toBeNull();
          if (part.cause === "finished")
            expect(recordAt(line, second, view).stage).toBe("finished");
        }
      }
      const steps = replay
        .stepsOf(report, field?.[0])
        .filter((step) => step.at > first && step.at <= second);
      for (const [i, part] of parts.parts.slice(0, 4).entries()) {
        const { rows } = await runPlan(
          em,
          openedRecords(
            report,
            { opened: { path: [`p${i}`] }, showing: [["key"]], sorts: [], offset: 0, limit: 500 },
            view,
          ),
        );
        expect(rows.map((row) => row.key).sort()).toEqual(
          part.items.map((item) => item.key).sort(),
        );
        for (const row of rows) expectDecided(report, row, steps);
      }
      expect(bridgeAnswer(parts).parts.map((part) => part.count)).toEqual(
        parts.parts.map((part) => part.items.length),
      );
      const bare = bridgeAnswer(await runPlan(em, planBridge(report, view, "counts")));
      expect(bare.parts.map(({ keys: _keys, ...part }) => part)).toEqual(
        bridgeAnswer(parts).parts.map(({ keys: _keys, ...part }) => part),
      );
    },
    60,
  );
}, 300_000);

test("a level and a flow open exactly the items that a replay finds", async () => {
  await check(
    fc.tuple(stretch(), where()),
    async ([at, condition]) => {
      const shared = {
        ...items,
        ...at,
        ...(condition ? { where: condition as LevelReport["where"] } : {}),
      };
      const openRows = async (report: Report, path: string[]) =>
        (
          await runPlan(
            em,
            openedRecords(
              report,
              { opened: { path }, showing: [["key"]], sorts: [], offset: 0, limit: 500 },
              view,
            ),
          )
        ).rows;
      const open = async (report: Report, path: string[]) =>
        (await openRows(report, path)).map((row) => row.key).sort();
      const level: LevelReport = { kind: "level", ...shared };
      const flow: CrossingsReport = { kind: "crossings", which: "both", ...shared };
      const steps = replay.stepsOf(flow);
      const { rows } = levelAnswer(await runPlan(em, planLevel(level, view)));
      for (const [i, row] of rows.entries()) {
        if (!row.cell || i % Math.ceil(rows.length / 8)) continue;
        expect([says(level), i, await open(level, [`b${i}`])]).toEqual([
          says(level),
          i,
          replay
            .thereAt(level, replay.lastOf(row.bucket))
            .map((line) => line.key)
            .sort(),
        ]);
        const inside = steps.filter(
          (step) => step.at >= row.bucket.start && step.at <= replay.lastOf(row.bucket),
        );
        for (const [way, those] of [
          ["in", inside.filter((step) => step.is !== null)],
          ["out", inside.filter((step) => step.is === null)],
        ] as const) {
          const opened = await openRows(flow, [`b${i}`, way]);
          expect([says(flow), i, way, opened.map((row) => row.key).sort()]).toEqual([
            says(flow),
            i,
            way,
            [...new Set(those.map((step) => step.key))].sort(),
          ]);
          for (const row of opened) expectDecided(flow, row, those);
        }
      }
    },
    20,
  );
}, 300_000);

test("a promise is met, missed or running, with the time that is left of it, as its steps add up", async () => {
  const clock = workClock(view.calendar);
  const { names } = view.catalog;
  const showing = [
    ["key"],
    ["SLA response"],
    ["response time left"],
    ["response time"],
    ["response target"],
    ["SLA resolution"],
    ["resolution time left"],
    ["resolution time"],
    ["resolution target"],
  ];
  const { rows } = await runPlan(
    em,
    openedRecords(
      { kind: "list", ...items, showing: [], sorts: [] },
      { showing, sorts: [], offset: 0, limit: 1000 },
      view,
    ),
  );
  expect(rows.length).toBeGreaterThan(50);
  const seen = new Set<unknown>();
  for (const { key, values } of rows) {
    const line = replay.lines.find((one) => one.key === key)!;
    const statusAt = (at: number) =>
      names.find("status", recordAt(line, at, view).status as number)!;
    const steps = [
      line.createdAt,
      ...new Set(
        line.moves
          .filter((move) => move.field === "status" && move.at > line.createdAt)
          .map((move) => move.at),
      ),
    ].filter((at, i, all) => i === 0 || statusAt(at).id !== statusAt(all[i - 1]).id);
    const response = steps[1] ?? null;
    const isFinished = (at: number) => statusAt(at).stage === "finished";
    const resolution = isFinished(NOW)
      ? steps.filter((at, i) => isFinished(at) && (i === 0 || !isFinished(steps[i - 1]))).at(-1)!
      : null;
    const promise = names.find("priority", recordAt(line, NOW, view).priority as number)?.promise;
    for (const [at, which, done] of [
      [1, "response", response],
      [5, "resolution", resolution],
    ] as const) {
      const target = promise?.[which]
        ? promiseMicros(promise[which], promise.clock, view.calendar)
        : null;
      const axis = (instant: number) =>
        promise?.clock === "working" ? clock.at(instant) : instant;
      const end = done ?? NOW;
      const ran = steps
        .filter((step) => step < end)
        .reduce(
          (all, step, i, before) =>
            all +
            (statusAt(step).paused ? 0 : axis(Math.min(before[i + 1] ?? end, end)) - axis(step)),
          0,
        );
      const wanted =
        target === null
          ? [null, null]
          : done !== null
            ? [ran <= target ? "met" : "missed", null]
            : [ran > target ? "missed" : "running", (target - ran) / 60_000_000];
      expect([`seed ${SEED}`, key, which, values[at]]).toEqual([
        `seed ${SEED}`,
        key,
        which,
        wanted[0],
      ]);
      const minutes = target === null ? [null, null] : [ran / 60_000_000, target / 60_000_000];
      for (const [place, number] of [wanted[1] as number | null, ...minutes].entries()) {
        const told = values[at + 1 + place] as string | null;
        expect([`seed ${SEED}`, key, which, place, told, close(told, number)]).toEqual([
          `seed ${SEED}`,
          key,
          which,
          place,
          told,
          true,
        ]);
      }
      seen.add(wanted[0]);
    }
  }
  expect([...seen].sort()).toEqual(expect.arrayContaining(["met", "missed", null]));
});
