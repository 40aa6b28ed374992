import type { LevelAnswer } from "@/core/kinds";

import { flowWidths } from "./flowWidths";

const STATUSES = ["Ready", "Building", "Shipped"];
const flow = (days: readonly (readonly number[])[]): LevelAnswer => ({
  kind: "level",
  measure: {} as never,
  begins: null,
  asOf: 0,
  split: STATUSES.map((label, i) => ({ key: `v${i}`, label }) as never),
  rows: days.map((counts, i) => ({
    bucket: {
      from: `2026-11-1${i}`,
      to: `2026-11-1${i}`,
      start: 0,
      end: 0,
      soFar: false,
      partial: false,
    } as never,
    about: "",
    label: String(i),
    cell: null,
    parts: counts.map((count) => ({ value: String(count), records: count, empties: 0 })),
  })),
});

test("a status is as wide as it holds at each point, and as long as what came to it takes to leave it", () => {
  const answer = flow([
    [4, 2, 0],
    [3, 2, 1],
    [1, 3, 2],
    [0, 2, 4],
    [0, 0, 6],
  ]);
  expect(flowWidths(answer, 0, 4)).toEqual([
    { label: "Ready", first: 4, second: 0, days: 3 },
    { label: "Building", first: 2, second: 0, days: 2 },
    { label: "Shipped", first: 0, second: 6, days: null },
  ]);
});

test("what has not left by the second point has no width along time, and nothing in it has none at all", () => {
  const answer = flow([
    [2, 1, 0],
    [2, 1, 0],
    [1, 2, 0],
  ]);
  expect(flowWidths(answer, 0, 2).map((one) => one.days)).toEqual([null, null, null]);
  expect(
    flowWidths(
      flow([
        [0, 0, 3],
        [0, 0, 3],
      ]),
      0,
      1,
    ).map((one) => one.days),
  ).toEqual([0, 0, null]);
});

test("a point that is not drawn holds nothing", () => {
  expect(flowWidths(flow([[1, 0, 0]]), 0, 5)[0]).toMatchObject({ first: 1, second: 0 });
});
