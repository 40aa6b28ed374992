import type { Report } from "./registry";
import { brokenParts } from "./brokenParts";
import { checkReport } from "./checkReport";
import { dressDifferences, reportDifferences } from "./differences";
import { parseSentence } from "./parseSentence";
import { printReport } from "./printReport";
import { PLAIN_DRESS } from "../definition";
import { sampleContext } from "../../../tests/support/sample";

/** What two versions differ in, and what of an old one no longer holds. */
const context = sampleContext();
const read = (sentence: string): Report => {
  const parsed = parseSentence(sentence, context);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return parsed.value;
};
const differences = (before: string, after: string) =>
  reportDifferences(read(before), read(after), context.catalog).map(({ about, was, now }) => [
    about,
    was,
    now,
  ]);

describe("differences in words", () => {
  test.each([
    ["count faults by team", "count faults by team", []],
    [
      "count faults by team as bars",
      "count faults by team as columns",
      [["picture", "bars", "columns"]],
    ],
    [
      "count faults where status is open by team",
      "count faults by team",
      [["conditions", "status is open", null]],
    ],
    [
      "count faults by team",
      "count faults by priority split by team",
      [
        ["groups", "team", "priority"],
        ["split", null, "team"],
      ],
    ],
    [
      "count faults",
      "sum of points of stories",
      [
        ["what is measured", "count", "sum of points"],
        ["what is counted", "faults", "stories"],
      ],
    ],
    [
      "list faults showing key, title",
      "list faults showing key, title sorted by age descending",
      [["order", null, "age descending"]],
    ],
  ])("%s → %s", (before, after, expected) => expect(differences(before, after)).toEqual(expected));
  test("of a dress, by what changed", () => {
    expect(dressDifferences(PLAIN_DRESS, PLAIN_DRESS)).toEqual([]);
    expect(
      dressDifferences(PLAIN_DRESS, { ...PLAIN_DRESS, subtitle: "today", marks: false }).length,
    ).toBe(2);
  });
});

describe("parts that are gone", () => {
  const gone = {
    kind: "test",
    field: ["custom:99"],
    operator: "is",
    values: [{ kind: "text", text: "x" }],
  } as const;
  const whole = read(
    "count faults where status is open by team split by priority as stacked bars",
  ) as Report & { kind: "count" };
  test("a whole report has none", () => expect(brokenParts(whole, context)).toEqual([]));
  test.each([
    [
      "a condition",
      { ...whole, where: { kind: "all", of: [whole.where!, gone] } },
      /^where /,
      "count faults where status is open by team split by priority as stacked bars",
    ],
    [
      "a saved filter in a condition",
      { ...whole, where: { kind: "all", of: [whole.where!, { kind: "filter", filter: 77 }] } },
      /^where in filter/,
      "count faults where status is open by team split by priority as stacked bars",
    ],
    [
      "a group",
      { ...whole, split: undefined, by: [{ field: ["custom:99"] }] },
      /^by /,
      "count faults where status is open",
    ],
    [
      "a split",
      { ...whole, split: { field: ["custom:99"] } },
      /^split by /,
      "count faults where status is open by team",
    ],
    [
      "a measure",
      { ...whole, measures: [{ measure: "sum", field: ["custom:99"] }] },
      /^sum of /,
      "count faults where status is open by team split by priority",
    ],
  ])("%s is marked, and the rest stands without it", (_what, report, says, left) => {
    const [part, ...more] = brokenParts(JSON.parse(JSON.stringify(report)) as Report, context);
    expect(more).toEqual([]);
    expect(part.says).toMatch(says);
    expect(part.why).not.toBe("");
    expect(checkReport(part.without!, context)).toEqual([]);
    expect(printReport(part.without!, context.catalog)).toBe(left);
  });
  test("columns and orders of a list, each by itself", () => {
    const list = {
      ...read("list faults showing key, title sorted by key"),
      showing: [["key"], ["custom:99"]],
      sorts: [{ field: ["custom:98"] }],
    } as Report;
    const parts = brokenParts(list, context);
    expect(parts.map((part) => part.says.split(" ")[0])).toEqual(["showing", "sorted"]);
    expect(brokenParts(brokenParts(parts[0].without!, context)[0].without!, context)).toEqual([]);
  });
});
