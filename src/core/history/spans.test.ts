import fc from "fast-check";
import {
  CHANGES,
  changesBetween,
  spansOf,
  TRACKED,
  valuesAtCreation,
  type Move,
  type TrackedValues,
} from ".";
import type { Stage } from "../catalog";

const STAGES: Record<string, Stage> = {
  "1": "waiting",
  "2": "under way",
  "3": "waiting",
  "4": "finished",
  "5": "finished",
};
const stageOf = (status: string | null) => (status === null ? null : (STAGES[status] ?? null));
/** Every second µs is worked, and status 3 pauses promises. */
const rules = {
  stageOf,
  isPaused: (status: string | null) => status === "3",
  worked: (instant: number) => Math.floor(instant / 2),
};
const NONE = Object.fromEntries(TRACKED.map((field) => [field, null])) as unknown as TrackedValues;
const status = (at: number, from: string, to: string): Move => ({ at, field: "status", from, to });
const life = (now: Partial<TrackedValues>, deletedAt: number | null = null) => ({
  createdAt: 100,
  deletedAt,
  now: { ...NONE, ...now },
});

describe("the states of an item", () => {
  test("an item that never moved has one span, from creation until now", () => {
    expect(spansOf(life({ status: "1" }), [], rules)).toEqual([
      expect.objectContaining({
        from: 100,
        to: null,
        isOpen: true,
        statusSince: 100,
        startedAt: null,
        finishedAt: null,
      }),
    ]);
  });
  test("created in a finished status and not moved since, it was finished when it was created", () => {
    expect(spansOf(life({ status: "4" }), [], rules)[0]).toMatchObject({
      finishedAt: 100,
      isOpen: false,
    });
  });
  test("moves of one instant are one step: what is undone within it never was", () => {
    const spans = spansOf(
      life({ status: "2" }),
      [status(200, "1", "4"), status(200, "4", "2")],
      rules,
    );
    expect(spans.map(({ from, values }) => [from, values.status])).toEqual([
      [100, "1"],
      [200, "2"],
    ]);
    expect(spans[1]).toMatchObject({ startedAt: 200, finishedAt: null, reopened: 0 });
  });
  test("a step that changes nothing in the end makes no span", () => {
    expect(
      spansOf(life({ status: "1" }), [status(200, "1", "2"), status(200, "2", "1")], rules),
    ).toHaveLength(1);
  });
  test("moves at the instant of creation belong to creation", () => {
    expect(spansOf(life({ status: "2" }), [status(100, "1", "2")], rules)).toEqual([
      expect.objectContaining({ from: 100, startedAt: 100 }),
    ]);
  });
  test("reopening counts, and finishing again is when it is finished", () => {
    const spans = spansOf(
      life({ status: "5" }),
      [status(200, "1", "4"), status(300, "4", "2"), status(400, "2", "5")],
      rules,
    );
    expect(spans[3]).toMatchObject({ reopened: 1, finishedAt: 400, startedAt: 300 });
    expect(spans[2]).toMatchObject({ finishedAt: null, isOpen: true, statusSince: 300 });
  });
  test("from one finished status to another it stays finished since the first", () => {
    expect(
      spansOf(life({ status: "5" }), [status(200, "1", "4"), status(300, "4", "5")], rules)[2],
    ).toMatchObject({ finishedAt: 200, statusSince: 300 });
  });
  test("only from one person to another is it reassigned", () => {
    const moves: Move[] = [
      { at: 200, field: "assignee", from: null, to: "7" },
      { at: 300, field: "assignee", from: "7", to: "8" },
      { at: 400, field: "assignee", from: "8", to: null },
    ];
    expect(spansOf(life({ status: "1" }), moves, rules).map((span) => span.reassigned)).toEqual([
      0, 0, 1, 1,
    ]);
  });
  test("a move at the instant of deletion changes nothing", () => {
    const moves = [status(200, "1", "3"), { ...status(500, "3", "4") }];
    const reassigned: Move = { at: 500, field: "assignee", from: "7", to: "8" };
    const spans = spansOf(life({ status: "4", assignee: "8" }, 500), [...moves, reassigned], rules);
    expect(spans.map(({ from, to }) => [from, to])).toEqual([
      [100, 200],
      [200, 500],
    ]);
    expect(spans[1]).toMatchObject({ finishedAt: null, reassigned: 0 });
    expect(spans[1].values).toMatchObject({ status: "3", assignee: "7" });
  });
  test("deletion ends the last span", () =>
    expect(spansOf(life({ status: "1" }, 500), [], rules)[0].to).toBe(500));
});

/** Random histories that tell one story: several fields, moves at one instant, loops. */
const history = fc
  .array(
    fc.record({
      gap: fc.constantFrom(0, 0, 1, 50),
      field: fc.constantFrom("status" as const, "assignee" as const, "points" as const),
      to: fc.constantFrom(null, "1", "2", "3", "4", "5"),
    }),
    { maxLength: 25 },
  )
  .map((steps) => {
    const values: Record<string, string | null> = { ...NONE, status: "1" };
    let at = 100;
    const moves = steps.flatMap(({ gap, field, to }): Move[] => {
      at += gap;
      const next = field === "status" ? (to ?? "1") : to;
      const from = values[field];
      if (from === next) return [];
      values[field] = next;
      return [{ at, field, from, to: next }];
    });
    return { moves, now: values as unknown as TrackedValues };
  });

describe("replay of moves = spans = item, for random histories", () => {
  const check = (test: (given: { moves: Move[]; now: TrackedValues }) => void) =>
    fc.assert(fc.property(history, test), { numRuns: 500 });
  const after = (moves: readonly Move[], now: TrackedValues, t: number): TrackedValues =>
    moves
      .filter((move) => move.at <= t)
      .reduce(
        (values, move) => ({ ...values, [move.field]: move.to }),
        valuesAtCreation(now, moves),
      );

  test("at every instant the span holds what a plain replay of the moves gives", () =>
    check(({ moves, now }) => {
      const spans = spansOf({ createdAt: 100, deletedAt: null, now }, moves, rules);
      for (const t of [100, ...moves.map((move) => move.at), ...moves.map((move) => move.at + 1)]) {
        const [span, ...more] = spans.filter(
          ({ from, to }) => from <= t && (to === null || t < to),
        );
        expect(more).toEqual([]);
        expect(span.values).toEqual(after(moves, now, t));
      }
    }));
  test("spans follow one another without gap or overlap, and neighbours differ", () =>
    check(({ moves, now }) => {
      const spans = spansOf({ createdAt: 100, deletedAt: null, now }, moves, rules);
      spans.slice(1).forEach((span, i) => {
        expect(span.from).toBe(spans[i].to);
        expect(span.values).not.toEqual(spans[i].values);
      });
      expect(spans[spans.length - 1].values).toEqual(now);
    }));
  test("finished, started and reopened are what the steps of the status say", () =>
    check(({ moves, now }) => {
      const spans = spansOf({ createdAt: 100, deletedAt: null, now }, moves, rules);
      const stages = spans.map((span) => stageOf(span.values.status));
      const last = spans[spans.length - 1];
      expect(last.reopened).toBe(
        stages.filter((stage, i) => i > 0 && stages[i - 1] === "finished" && stage !== "finished")
          .length,
      );
      const entered = spans
        .filter((_, i) => stages[i] === "finished" && (i === 0 || stages[i - 1] !== "finished"))
        .map((span) => span.from);
      expect(last.finishedAt).toBe(
        stages[stages.length - 1] === "finished" ? entered[entered.length - 1] : null,
      );
      expect(last.startedAt).toBe(spans.find((_, i) => stages[i] === "under way")?.from ?? null);
    }));
});

describe("what changes between two states", () => {
  const spans = (moves: Move[], now: Partial<TrackedValues>) => spansOf(life(now), moves, rules);
  const names = (bits: number) =>
    Object.entries(CHANGES)
      .filter(([, bit]) => bits & bit)
      .map(([name]) => name);
  test("each has a bit of its own", () =>
    expect(new Set(Object.values(CHANGES)).size).toBe(TRACKED.length + 2));
  test("a status that stays open, one that finishes, and another field", () => {
    const [logged, handled, done, raised] = spans(
      [
        status(200, "1", "2"),
        status(300, "2", "4"),
        { at: 400, field: "priority", from: "7", to: "8" },
      ],
      { status: "4", priority: "8" },
    );
    expect(
      [
        changesBetween(logged, handled),
        changesBetween(handled, done),
        changesBetween(done, raised),
      ].map(names),
    ).toEqual([["status"], ["status", "open"], ["priority"]]);
  });
  test("several fields of one step are all of them", () => {
    const [before, after] = spans(
      [
        status(200, "1", "4"),
        { at: 200, field: "points", from: null, to: "5" },
        { at: 200, field: "due", from: "9", to: null },
      ],
      { status: "4", points: "5", due: null },
    );
    expect(names(changesBetween(before, after)).sort()).toEqual([
      "due",
      "open",
      "points",
      "status",
    ]);
  });
  test("before creation and after deletion there is nothing", () => {
    const [only] = spans([], { status: "1" });
    expect([changesBetween(undefined, only), changesBetween(only, undefined)].map(names)).toEqual([
      ["there"],
      ["there"],
    ]);
  });
  test("states that follow on one another always differ in something", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.integer({ min: 101, max: 130 }),
            field: fc.constantFrom(...TRACKED),
            to: fc.constantFrom("1", "2", "4", null),
          }),
          { maxLength: 12 },
        ),
        (steps) => {
          const now: Record<string, string | null> = { ...NONE };
          const moves = steps
            .sort((a, b) => a.at - b.at)
            .flatMap(({ at, field, to }): Move[] => {
              const from = now[field];
              now[field] = to;
              return from === to ? [] : [{ at, field, from, to }];
            });
          const states = spansOf(life(now as Partial<TrackedValues>), moves, rules);
          states
            .slice(1)
            .forEach((state, i) => expect(changesBetween(states[i], state)).toBeGreaterThan(0));
        },
      ),
    );
  });
});
