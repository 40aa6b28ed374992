import { DressSchema } from "../../definition/schemas";
import type { AnswerRow, CountAnswer } from "./countAnswer";
import type { Head } from "../../answer";
import { type Dress } from "../../definition";
import { pivotOf } from "./pivot";
import {
  changeWords,
  measuredWords,
  valueWords,
  colorsOf,
  fittingColor,
  ruleOf,
  shareRanks,
} from "../../figure";

const head = (key: string, label: string): Head => ({
  key,
  kind: "value",
  name: label,
  label,
  tone: Number(key.slice(1)),
});
const cell = (value: string | null) => ({ value, records: Number(value ?? 0), empties: 0 });
const [desk, web] = [head("v1", "Desk"), head("v2", "Web")];
const [p1, p2] = [head("v1", "P1"), head("v2", "P2")];
const row = (path: Head[], parts: (string | null)[]): AnswerRow => ({
  path,
  cells: [cell(String(parts.reduce((sum, part) => sum + Number(part ?? 0), 0)))],
  parts: parts.map((part) => [cell(part)]),
});

/** Teams and priorities down, statuses across. */
const answer: CountAnswer = {
  kind: "count",
  measures: [{ words: "count", unit: null, additive: true, isDate: false }],
  rows: [row([desk, p1], ["1", "2"]), row([desk, p2], ["3", null]), row([web, p1], ["10", "4"])],
  tiers: [[row([desk], ["4", "2"]), row([web], ["10", "4"])]],
  split: [head("v7", "Logged"), head("v8", "Triaged")],
  total: [cell("20")],
  columnTotals: [[cell("14")], [cell("6")]],
  everything: null,
  before: null,
  manyValued: false,
  asOf: 0,
};
const pivot = (dress: Partial<Dress> = {}) => pivotOf(answer, DressSchema.parse(dress));
const drawn = (dress: Partial<Dress> = {}) =>
  pivot(dress).tables.flatMap((table) =>
    table.rows.map((one) => [one.label, ...one.cells.map((part) => part.words)]),
  );

describe("a pivot", () => {
  test("has a row for each tier, which is its subtotal, and a column for all", () => {
    expect(pivot().columns.map((column) => column.label)).toEqual(["Logged", "Triaged", "all"]);
    expect(drawn().map(([label]) => label)).toEqual(["Desk", "P1", "P2", "Web", "P1"]);
    expect(drawn()[0].slice(1)).toEqual(["4", "2", "6"]);
    expect(pivot().tables[0].total.map((one) => one.words)).toEqual(["14", "6", "20"]);
  });
  test("a cell without records is a dot and opens nothing", () => {
    const one = pivot().tables[0].rows[2].cells[1];
    expect(one.value).toBeNull();
  });
  test("a closed tier keeps its own row, and says how many are inside", () => {
    const closed = pivot({ closed: [pivot().tables[0].rows[0].key] }).tables[0].rows;
    expect(closed.map((one) => one.label)).toEqual(["Desk", "Web", "P1"]);
    expect(closed[0]).toMatchObject({ isClosed: true, inside: 2 });
  });
  test("one table for each of the first groups", () => {
    const { tables } = pivot({ pages: 1 });
    expect(
      tables.map((table) => [
        table.page[0].label,
        table.rows.length,
        table.total.map((one) => one.words),
      ]),
    ).toEqual([
      ["Desk", 2, ["4", "2", "6"]],
      ["Web", 1, ["10", "4", "14"]],
    ]);
  });
  test("rules tone cells below totals, the first that fits, and never a total", () => {
    const toned = pivot({
      rules: [{ kind: "over", value: 3, measure: 0, color: "c4", name: "many" }] as Dress["rules"],
    });
    const cells = toned.tables[0].rows
      .filter((one) => one.isLeaf)
      .flatMap((one) => one.cells.slice(0, 2));
    expect(cells.filter((one) => one.rule).map((one) => one.words)).toEqual(["10", "4"]);
    expect(toned.tables[0].rows[0].cells[0].rule).toBeUndefined();
    expect(toned.rules[0].cells).toBe(2);
  });
  test("sorted by a column, tiers among themselves", () => {
    expect(
      drawn({ pivotSort: { column: "v7", measure: 0, descending: true } }).map(([label]) => label),
    ).toEqual(["Web", "P1", "Desk", "P2", "P1"]);
  });
});

describe("values in words", () => {
  test.each([
    ["1234567", null, "1\u202f234\u202f567"],
    ["0.5", null, "0.5"],
    ["3.14159", null, "3.14"],
    ["90", "minutes", "1 h 30 min"],
    ["3360", "minutes", "56 h"],
    ["-45.5", "minutes", "−45.5 min"],
    [null, null, "–"],
    ["2026-11-24T15:30:00Z", null, "24 Nov 2026"],
  ])("%s %s is %s", (value, unit, words) => expect(valueWords(value, unit)).toBe(words));
  test("decimals and unit words of the builder's own", () =>
    expect(valueWords("3", null, { valueDecimals: 2, unitWords: "faults" })).toBe("3.00 faults"));
  test("a ratio is a percentage", () =>
    expect(measuredWords("0.125", { unit: null, isRatio: true })).toBe("12.5 %"));
  test.each([
    ["12", "10", "2 more (+20 %)"],
    ["8", "10", "2 less (−20 %)"],
    ["5", "0", "5 more, from nothing"],
    ["5", "5", "no change"],
    ["5", null, "nothing to compare with"],
    [null, "5", "nothing now"],
  ])("%s against %s: %s", (now, before, words) =>
    expect(changeWords(now, before, { unit: null })).toBe(words),
  );
});

describe("colours", () => {
  test("two that would look the same do not stand together", () => {
    const heads = [head("v1", "a"), head("v9", "b")];
    expect(new Set(colorsOf(heads)).size).toBe(2);
  });
  test("names of colours and of health propose one", () => {
    expect([
      fittingColor("Blue"),
      fittingColor("on track"),
      fittingColor("At risk"),
      fittingColor("Kiosk"),
    ]).toEqual(["c1", "g1", "g2", undefined]);
  });
  test("the largest share is that of the largest values", () => {
    const ranks = shareRanks(["1", "9", "5", null]);
    expect(ranks[1]).toBeLessThan(ranks[2]);
    expect(
      ruleOf("9", [{ kind: "top share", value: 40, measure: 0, color: "c4", name: "" }], ranks[1]),
    ).toBeDefined();
    expect(
      ruleOf(null, [{ kind: "under", value: 40, measure: 0, color: "c4", name: "" }], 0),
    ).toBeUndefined();
  });
});
