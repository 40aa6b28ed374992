import {
  type LevelAnswer,
  type LevelReport,
  checkReport,
  parseSentence,
  printReport,
} from "@/core/kinds";

import { sampleContext } from "../../../../tests/support/sample";
import {
  bridgeOver,
  byGrain,
  coarser,
  direction,
  finer,
  knownPlaces,
  onlyParts,
  otherPeriods,
  rateOf,
  splitBy,
  stretchBefore,
  zoomed,
} from "./steps";

const context = sampleContext();
const read = (sentence: string): LevelReport => {
  const parsed = parseSentence(sentence, context);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return parsed.value as LevelReport;
};
const says = (report: Parameters<typeof printReport>[0]): string => {
  expect(checkReport(report, context)).toEqual([]);
  return printReport(report, context.catalog);
};
const MONTHS = [
  ["2026-06", 30],
  ["2026-07", 31],
  ["2026-08", 31],
  ["2026-09", 30],
  ["2026-10", 31],
].map(([month, days]) => ({ from: `${month}-01`, to: `${month}-${days}` }));
const answerOf = (values: readonly (string | null)[]): LevelAnswer => ({
  kind: "level",
  measure: {} as never,
  split: [],
  begins: null,
  asOf: 0,
  rows: values.map((value, i) => ({
    bucket: { ...MONTHS[i], start: 0, end: 0, soFar: false, partial: false } as never,
    about: "",
    label: MONTHS[i].from,
    cell: value === null ? null : { value, records: 1, empties: 0 },
    parts: [],
  })),
});
const trend = read(
  "level of faults where status is open at month ends for last 5 months split by priority as area",
);
const five = answerOf(["10", "14", "13", "20", "34"]);

test("grains go from day to year and back, fiscal ones as plain ones", () => {
  expect([
    finer("day"),
    coarser("day"),
    coarser("month"),
    finer("quarter"),
    coarser("year"),
    finer("fiscal year"),
    coarser("fiscal quarter"),
  ]).toEqual([null, "week", "quarter", "month", null, "quarter", "year"]);
  expect(says(byGrain(trend, "week"))).toContain("at week ends");
});

test("a rate is told by the week, and only between points that are known", () => {
  const rate = rateOf(five, { from: 0, to: 1 })!;
  expect([rate.change.toFixed(), rate.days, rate.aWeek.toFixed(4)]).toEqual(["4", 31, "0.9032"]);
  expect(rateOf(answerOf([null, "4"]), { from: 0, to: 1 })).toBeNull();
  expect(rateOf(five, { from: 2, to: 2 })).toBeNull();
  expect(knownPlaces(answerOf(["1", null, "3", null]))).toEqual([0, 2]);
});

test("the stretch before is as long, and there only where it is known", () => {
  expect(stretchBefore(five, { from: 2, to: 4 })).toEqual({ from: 0, to: 2 });
  expect(stretchBefore(five, { from: 1, to: 4 })).toBeNull();
  expect(stretchBefore(answerOf([null, "1", "2"]), { from: 1, to: 2 })).toBeNull();
});

test("a stretch is a trend of its own, and a bridge from the end of one point to the end of the other", () => {
  expect(says(zoomed(trend, five, { from: 1, to: 3 }))).toBe(
    "level of faults where status is open at month ends for 2026-07-01 to 2026-09-30 split by priority as area",
  );
  expect(says(bridgeOver(trend, five, { from: 0, to: 4 }))).toBe(
    "bridge of faults where status is open from 2026-06-30 to 2026-10-31 as waterfall",
  );
});

test("it is split by another field or by none, and kept to some of its parts", () => {
  expect(says(splitBy(trend, "status"))).toContain("split by status");
  expect(says(splitBy(trend, null))).not.toContain("split");
  expect(
    says(
      onlyParts(trend, [
        { kind: "thing", thing: "priority", id: 1 },
        { kind: "thing", thing: "priority", id: 2 },
      ]),
    ),
  ).toContain("where status is open and priority is any of (P1, P2)");
  expect(onlyParts(trend, [])).toBe(trend);
});

test("half of a period is its later one, and twice of it reaches as far back again", () => {
  const { half, double } = otherPeriods(trend, five)!;
  expect([half.period, double.period]).toEqual([
    { kind: "span", from: "2026-08-16", to: "2026-10-31" },
    { kind: "span", from: "2025-12-30", to: "2026-10-31" },
  ]);
  expect(otherPeriods(trend, answerOf([]))).toBeNull();
});

test.each([
  [["1", "5", "3"], 1],
  [["4", null, "3"], -1],
  [["2", "9", "2"], 0],
  [[null, "2"], 0],
] as const)("%j goes %i", (values, way) => expect(direction(answerOf(values))).toBe(way));
