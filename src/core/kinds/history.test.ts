import type { BridgeAnswer } from "./bridge/answer";
import type { CrossingsAnswer } from "./crossings/answer";
import type { LevelAnswer } from "./level/answer";

import { PLAIN_DRESS } from "../definition";
import { parseInstant } from "../time";
import { sampleCalendar } from "../../../tests/support/sample";
import { historyFigure, historySays, whyBlank } from "../../../tests/support/tellings";

const at = (text: string) => parseInstant(text)!;
const bucket = (month: string, soFar = false) => ({
  from: `2026-${month}-01`,
  to: `2026-${month}-28`,
  start: at(`2026-${month}-01T00:00:00Z`),
  end: at(`2026-${month}-28T00:00:00Z`),
  soFar,
  partial: false,
});
const cell = (value: string | null) => ({ value, records: Number(value ?? 0), empties: 0 });
const measure = { words: "count", unit: null, additive: true, isDate: false } as const;
const head = (key: string, label: string) => ({
  key,
  kind: "value" as const,
  name: label,
  label,
  tone: 0,
});
const words = (said: readonly { text: string }[]) => said.map((one) => one.text).join("");

const level: LevelAnswer = {
  kind: "level",
  measure,
  split: [head("v1", "P1"), head("v2", "P2")],
  begins: at("2024-01-01T00:00:00Z"),
  asOf: at("2026-11-24T15:30:00Z"),
  rows: [
    {
      bucket: bucket("09"),
      label: "Sep 2026",
      about: "",
      cell: cell("5"),
      parts: [cell("2"), cell("3")],
    },
    {
      bucket: bucket("10"),
      label: "Oct 2026",
      about: "",
      cell: cell("9"),
      parts: [cell("4"), cell("5")],
    },
    {
      bucket: bucket("11", true),
      label: "Nov 2026",
      about: "",
      cell: cell("7"),
      parts: [cell("3"), cell("4")],
    },
    { bucket: bucket("12"), label: "Dec 2026", about: "", cell: null, parts: [null, null] },
  ],
};

describe("a level as a figure", () => {
  const figure = historyFigure(level, PLAIN_DRESS)!;
  test("has a row for each stretch, whose keys open its records", () => {
    expect(figure.isTime).toBe(true);
    expect(figure.rows.map((row) => [row.label, row.value, row.path])).toEqual([
      ["Sep 2026", 5, ["b0"]],
      ["Oct 2026", 9, ["b1"]],
      ["Nov 2026", 7, ["b2"]],
      ["Dec 2026", null, ["b3"]],
    ]);
    expect(figure.rows[1].parts.map((part) => [part.value, part.split])).toEqual([
      [4, "v1"],
      [5, "v2"],
    ]);
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
  kind: "crossings",
  which: "both",
  isRunning: false,
  beside: [],
  measure,
  begins: at("2024-01-01T00:00:00Z"),
  asOf: at("2026-11-24T15:30:00Z"),
  rows: [
    {
      bucket: bucket("09"),
      label: "Sep 2026",
      about: "",
      crossing: {
        levelStart: "2",
        arrived: "6",
        departed: "3",
        revalued: "0",
        levelEnd: "5",
        arrivals: 6,
        departures: 3,
      },
    },
    {
      bucket: bucket("10"),
      label: "Oct 2026",
      about: "",
      crossing: {
        levelStart: "5",
        arrived: "1",
        departed: "4",
        revalued: "0",
        levelEnd: "2",
        arrivals: 1,
        departures: 4,
      },
    },
    { bucket: bucket("12"), label: "Dec 2026", about: "", crossing: null },
  ],
};

describe("flows as a figure", () => {
  test("have what came in and what left side by side", () => {
    const figure = historyFigure(crossings, PLAIN_DRESS)!;
    expect(figure.series.length).toBe(2);
    expect(figure.rows[0].parts.map((part) => [part.value, part.path])).toEqual([
      [6, ["b0", "in"]],
      [3, ["b0", "out"]],
    ]);
  });
  test("only one of them where only one was asked", () => {
    expect(
      historyFigure({ ...crossings, which: "arrivals" }, PLAIN_DRESS)!.rows.map((row) => row.value),
    ).toEqual([6, 1, null]);
    expect(
      historyFigure({ ...crossings, which: "departures" }, PLAIN_DRESS)!.rows.map(
        (row) => row.value,
      ),
    ).toEqual([3, 4, null]);
  });
  test("as running totals, each with those before; a part opens all that came since the start", () => {
    const rows = [
      { ...crossings.rows[0], since: { arrived: "6", departed: "3" } },
      { ...crossings.rows[1], since: { arrived: "7", departed: "7" } },
      { ...crossings.rows[2], since: null },
    ];
    const figure = historyFigure({ ...crossings, isRunning: true, rows }, PLAIN_DRESS)!;
    expect(figure.rows.map((row) => row.parts.map((part) => part.value))).toEqual([
      [6, 3],
      [7, 7],
      [null, null],
    ]);
    expect(figure.rows[1].parts.map((part) => part.path)).toEqual([
      ["c1", "in"],
      ["c1", "out"],
    ]);
    // Levels 2, 5, 2: in all nothing was won.
    expect(figure.rows.map((row) => row.value)).toEqual([3, 0, null]);
    expect(figure.axes).toEqual({ series: "since 1 Sep 2026", lines: null });
    expect(figure.series.map((one) => one.total)).toEqual(["7", "7"]);
  });
  test("with their net on their axis and the level on one of its own, which opens what was there", () => {
    const figure = historyFigure({ ...crossings, beside: ["net", "level"] }, PLAIN_DRESS)!;
    expect(figure.lines!.map((line) => [line.key, line.hasOwnAxis, line.total])).toEqual([
      ["net", false, "0"],
      ["level", true, "2"],
    ]);
    expect(figure.rows.map((row) => row.lines!.map((mark) => [mark.value, mark.path]))).toEqual([
      [
        [3, ["b0"]],
        [5, ["l0"]],
      ],
      [
        [-3, ["b1"]],
        [2, ["l1"]],
      ],
      [
        [null, ["b2"]],
        [null, ["l2"]],
      ],
    ]);
    expect(figure.axes).toEqual({ series: null, lines: "in all" });
  });
  test("are told with their sums", () => {
    const said = words(historySays(crossings, "faults", sampleCalendar));
    expect(said).toContain("7");
  });
});

test("a bridge is drawn from its answer and told with its two levels", () => {
  const bridge: BridgeAnswer = {
    kind: "bridge",
    isOfOpen: true,
    measure,
    from: at("2026-10-01T00:00:00Z"),
    to: at("2026-11-01T00:00:00Z"),
    levelFrom: "106",
    levelTo: "91",
    begins: 0,
    parts: [
      { cause: "created", fields: [], amount: "51", count: 51, keys: [] },
      { cause: "finished", fields: [], amount: "-66", count: 66, keys: [] },
    ],
    asOf: 0,
  };
  expect(historyFigure(bridge, PLAIN_DRESS)).toBeNull();
  const said = words(historySays(bridge, "faults", sampleCalendar));
  expect(said).toContain("106");
  expect(said).toContain("91");
});

describe("what is not known, or never was, is said and not drawn", () => {
  const said = (answer: Parameters<typeof whyBlank>[0]) =>
    whyBlank(answer, "faults", sampleCalendar);
  const nothing = (row: (typeof level.rows)[number]) => ({
    ...row,
    cell: null,
    parts: [null, null],
  });
  test("a figure with something in it is drawn", () => {
    expect(said(level)).toBeNull();
    expect(said(crossings)).toBeNull();
  });
  test("a period before any history", () => {
    expect(
      said({
        ...level,
        rows: level.rows.slice(0, 2).map(nothing),
        begins: at("2026-11-01T00:00:00Z"),
      }),
    ).toMatch(/before any history, which begins on 1 Nov 2026/);
    expect(
      said({
        ...crossings,
        rows: crossings.rows.slice(0, 2).map((row) => ({ ...row, crossing: null })),
        begins: at("2026-11-01T00:00:00Z"),
      }),
    ).toMatch(/before any history/);
  });
  test("a period to come, and a workspace without items", () => {
    expect(said({ ...level, rows: level.rows.slice(3) })).toMatch(/has not begun/);
    expect(said({ ...level, rows: level.rows.slice(0, 2).map(nothing), begins: null })).toMatch(
      /There is no history yet/,
    );
  });
  test("what nothing ever matched; once something did, zeros are zeros", () => {
    const zeros = level.rows
      .slice(0, 3)
      .map((row) => ({ ...row, cell: cell("0"), parts: [cell("0"), cell("0")] }));
    expect(said({ ...level, rows: zeros })).toMatch(/No faults matched this at any time/);
    expect(said({ ...level, rows: [...zeros.slice(0, 2), level.rows[2]] })).toBeNull();
    const still = {
      levelStart: "0",
      arrived: "0",
      departed: "0",
      revalued: "0",
      levelEnd: "0",
      arrivals: 0,
      departures: 0,
    };
    expect(
      said({
        ...crossings,
        rows: crossings.rows.slice(0, 1).map((row) => ({ ...row, crossing: still })),
      }),
    ).toMatch(/No faults matched/);
    expect(
      said({
        ...crossings,
        rows: crossings.rows.slice(0, 1).map((row) => ({
          ...row,
          crossing: { ...still, arrivals: 1, departures: 1, arrived: "1", departed: "1" },
        })),
      }),
    ).toBeNull();
  });
  test("a bridge between two dates before any history, or between two empty levels", () => {
    const bridge: BridgeAnswer = {
      kind: "bridge",
      isOfOpen: true,
      measure,
      from: at("2020-01-01T00:00:00Z"),
      to: at("2020-02-01T00:00:00Z"),
      levelFrom: "0",
      levelTo: "0",
      begins: at("2024-01-01T00:00:00Z"),
      parts: [],
      asOf: 0,
    };
    expect(said(bridge)).toMatch(/Both dates lie before any history/);
    expect(said({ ...bridge, begins: 0 })).toMatch(/at either date/);
    expect(said({ ...bridge, begins: 0, levelFrom: "4", levelTo: "4" })).toBeNull();
    // Begun between them: what is unknown of the first is said, and the bridge stands.
    const across = {
      ...bridge,
      begins: at("2020-01-15T00:00:00Z"),
      levelTo: "3",
      parts: [{ cause: "created", fields: [], amount: "3", count: 3, keys: [] }],
    };
    expect(said(across)).toBeNull();
    expect(words(historySays(across, "faults", sampleCalendar))).toMatch(
      /History begins on 15 Jan 2020/,
    );
  });
});
