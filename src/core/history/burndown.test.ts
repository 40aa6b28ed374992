import fc from "fast-check";
import { parseInstant } from "../time";
import { sampleCalendar } from "../../../tests/support/sample";
import { burndownOf, CAUSES, paceOf, sampleTimes, type WorkSpan } from "./burndown";
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
const burn = (spans: WorkSpan[]) => burndownOf(spans, { start, end, closed: null }, options)!;
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
    fc.assert(
      fc.property(fc.array(life, { minLength: 1, maxLength: 6 }), (lives) => {
        const spans = lives.flatMap((steps, item) => {
          let t = start - 86_400_000_000;
          return steps.map(({ gap, ...state }, i): WorkSpan => {
            const from = t;
            t += gap * 3_600_000_000;
            return { item, key: `S${item}`, from, to: i === steps.length - 1 ? null : t, ...state };
          });
        });
        const told = burn(spans);
        const sum =
          Number(told.committed) +
          CAUSES.reduce(
            (all, cause) =>
              all +
              Number(told.totals[cause]) * (cause === "removed" || cause === "finished" ? -1 : 1),
            0,
          );
        expect(sum).toBe(Number(told.remaining));
        const plain = spans
          .filter(
            (one) => one.isIn && one.isOpen && one.from <= now && (one.to === null || now < one.to),
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
