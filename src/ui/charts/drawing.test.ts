import { formatHex, interpolate, wcagContrast } from "culori";
import fc from "fast-check";
import { depthOf, inkOfShare, inkOn, labelsThatFit, markId, ticksTo } from "./drawing";
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

test("of names that would cover one another, that of the largest point is kept", () => {
  const point = (x: number, y: number, radius: number) => ({
    x,
    y,
    radius,
    words: "Tove Lindqvist",
  });
  expect([...labelsThatFit([point(0, 0, 4), point(10, 4, 9), point(0, 60, 4)])].sort()).toEqual([
    1, 2,
  ]);
  expect(labelsThatFit([]).size).toBe(0);
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
