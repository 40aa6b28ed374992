import type { CountReport } from "./count/definition";
import type { ListReport } from "./list/definition";
import type { Report } from "./registry";
import { checkReport } from "./checkReport";
import { parseSentence } from "./parseSentence";
import { printReport } from "./printReport";
import { sampleContext } from "../../../tests/support/sample";

import { conditionText, UNKNOWN, valueText } from "../sentence";
import type { Test } from "../filter";

const context = sampleContext();
const count = (more: Partial<CountReport> = {}): CountReport => ({
  kind: "count",
  measures: [{ measure: "count" }],
  subject: { id: "items" },
  by: [],
  ...more,
});
const list = (more: Partial<ListReport> = {}): ListReport => ({
  kind: "list",
  subject: { id: "items" },
  showing: [],
  sorts: [],
  ...more,
});
const test_ = (field: string, operator: Test["operator"], values: Test["values"]): Test => ({
  kind: "test",
  field: [field],
  operator,
  values,
});
const codes = (report: Report) => checkReport(report, context).map((problem) => problem.code);
const status = { kind: "thing", thing: "status", id: 1 } as const;

describe("a definition that did not come from a sentence", () => {
  test("is fine when everything fits", () => {
    const report = count({
      where: {
        kind: "all",
        of: [
          test_("status", "is", [{ kind: "stage", stage: "open" }]),
          test_("points", "between", [
            { kind: "number", number: "1" },
            { kind: "number", number: "5" },
          ]),
        ],
      },
      by: [{ field: ["team"] }],
      shape: "bars",
    });
    expect(codes(report)).toEqual([]);
  });

  test("tells of fields that are gone, each at its place", () => {
    const report = count({
      where: test_("custom:99", "is", [{ kind: "text", text: "x" }]),
      by: [{ field: ["gone"] }],
      measures: [{ measure: "sum", field: ["gone too"] }],
    });
    const problems = checkReport(report, context);
    expect(problems.map((problem) => problem.path)).toEqual(
      expect.arrayContaining(["where 1", "by 1", "measure 1"]),
    );
    expect(codes(list({ showing: [["gone"]], sorts: [{ field: ["gone"] }] }))).toEqual([
      "report.noField",
      "report.noField",
    ]);
  });

  test("tells of a kind that is gone", () => {
    expect(codes(count({ subject: { id: "items", kind: 99 } }))).toEqual(["report.noKind"]);
  });

  test.each<[string, Test]>([
    ["contains of a number", test_("points", "contains", [{ kind: "text", text: "3" }])],
    ["over of a text", test_("title", "over", [{ kind: "number", number: "3" }])],
    ["include of one value", test_("status", "include", [status])],
    [
      "before of a status",
      test_("status", "before", [{ kind: "period", period: { kind: "day", which: "today" } }]),
    ],
  ])("%s: the operator does not fit", (_name, where) => {
    expect(codes(count({ where }))).toEqual(["report.operator"]);
  });

  test.each<[string, Test]>([
    ["a team for a status", test_("status", "is", [{ kind: "thing", thing: "team", id: 1 }])],
    ["a text for a number", test_("points", "over", [{ kind: "text", text: "3" }])],
    ["a number for a text", test_("title", "contains", [{ kind: "number", number: "3" }])],
    ["a thing for a date", test_("created", "since", [status])],
  ])("%s: the value does not fit", (_name, where) => {
    expect(codes(count({ where }))).toEqual(["report.value"]);
  });

  test.each<[string, Test]>([
    ["is with none", test_("status", "is", [])],
    ["is with two", test_("status", "is", [status, status])],
    ["between with one", test_("points", "between", [{ kind: "number", number: "1" }])],
    ["is empty with one", test_("points", "isEmpty", [{ kind: "number", number: "1" }])],
  ])("%s: another number of values", (_name, where) => {
    expect(codes(count({ where }))).toEqual(["report.values"]);
  });

  test("a measure needs a field that fits", () => {
    expect(codes(count({ measures: [{ measure: "sum" }] }))).toEqual(["report.measure"]);
    expect(codes(count({ measures: [{ measure: "average", field: ["title"] }] }))).toEqual([
      "report.measure",
    ]);
    expect(
      codes(
        count({
          by: [{ field: ["team"], top: { count: 3, by: { measure: "sum", field: ["title"] } } }],
        }),
      ),
    ).toEqual(["report.measure"]);
  });

  test("dates need a stretch, and nothing else has one", () => {
    expect(codes(count({ by: [{ field: ["created"] }] }))).toEqual(["report.grain"]);
    expect(codes(count({ by: [{ field: ["status"], grain: "month" }] }))).toEqual(["report.grain"]);
  });

  test("a period needs its one date group, and not too many stretches", () => {
    const period = { kind: "rolling", way: "last", count: 30, unit: "year" } as const;
    expect(codes(count({ period }))).toEqual(["report.whichDate"]);
    expect(codes(count({ period, by: [{ field: ["created"], grain: "day" }] }))).toEqual([
      "sentence.manyBuckets",
    ]);
    expect(codes(count({ period, by: [{ field: ["created"], grain: "month" }] }))).toEqual([]);
  });

  test("a shape that cannot show it is told", () => {
    expect(codes(count({ shape: "donut" }))).toEqual(["report.shape"]);
    expect(codes(list({ shape: "bars" }))).toEqual(["report.shape"]);
  });

  test("values of folds and hidden groups must fit their field", () => {
    expect(
      codes(count({ by: [{ field: ["status"], without: [{ kind: "number", number: "1" }] }] })),
    ).toEqual(["report.value"]);
    expect(
      codes(
        count({
          by: [
            { field: ["status"], folds: [{ name: "x", values: [{ kind: "text", text: "y" }] }] },
          ],
        }),
      ),
    ).toEqual(["report.value"]);
  });
});

describe("what is gone, or not the viewer's to know", () => {
  const hidden = test_("project", "is", [{ kind: "thing", thing: "project", id: 999 }]);
  test("is printed without a name", () => {
    expect(printReport(count({ where: hidden }), context.catalog)).toBe(
      `count items where project is "${UNKNOWN}"`,
    );
  });
  test("a field that is gone, too", () => {
    expect(printReport(count({ by: [{ field: ["custom:99"] }] }), context.catalog)).toBe(
      `count items by "${UNKNOWN}"`,
    );
  });
});

describe("wordings of conditions", () => {
  const a = test_("status", "is", [status]);
  const b = test_("points", "over", [{ kind: "number", number: "3" }]);
  test.each([
    [{ kind: "any", of: [a, b] } as const, "status is Logged or points over 3"],
    [{ kind: "not", of: a } as const, "not (status is Logged)"],
    [
      { kind: "all", of: [a, { kind: "any", of: [a, b] }] } as const,
      "status is Logged and (status is Logged or points over 3)",
    ],
    [
      { kind: "not", of: { kind: "any", of: [a, b] } } as const,
      "not (status is Logged or points over 3)",
    ],
  ])("%#", (condition, words) => {
    expect(conditionText(condition, context.catalog, "items")).toBe(words);
  });
  test.each([
    [{ kind: "text", text: "" } as const, '""'],
    [{ kind: "text", text: "top" } as const, '"top"'],
    [{ kind: "text", text: "a:b" } as const, '"a:b"'],
    [{ kind: "text", text: 'a"b\\c' } as const, '"a\\"b\\\\c"'],
    [{ kind: "text", text: "boat's" } as const, '"boat\'s"'],
    [{ kind: "text", text: "plain-1" } as const, "plain-1"],
    [{ kind: "flag", yes: true } as const, "yes"],
    [{ kind: "unset" } as const, "not set"],
    [{ kind: "number", number: "2.5", unit: "hours" } as const, "2.5 hours"],
  ])("the value %j is written %s", (value, words) => {
    expect(valueText(value, context.catalog)).toBe(words);
  });
});

test("a ratio of a date is refused, typed and as a definition", () => {
  const context = sampleContext();
  const typed = parseSentence("highest due per count of items", context);
  expect(typed).toMatchObject({
    ok: false,
    problems: [
      { code: "sentence.measure", message: "highest due is a date; a ratio needs two numbers" },
    ],
  });
  const report = {
    kind: "count",
    subject: { id: "items" },
    measures: [{ measure: "count", per: { measure: "lowest", field: ["created"] } }],
    by: [],
  } as const;
  expect(checkReport(report as never, context)).toMatchObject([
    { code: "report.measure", message: "lowest created is a date; a ratio needs two numbers" },
  ]);
});
