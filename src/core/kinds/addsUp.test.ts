import type { Report } from "./registry";
import type { Crossing } from "./crossings/planCrossings";
import type { BridgeAnswer } from "./bridge/answer";
import type { CrossingsAnswer } from "./crossings/answer";

import type { HistoryAnswer } from "./answers";
import { plannedOf } from "./plannedKinds";

const measure = { words: "count", unit: null, additive: true, isDate: false } as const;
const bucket = {
  from: "2026-10-01",
  to: "2026-10-31",
  start: 0,
  end: 1,
  soFar: false,
  partial: false,
};
const row = (crossing: Crossing | null) => ({ bucket, label: "Oct 2026", about: "", crossing });
const crossing = (
  levelStart: string,
  arrived: string,
  departed: string,
  revalued: string,
  levelEnd: string,
): Crossing => ({ levelStart, arrived, departed, revalued, levelEnd, arrivals: 1, departures: 1 });
const flows: CrossingsAnswer = {
  kind: "crossings",
  which: "both",
  isRunning: false,
  beside: [],
  measure,
  begins: 0,
  asOf: 0,
  rows: [row(null), row(crossing("5", "4", "1", "0", "8")), row(crossing("8", "0", "3", "0", "5"))],
};

const addsUp = (answer: HistoryAnswer) => plannedOf({ kind: answer.kind } as Report).addsUp(answer);

describe("how figures of history add up", () => {
  test("flows from the first known stretch to the last, of sums with what was revalued", () => {
    expect(addsUp(flows)).toBe(
      "5 at the start + 4 arrived − 4 departed = 5 at the end; in each stretch, too",
    );
    const sums = {
      ...flows,
      measure: { ...measure, words: "sum of points" },
      rows: [row(crossing("5", "4", "1", "-2.5", "5.5"))],
    };
    expect(addsUp(sums)).toBe(
      "5 at the start + 4 arrived − 1 departed − 2.5 revalued = 5.5 at the end; in each stretch, too",
    );
  });
  test("nothing is said of what is not known", () =>
    expect(addsUp({ ...flows, rows: [row(null)] })).toBeNull());
  test("a bridge part by part, with the fields of what changed", () => {
    const bridge: BridgeAnswer = {
      kind: "bridge",
      isOfOpen: true,
      measure,
      from: 0,
      to: 1,
      levelFrom: "106",
      levelTo: "104",
      begins: 0,
      asOf: 0,
      parts: [
        { cause: "created", fields: [], amount: "63", count: 63, keys: [] },
        { cause: "finished", fields: [], amount: "-68", count: 68, keys: [] },
        { cause: "changed in", fields: ["priority"], amount: "3", count: 3, keys: [] },
      ],
    };
    expect(addsUp(bridge)).toBe(
      "106 at the first + 63 created − 68 finished + 3 changed in: priority = 104 at the second",
    );
  });
});
