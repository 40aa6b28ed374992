import { formatHex, interpolate, wcagContrast } from "culori";
import fc from "fast-check";
import { depthOf, inkOfShare, inkOn, markId, ticksTo } from "./drawing";
import { labelsThatFit, ticksAround } from "./around";
import { day, night } from "../tokens";

describe("axes", () => {
  test.each([
    [43, [0, 10, 20, 30, 40, 50]],
    [4, [0, 1, 2, 3, 4]],
    [200, [0, 50, 100, 150, 200]],
    [1, [0, 1]],
    [0, [0, 1]],
  ])("the ticks to %s are round and few", (most, ticks) => {
    expect(ticksTo(most)).toEqual(ticks);
  });
  test("they begin at 0, reach the largest value, and are at most seven", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1e9, noNaN: true }), (most) => {
        const ticks = ticksTo(most);
        expect(ticks[0]).toBe(0);
        expect(ticks[ticks.length - 1]).toBeGreaterThanOrEqual(most);
        expect(ticks.length).toBeLessThanOrEqual(7);
      }),
    );
  });
  test("the ink on a colour is the one made for it", () => {
    expect([inkOn("c3"), inkOn("r4"), inkOn("ghost")]).toEqual([
      "var(--o3)",
      "var(--q4)",
      "var(--ink)",
    ]);
  });
  test("a mark is told from its parts", () => {
    expect(markId({ path: ["v1"] })).not.toBe(markId({ path: ["v1"], split: "v2" }));
  });
});

describe("names beside points", () => {
  const point = (x: number, y: number, radius: number) => ({ x, y, radius, words: "a name" });

  test("that would cover one another stand on different sides, or only that of the largest is kept", () => {
    const side = labelsThatFit([point(100, 0, 4), point(110, 4, 9), point(100, 60, 4)], 400);
    expect([...side]).toEqual([
      [1, "right"],
      [2, "right"],
      [0, "left"],
    ]);
    const crowded = labelsThatFit([point(4, 0, 4), point(14, 4, 9)], 400);
    expect([...crowded.keys()]).toEqual([1]);
    expect(labelsThatFit([]).size).toBe(0);
  });

  test("do not leave the ground, and cover no other point", () => {
    expect(labelsThatFit([point(390, 0, 4)], 400).get(0)).toBe("left");
    expect(labelsThatFit([point(100, 0, 4), point(130, 0, 12)], 400).get(0)).toBe("left");
  });
});

test("an axis around some values holds all of them, in few round steps", () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 20 }),
      (values) => {
        const ticks = ticksAround(values);
        expect(ticks[0]).toBeLessThanOrEqual(Math.min(...values));
        expect(ticks[ticks.length - 1]).toBeGreaterThanOrEqual(Math.max(...values));
        expect(ticks.length).toBeLessThanOrEqual(9);
      },
    ),
  );
  expect(ticksAround([0.92, 1.08])[0]).toBeGreaterThan(0.5);
  expect(ticksAround([3, 40])[0]).toBe(0);
  expect(ticksAround([])).toEqual([0, 1]);
});

test("whole values have whole steps", () => {
  expect(ticksTo(12)).toEqual([0, 5, 10, 15]);
  expect(ticksTo(2)).toEqual([0, 1, 2]);
  expect(ticksTo(12.4)[1]).toBe(2.5);
});

test.each([
  ["day", day],
  ["night", night],
] as const)("what is written on a tone is readable by %s, however deep", (_theme, tokens) => {
  for (let share = 0; share <= 1.0001; share += 0.02) {
    const ground = formatHex(interpolate([tokens.salt, tokens.c1], "rgb")(depthOf(share) / 100));
    const ink = inkOfShare(share) === "var(--deep)" ? tokens.deep : tokens.ink;
    expect([share.toFixed(2), wcagContrast(ground, ink) >= 4.5]).toEqual([share.toFixed(2), true]);
  }
});
