import { ReportSchema } from "./schemas";
import { DashboardSchema, DressSchema } from "../definition/schemas";
import { CountSchema } from "./count/schema";
import { ListSchema } from "./list/schema";

import { shapeInput } from "./conflicts";
import { sampleContext } from "../../../tests/support/sample";
import { PLAIN_DRESS } from "../definition";

const count = { kind: "count", measures: [{ measure: "count" }], subject: { id: "items" }, by: [] };

describe("definitions", () => {
  test("of a count and of a list are told apart by their kind", () => {
    expect(ReportSchema.parse(count).kind).toBe("count");
    expect(
      ReportSchema.parse({ kind: "list", subject: { id: "moves" }, showing: [], sorts: [] }).kind,
    ).toBe("list");
  });
  test.each([
    ["no measure", { ...count, measures: [] }],
    ["seven measures", { ...count, measures: Array(7).fill({ measure: "count" }) }],
    ["four groups", { ...count, by: Array(4).fill({ field: ["team"] }) }],
    ["a measure nobody has", { ...count, measures: [{ measure: "mode" }] }],
    ["a subject nobody has", { ...count, subject: { id: "boats" } }],
    ["a shape nobody has", { ...count, shape: "spiral" }],
    ["a top of none", { ...count, by: [{ field: ["team"], top: { count: 0 } }] }],
    [
      "a fold without values",
      { ...count, by: [{ field: ["team"], folds: [{ name: "x", values: [] }] }] },
    ],
    ["a condition nobody knows", { ...count, where: { kind: "maybe" } }],
    [
      "an operator nobody knows",
      { ...count, where: { kind: "test", field: ["team"], operator: "resembles", values: [] } },
    ],
    [
      "a number that is none",
      {
        ...count,
        where: {
          kind: "test",
          field: ["points"],
          operator: "over",
          values: [{ kind: "number", number: "1e9" }],
        },
      },
    ],
    [
      "a period that never ends",
      { ...count, period: { kind: "rolling", way: "last", count: 99_999, unit: "day" } },
    ],
  ])("%s is refused", (_name, given) => expect(CountSchema.safeParse(given).success).toBe(false));
  test("a list has at most 40 columns", () => {
    const list = (n: number) =>
      ListSchema.safeParse({
        kind: "list",
        subject: { id: "items" },
        showing: Array(n).fill(["key"]),
        sorts: [],
      }).success;
    expect([list(40), list(41)]).toEqual([true, false]);
  });
  test("what shapes ask about a report", () => {
    const { catalog } = sampleContext();
    expect(
      shapeInput(
        CountSchema.parse({ ...count, by: [{ field: ["team"] }], split: { field: ["kind"] } }),
        catalog,
      ),
    ).toEqual({
      kind: "count",
      groups: 1,
      split: true,
      measures: 1,
      beside: false,
      additive: true,
      oneValue: false,
      isTime: false,
      hasDays: false,
    });
    expect(
      shapeInput(
        CountSchema.parse({ ...count, measures: [{ measure: "median", field: ["points"] }] }),
        catalog,
      ).additive,
    ).toBe(false);
    const oneValue = (...measures: object[]) =>
      shapeInput(CountSchema.parse({ ...count, measures }), catalog).oneValue;
    const days = { field: ["lead time"], unit: "days" };
    expect(oneValue({ measure: "median", ...days }, { measure: "p85", ...days })).toBe(true);
    expect(
      oneValue(
        { measure: "median", ...days },
        { measure: "p85", field: ["lead time"], unit: "hours" },
      ),
    ).toBe(false);
    expect(
      oneValue({ measure: "median", ...days }, { measure: "p85", ...days, working: true }),
    ).toBe(false);
    expect(oneValue({ measure: "median", ...days }, { measure: "count" })).toBe(false);
    expect(oneValue({ measure: "sum", field: ["points"] })).toBe(false);
    expect(oneValue({ measure: "distinct", field: ["points"] })).toBe(false);
    expect(oneValue({ measure: "highest", field: ["created"] })).toBe(false);
  });
});

describe("dress", () => {
  test("that says nothing is plain", () => expect(DressSchema.parse({})).toEqual(PLAIN_DRESS));
  test.each([
    [{ decimals: 5 }],
    [{ order: "random" }],
    [{ labels: "some" }],
    [{ base: "half" }],
    [{ title: "x".repeat(201) }],
  ])("%j is refused", (given) => expect(DressSchema.safeParse(given).success).toBe(false));
});

describe("dashboards", () => {
  test("names are trimmed, and needed", () => {
    expect(DashboardSchema.parse({ name: "  Morning ", tiles: [] })).toEqual({
      name: "Morning",
      purpose: "",
      tiles: [],
      decks: [],
      filters: [],
    });
    expect(DashboardSchema.safeParse({ name: "  ", tiles: [] }).success).toBe(false);
  });
  test("sixty tiles at the most", () => {
    const tiles = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ id: `t${i}`, report: 1, x: 0, y: i, w: 4, h: 4 }));
    expect([
      DashboardSchema.safeParse({ name: "a", tiles: tiles(60) }).success,
      DashboardSchema.safeParse({ name: "a", tiles: tiles(61) }).success,
    ]).toEqual([true, false]);
  });
});

test("the plain dress is what nothing said of a dress comes to", () =>
  expect(DressSchema.parse({})).toEqual(PLAIN_DRESS));
