import type { BridgeAnswer, CrossingsAnswer, LevelAnswer } from "../answer";
import { PLAIN_DRESS } from "../definition";
import { parseInstant } from "../time";
import { sampleCalendar } from "../../../tests/support/sample";
import { historyFigure } from "./historyFigure";
import { historySays } from "./historySays";

const at = (text: string) => parseInstant(text)!;
const bucket = (month: string, soFar = false) => ({ from: `2026-${month}-01`, to: `2026-${month}-28`, start: at(`2026-${month}-01T00:00:00Z`), end: at(`2026-${month}-28T00:00:00Z`), soFar, partial: false });
const cell = (value: string | null) => ({ value, records: Number(value ?? 0), empties: 0 });
const measure = { words: "count", unit: null, additive: true, isDate: false } as const;
const head = (key: string, label: string) => ({ key, kind: "value" as const, name: label, label, tone: 0 });
const words = (said: readonly { text: string }[]) => said.map((one) => one.text).join("");

const level: LevelAnswer = {
  kind: "level", measure, split: [head("v1", "P1"), head("v2", "P2")], since: at("2024-01-01T00:00:00Z"), asOf: at("2026-11-24T15:30:00Z"),
  rows: [
    { bucket: bucket("09"), label: "Sep 2026", cell: cell("5"), parts: [cell("2"), cell("3")] },
    { bucket: bucket("10"), label: "Oct 2026", cell: cell("9"), parts: [cell("4"), cell("5")] },
    { bucket: bucket("11", true), label: "Nov 2026", cell: cell("7"), parts: [cell("3"), cell("4")] },
    { bucket: bucket("12"), label: "Dec 2026", cell: null, parts: [null, null] },
  ],
};

describe("a level as a figure", () => {
  const figure = historyFigure(level, PLAIN_DRESS)!;
  test("has a row for each stretch, whose keys open its records", () => {
    expect(figure.isTime).toBe(true);
    expect(figure.rows.map((row) => [row.label, row.value, row.path])).toEqual([["Sep 2026", 5, ["b0"]], ["Oct 2026", 9, ["b1"]], ["Nov 2026", 7, ["b2"]], ["Dec 2026", null, ["b3"]]]);
    expect(figure.rows[1].parts.map((part) => [part.value, part.split])).toEqual([[4, "v1"], [5, "v2"]]);
    expect(figure.rows[2].soFar).toBe(true);
  });
  test("is told with where it began, where it is, and that the last stretch is not over", () => {
    const said = words(historySays(level, "faults", sampleCalendar));
    expect(said).toContain("5");
    expect(said).toContain("7");
    expect(said).toMatch(/Nov 2026 is not over/);
  });
});

const crossings: CrossingsAnswer = {
  kind: "crossings", which: "both", measure, asOf: at("2026-11-24T15:30:00Z"),
  rows: [
    { bucket: bucket("09"), label: "Sep 2026", crossing: { levelStart: "2", arrived: "6", departed: "3", revalued: "0", levelEnd: "5", arrivals: 6, departures: 3 } },
    { bucket: bucket("10"), label: "Oct 2026", crossing: { levelStart: "5", arrived: "1", departed: "4", revalued: "0", levelEnd: "2", arrivals: 1, departures: 4 } },
    { bucket: bucket("12"), label: "Dec 2026", crossing: null },
  ],
};

describe("flows as a figure", () => {
  test("have what came in and what left side by side", () => {
    const figure = historyFigure(crossings, PLAIN_DRESS)!;
    expect(figure.series.length).toBe(2);
    expect(figure.rows[0].parts.map((part) => [part.value, part.path])).toEqual([[6, ["b0", "in"]], [3, ["b0", "out"]]]);
  });
  test("only one of them where only one was asked", () => {
    expect(historyFigure({ ...crossings, which: "arrivals" }, PLAIN_DRESS)!.rows.map((row) => row.value)).toEqual([6, 1, null]);
    expect(historyFigure({ ...crossings, which: "departures" }, PLAIN_DRESS)!.rows.map((row) => row.value)).toEqual([3, 4, null]);
  });
  test("are told with their sums", () => {
    const said = words(historySays(crossings, "faults", sampleCalendar));
    expect(said).toContain("7");
  });
});

test("a bridge is drawn from its answer and told with its two levels", () => {
  const bridge: BridgeAnswer = { kind: "bridge", measure, from: at("2026-10-01T00:00:00Z"), to: at("2026-11-01T00:00:00Z"), levelFrom: "106", levelTo: "91", parts: [{ cause: "created", fields: [], amount: "51", count: 51, keys: [] }, { cause: "finished", fields: [], amount: "-66", count: 66, keys: [] }], asOf: 0 };
  expect(historyFigure(bridge, PLAIN_DRESS)).toBeNull();
  const said = words(historySays(bridge, "faults", sampleCalendar));
  expect(said).toContain("106");
  expect(said).toContain("91");
});
