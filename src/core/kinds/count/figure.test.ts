import { DressSchema } from "../../definition/schemas";
import type { CountAnswer } from "./countAnswer";
import { asDrawn } from "./asDrawn";
import type { CountReport } from "./definition";
import { figureOf } from "./figureOf";
import { sampleCalendar } from "../../../../tests/support/sample";
import { speakingWith } from "../../../../tests/support/tellings";
import { figureSays } from "./figureSays";
import type { Head } from "../../answer";
import { PLAIN_DRESS, type Dress } from "../../definition";
import { colorsOf, fittingColor, keyOfPath, tableRows, valueWords } from "../../figure";

const head = (key: string, label: string, more: Partial<Head> = {}): Head => ({
  key,
  kind: key === "n" ? "none" : key === "r" ? "rest" : "value",
  name: label,
  label,
  tone: key === "n" || key === "r" ? null : Number(key.slice(1)),
  ...more,
});
const cell = (value: string | null, records = 1) => ({ value, records, empties: 0 });

function answerOf(
  groups: readonly (readonly [Head, string | null])[],
  more: Partial<CountAnswer> = {},
): CountAnswer {
  return {
    kind: "count",
    measures: [{ words: "count", unit: null, additive: true, isDate: false }],
    rows: groups.map(([one, value]) => ({ path: [one], cells: [cell(value)], parts: [] })),
    tiers: [],
    split: [],
    total: [cell("10", 10)],
    columnTotals: [],
    everything: null,
    before: null,
    manyValued: false,
    asOf: 0,
    ...more,
  };
}

const none = (answer: CountAnswer) => ({
  rows: answer.rows.map(() => null),
  cells: answer.rows.map(() => []),
});
const draw = (answer: CountAnswer, dress: Partial<Dress> = {}, shape: "bars" | "donut" = "bars") =>
  figureOf(answer, none(answer), DressSchema.parse(dress), shape);
const three = answerOf([
  [head("v1", "Tern 2"), "3"],
  [head("v2", "Tern 10"), "5"],
  [head("n", "not set"), "9"],
]);

describe("the order of a figure", () => {
  const labels = (dress: Partial<Dress>) => draw(three, dress).rows.map((row) => row.label);
  test("is natural where nothing is said", () =>
    expect(labels({})).toEqual(["Tern 2", "Tern 10", "not set"]));
  test("largest first leaves not set last", () =>
    expect(labels({ order: "largest" })).toEqual(["Tern 10", "Tern 2", "not set"]));
  test("smallest first, too", () =>
    expect(labels({ order: "smallest" })).toEqual(["Tern 2", "Tern 10", "not set"]));
  test("by name has numbers as numbers", () =>
    expect(labels({ order: "name" })).toEqual(["Tern 2", "Tern 10", "not set"]));
  test("by hand takes any order, what is new comes last", () =>
    expect(labels({ order: "hand", byHand: ["n", "v2"] })).toEqual([
      "not set",
      "Tern 10",
      "Tern 2",
    ]));
  test("time keeps its own", () => {
    const bucket = {
      from: "2026-10-01",
      to: "2026-10-31",
      start: 0,
      end: 1,
      soFar: false,
      partial: false,
    };
    const trend = answerOf([
      [head("v1", "Oct", { bucket }), "3"],
      [head("v2", "Nov", { bucket: { ...bucket, soFar: true } }), "9"],
    ]);
    const figure = draw(trend, { order: "largest" });
    expect(figure.isTime).toBe(true);
    expect(figure.rows.map((row) => row.label)).toEqual(["Oct", "Nov"]);
    expect(figure.rows[1].soFar).toBe(true);
  });
});

describe("colours", () => {
  test("bars of one series have one colour, ranks the ramp, not set and the rest their own grounds", () => {
    const ranked = answerOf([
      [head("v0", "P1", { ranked: true }), "1"],
      [head("v3", "P4", { ranked: true }), "1"],
      [head("r", "rest"), "1"],
      [head("n", "not set"), "1"],
    ]);
    expect(draw(ranked).rows.map((row) => row.color)).toEqual(["r1", "r4", "ink-3", "ghost"]);
    expect(draw(three).rows.map((row) => row.color)).toEqual(["c1", "c1", "ghost"]);
  });
  test("slices have a colour each; where two would look the same the later takes a free one", () => {
    const clash = answerOf([
      [head("v1", "a"), "1"],
      [head("v9", "b"), "1"],
      [head("v2", "c"), "1"],
    ]);
    const colors = draw(clash, {}, "donut").rows.map((row) => row.color);
    expect(colors[0]).toBe("c2");
    expect(new Set(colors).size).toBe(3);
  });
});

describe("what a top N leaves over", () => {
  const answer = answerOf(
    [
      [head("v1", "Tern"), "3"],
      [head("v2", "Gull"), "5"],
      [head("r", "rest"), "69"],
    ],
    { others: 12 },
  );
  const drawnRows = (dress: Partial<Dress>, shape: "bars" | "donut" = "bars") =>
    draw(answer, dress, shape).rows.map((row) => row.label);
  test("stands aside where it would dwarf the picture, and says of how many it is", () => {
    const figure = draw(answer);
    expect(figure.rows.map((row) => row.label)).toEqual(["Tern", "Gull"]);
    expect(figure.aside).toMatchObject({ label: "12 others", words: "69", path: ["r"] });
    expect(tableRows(figure)).toHaveLength(3);
  });
  test("is drawn where its builder wants it, and where it is smaller than a part", () => {
    expect(drawnRows({ rest: "drawn" })).toEqual(["Tern", "Gull", "rest"]);
    const small = answerOf([
      [head("v1", "Tern"), "3"],
      [head("r", "rest"), "2"],
    ]);
    expect(draw(small).aside).toBeUndefined();
    expect(draw(small, { rest: "aside" }).aside).toMatchObject({ label: "rest", words: "2" });
  });
  test("is always a slice of what is whole only with it", () =>
    expect(drawnRows({ rest: "aside" }, "donut")).toEqual(["Tern", "Gull", "rest"]));
});

test("no colour comes twice before eight are used, and then with its texture", () => {
  const heads = Array.from({ length: 12 }, (_, i) => head(`v${i * 8}`, String(i)));
  const colors = colorsOf(heads);
  expect(new Set(colors.slice(0, 8)).size).toBe(8);
  expect(colors.slice(0, 8).some((color) => color.endsWith("x"))).toBe(false);
  expect(colors.slice(8).every((color) => color.endsWith("x"))).toBe(true);
  expect(new Set(colors).size).toBe(12);
});

test.each([
  ["At risk", "g2"],
  ["met", "g1"],
  ["Missed", "g3"],
  ["Red", "c4"],
  ["Ebba Lund", undefined],
] as const)("a value called %s fits %s", (label, color) => expect(fittingColor(label)).toBe(color));

describe("names and labels", () => {
  test("names of the builder's own stand everywhere", () =>
    expect(draw(three, { names: { "0/v1": "Old tern" } }).rows[0].label).toBe("Old tern"));
  test("a name of one tier is not taken for another value of the same key in the split", () => {
    const answer = answerOf([], {
      split: [head("v1", "Logged")],
      rows: [{ path: [head("v1", "P1")], cells: [cell("2")], parts: [[cell("2")]] }],
      columnTotals: [[cell("2")]],
    });
    const figure = draw(answer, { names: { "0/v1": "Urgent" } });
    expect([figure.rows[0].label, figure.series[0].label, figure.rows[0].parts[0].label]).toEqual([
      "Urgent",
      "Logged",
      "Urgent, Logged",
    ]);
  });
  test.each([
    ["none", ""],
    ["value", "3"],
    ["percent", "30.0 %"],
    ["both", "3 · 30.0 %"],
  ] as const)("labels as %s", (labels, written) => {
    const figure = figureOf(
      three,
      { rows: ["30.0", "50.0", "20.0"], cells: [[], [], []] },
      { ...PLAIN_DRESS, labels },
      "bars",
    );
    expect(figure.rows[0].written).toBe(written);
  });
  test("where there is no percentage the value is written", () =>
    expect(draw(three, { labels: "percent" }).rows[0].written).toBe("3"));
  test.each([
    [null, null, "–"],
    ["1234.567", "days", "1\u202f234.6 d"],
    ["0.333333", "hours", "0.33 h"],
    ["2026-11-24T15:30:00Z", null, "24 Nov 2026"],
  ])("%s in %s is read as %s", (value, unit, words) => expect(valueWords(value, unit)).toBe(words));
  test("an empty value is nothing to draw, not 0", () => {
    const [row] = draw(answerOf([[head("v1", "a"), null]])).rows;
    expect([row.value, row.words]).toEqual([null, "–"]);
  });
});

describe("series", () => {
  const split = answerOf([], {
    split: [head("v1", "fault"), head("v2", "request")],
    rows: [
      {
        path: [head("v0", "P1", { ranked: true })],
        cells: [cell("5")],
        parts: [[cell("2")], [cell("3")]],
      },
    ],
    columnTotals: [[cell("2")], [cell("3")]],
  });
  test("a split makes series with their totals, and parts that open both", () => {
    const figure = draw(split);
    expect(figure.series.map((one) => [one.label, one.total])).toEqual([
      ["fault", "2"],
      ["request", "3"],
    ]);
    expect(figure.rows[0].parts[1]).toMatchObject({
      path: ["v0"],
      split: "v2",
      label: "P1, request",
      value: 3,
    });
  });
  test("several measures make series, each with its unit", () => {
    const several = answerOf([], {
      measures: [
        { words: "count", unit: null, additive: true, isDate: false },
        { words: "average age in days", unit: "days", additive: false, isDate: false },
      ],
      rows: [{ path: [head("v1", "a")], cells: [cell("2"), cell("3.5")], parts: [] }],
      total: [cell("2"), cell("3.5")],
    });
    expect(draw(several).rows[0].parts.map((part) => part.words)).toEqual(["2", "3.5 d"]);
  });
});

describe("the sentence made from the numbers", () => {
  const said = (answer: CountAnswer) =>
    figureSays(answer, draw(answer), speakingWith("faults", sampleCalendar))
      .map((piece) => piece.text)
      .join("");
  test("says how much, and where most of it is", () =>
    expect(said(three)).toBe("On 24 Nov 2026 there were 10 faults; 9 of them with none set."));
  test("says what has no value", () => {
    const averages = answerOf([[head("v1", "a"), "4"]], {
      measures: [{ words: "average points", unit: null, additive: false, isDate: false }],
      total: [{ value: "4", records: 7, empties: 2 }],
    });
    expect(said(averages)).toBe(
      "On 24 Nov 2026 the average points was 4, over 7 faults; 2 of 7 have no value.",
    );
  });
});

test("keys of a path are told apart", () => expect(keyOfPath(["v1", "v2"])).toBe("v1/v2"));

describe("more groups than can be drawn", () => {
  const many = (count: number, more: readonly (readonly [Head, string])[] = []) =>
    answerOf([
      ...Array.from(
        { length: count },
        (_, i) => [head(`v${i}`, `Item ${i}`), String(count - i)] as const,
      ),
      ...more,
    ]);
  const says = (figure: ReturnType<typeof draw>, answer: CountAnswer) =>
    figureSays(answer, figure, speakingWith("items", sampleCalendar))
      .map((said) => said.text)
      .join("");

  test("fifty, not set and the rest are all drawn", () => {
    const answer = many(50, [
      [head("r", "rest"), "70"],
      [head("n", "not set"), "2"],
    ]);
    const figure = figureOf(answer, none(answer), { ...PLAIN_DRESS, rest: "drawn" }, "bars", 70);
    expect(figure.rows).toHaveLength(52);
    expect(figure.cut).toBe(70);
    expect(says(figure, answer)).toContain(
      "the 50 largest of 120 groups are drawn, all others as the rest",
    );
  });
  test("where they cannot be ranked together the largest stay, and no rest is claimed", () => {
    const answer = many(60);
    const figure = draw(answer);
    expect(figure.rows.map((row) => row.value)).toEqual(
      Array.from({ length: 50 }, (_, i) => 60 - i),
    );
    expect(says(figure, answer)).toMatch(/the 50 largest of 60 groups are drawn\.$/);
  });
  test.each([
    ["pivot", 60],
    ["line", 60],
    ["bars", 50],
    [undefined, 60],
  ] as const)("a %s of %i is not cut", (shape, count) => {
    expect(figureOf(many(count), none(many(count)), PLAIN_DRESS, shape).cut).toBe(0);
  });
  test.each([
    [{ by: [{ field: ["key"] }] }, 50],
    [{ by: [{ field: ["key"], without: [{ kind: "text", text: "D1" }] }] }, 50],
    [{ by: [{ field: ["key"], top: { count: 5 } }] }, null],
    [{ by: [{ field: ["created"], grain: "day" }] }, null],
    [{ by: [{ field: ["key"] }, { field: ["team"] }] }, null],
    [{ by: [] }, null],
  ] as const)("%j is drawn with a rest: %j", (given, top) => {
    expect(
      asDrawn({
        kind: "count",
        subject: { id: "items" },
        measures: [{ measure: "count" }],
        ...(given as object),
      } as CountReport)?.by[0].top?.count ?? null,
    ).toBe(top);
  });
});
