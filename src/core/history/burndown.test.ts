import fc from "fast-check";
import { parseInstant } from "../time";
import { sampleCalendar } from "../../../tests/support/sample";
import { accountOf } from "./account";
import { burndownOf, reachOf } from "./burndown";
import { paceOf, sampleTimes } from "./pace";
import { CAUSES, type WorkSpan } from "./workSteps";
import { forecastOf, seeded } from "./forecast";

const at = (text: string) => parseInstant(text)!;
const [start, end, now] = [
  at("2026-11-02T09:00:00Z"),
  at("2026-11-13T17:00:00Z"),
  at("2026-11-10T12:00:00Z"),
];
const options = { now, calendar: sampleCalendar };
const span = (
  item: number,
  from: number,
  to: number | null,
  isIn: boolean,
  isOpen: boolean,
  amount: string | null = "3",
): WorkSpan => ({ item, key: `S${item}`, from, to, isIn, isOpen, amount });
const burn = (spans: WorkSpan[], closed: number | null = null) =>
  burndownOf(spans, { start, end, closed }, options)!;
const account = (spans: WorkSpan[], closed: number | null = null) =>
  accountOf(spans, reachOf({ start, end, closed }, options)!);
const later = start + 86_400_000_000;

describe("a burndown", () => {
  test.each([
    [
      "finished",
      [span(1, start - 1, later, true, true), span(1, later, null, true, false)],
      { committed: "3", finished: "3" },
    ],
    [
      "added",
      [span(1, start - 1, later, false, true), span(1, later, null, true, true)],
      { committed: "0", added: "3" },
    ],
    [
      "removed",
      [span(1, start - 1, later, true, true), span(1, later, null, false, true)],
      { committed: "3", removed: "3" },
    ],
    [
      "reopened",
      [span(1, start - 1, later, true, false), span(1, later, null, true, true)],
      { committed: "0", reopened: "3" },
    ],
    [
      "re-estimated",
      [span(1, start - 1, later, true, true), span(1, later, null, true, true, "8")],
      { committed: "3", "re-estimated": "5" },
    ],
  ] as const)("a step that is %s", (_cause, spans, { committed, ...totals }) => {
    const told = burn([...spans]);
    expect(told.committed).toBe(committed);
    expect(told.totals).toMatchObject(totals);
  });
  test("one that comes in finished, and one that joins while it is finished, change nothing", () => {
    expect(
      burn([span(1, start - 1, later, false, true), span(1, later, null, true, false)]).steps,
    ).toEqual([]);
  });
  test("one that has not begun has none", () =>
    expect(burndownOf([], { start: now + 1, end, closed: null }, options)).toBeNull());
  describe("at its closing", () => {
    const closed = later + 1_000;
    test.each([
      ["what leaves open at that instant was carried over: it remains", closed, true, "3", "0"],
      ["what left before it was removed", closed - 1, true, "0", "3"],
      ["what leaves later is the sprint's no more", closed + 1, true, "3", "0"],
    ])("%s", (_words, leaves, isOpen, remaining, removed) => {
      const spans = [span(1, start - 1, leaves, true, true), span(1, leaves, null, false, isOpen)];
      expect(burn(spans, closed)).toMatchObject({ remaining, totals: { removed } });
      const { lines, carried } = account(spans, closed);
      expect(lines.remaining.map((entry) => entry.amount)).toEqual(remaining === "3" ? ["3"] : []);
      expect(carried).toEqual(leaves === closed ? [1] : []);
    });
    test("what is deleted at that instant was removed", () =>
      expect(burn([span(1, start - 1, closed, true, true)], closed)).toMatchObject({
        remaining: "0",
        totals: { removed: "3" },
      }));
  });
  test("what was finished when it began, or came in finished, stands apart; what is not estimated stands on its line", () => {
    const { lines } = account([
      span(1, start - 1, null, true, false),
      span(2, start - 1, later, false, false),
      span(2, later, null, true, false),
      span(3, start - 1, later, true, true, null),
      span(3, later, null, true, false, null),
    ]);
    expect(lines["finished before"].map((entry) => entry.key)).toEqual(["S1", "S2"]);
    expect(lines.finished).toEqual([{ item: 3, key: "S3", at: later, amount: null }]);
  });
  test("what is not estimated weighs nothing, and is counted", () =>
    expect(burn([span(1, start - 1, null, true, true, null)])).toMatchObject({
      remaining: "0",
      notEstimated: 1,
    }));
  test("whatever happens, what remains is what was committed and every cause after it", () => {
    const life = fc.array(
      fc.record({
        gap: fc.integer({ min: 1, max: 90 }),
        isIn: fc.boolean(),
        isOpen: fc.boolean(),
        amount: fc.option(fc.integer({ min: 0, max: 13 }).map(String)),
      }),
      { minLength: 1, maxLength: 8 },
    );
    const closings = fc.option(fc.integer({ min: 1, max: 150 }));
    fc.assert(
      fc.property(fc.array(life, { minLength: 1, maxLength: 6 }), closings, (lives, closing) => {
        const spans = lives.flatMap((steps, item) => {
          let t = start - 86_400_000_000;
          return steps.map(({ gap, ...state }, i): WorkSpan => {
            const from = t;
            t += gap * 3_600_000_000;
            return { item, key: `S${item}`, from, to: i === steps.length - 1 ? null : t, ...state };
          });
        });
        const closed = closing === null ? null : start + closing * 3_600_000_000;
        const told = burn(spans, closed);
        // Every line of the account opens into items that add up to it.
        const { lines, carried } = account(spans, closed);
        const weigh = (entries: readonly { amount: string | null }[]) =>
          entries.reduce((all, one) => all + Number(one.amount ?? 0), 0);
        expect(weigh(lines.committed)).toBe(Number(told.committed));
        expect(weigh(lines.remaining)).toBe(Number(told.remaining));
        for (const cause of CAUSES) expect(weigh(lines[cause])).toBe(Number(told.totals[cause]));
        const sum =
          Number(told.committed) +
          CAUSES.reduce(
            (all, cause) =>
              all +
              Number(told.totals[cause]) * (cause === "removed" || cause === "finished" ? -1 : 1),
            0,
          );
        expect(sum).toBe(Number(told.remaining));
        const until = Math.min(now, closed ?? now);
        const plain = spans
          .filter(
            (one) =>
              one.isIn &&
              one.isOpen &&
              one.from <= until &&
              (one.to === null || until < one.to || carried.includes(one.item)) &&
              (one.to === null || one.to >= until),
          )
          .reduce((all, one) => all + Number(one.amount ?? 0), 0);
        expect(Number(told.remaining)).toBe(plain);
      }),
    );
  });
});

describe("the pace", () => {
  test("goes from all to nothing, is flat on days off, and straight by the clock", () => {
    const working = paceOf("10", { start, end }, "working", sampleCalendar);
    expect([Number(working[0].pace), Number(working[working.length - 1].pace)]).toEqual([10, 0]);
    for (let i = 1; i < working.length; i += 1)
      expect(Number(working[i].pace)).toBeLessThanOrEqual(Number(working[i - 1].pace));
    expect(working.some((point, i) => i > 0 && point.pace === working[i - 1].pace)).toBe(true);
    const clock = paceOf("10", { start, end }, "clock", sampleCalendar);
    for (const { t, pace } of clock)
      expect(Number(pace)).toBeCloseTo(10 * (1 - (t - start) / (end - start)), 6);
  });
  test("is sampled at the start, at each local day's end, and at its end", () => {
    const times = sampleTimes(start, now, sampleCalendar);
    expect([times[0], times[times.length - 1]]).toEqual([start, now]);
    expect(times.length).toBe(10);
  });
});

describe("a forecast", () => {
  const days = Array.from({ length: 12 }, (_, i) => ({
    finished: i % 4,
    added: i % 6 === 0 ? 1 : 0,
  }));
  test("is the same for the same seed, and later the surer it is", () => {
    const [one, two] = [forecastOf("20", days, 7, 500)!, forecastOf("20", days, 7, 500)!];
    expect(one).toEqual(two);
    expect(one.days.p50!).toBeLessThanOrEqual(one.days.p85!);
    expect(one.days.p85!).toBeLessThanOrEqual(one.days.p95!);
    for (const point of one.fan)
      expect([point.p5, point.p15, point.p50, point.p85, point.p95]).toEqual(
        [point.p5, point.p15, point.p50, point.p85, point.p95].sort((a, b) => a - b),
      );
  });
  test("needs ten days, and says never where nothing is ever finished", () => {
    expect(forecastOf("20", days.slice(0, 9), 7)).toBeNull();
    expect(
      forecastOf(
        "20",
        days.map(() => ({ finished: 0, added: 1 })),
        7,
        20,
      )!.days.p95,
    ).toBeNull();
  });
  test("its numbers are spread over all of [0, 1)", () => {
    const random = seeded(1);
    const drawn = Array.from({ length: 1000 }, random);
    expect(Math.min(...drawn)).toBeLessThan(0.02);
    expect(Math.max(...drawn)).toBeGreaterThan(0.98);
    expect(drawn.every((one) => one >= 0 && one < 1)).toBe(true);
  });
});
