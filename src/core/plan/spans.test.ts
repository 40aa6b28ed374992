import { parseSentence } from "../kinds";
import { CHANGES } from "../history";
import { Catalog } from "../catalog";
import { parseConditionText } from "../sentence";
import { nameText } from "../sentence/words";
import type { Condition } from "../filter";
import { sampleContext, sampleData, sampleView } from "../../../tests/support/sample";
import { tierOf } from "./tier";
import {
  borderOf,
  changesOfReport,
  changesOfTier,
  changesThatMatter,
  historyBuckets,
  isEnteredByChange,
} from "./spans";

const context = sampleContext();
const view = sampleView();
const where = (text: string): Condition => {
  const parsed = parseConditionText(text, "items", context);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problems[0].message}`);
  return parsed.value;
};
const team = nameText(context.catalog.names.list("team")[0].name);
/** Names of the bits, in words. */
const named = (bits: number): string[] =>
  Object.entries(CHANGES)
    .filter(([, bit]) => bits & bit)
    .map(([name]) => name);

describe("the changes that matter to a condition", () => {
  test.each([
    ["status is open", ["open"]],
    ["stage is open", ["open"]],
    ["status is not open", ["open"]],
    ["status is Triaged", ["status"]],
    ["stage is finished", ["status"]],
    ['status is any of (open, "Signed off")', ["status"]],
    ["status is open and priority is P1", ["priority", "open"]],
    ["not (priority is P1 or team is empty)", ["priority", "team"]],
    [`assignee's team is ${team}`, ["assignee"]],
    [
      "points over 3 or remaining estimate is empty or due before today",
      ["points", "remaining estimate", "due"],
    ],
    ["sprint is current and service is not set", ["service", "sprint"]],
    ['title contains "x" and tags is empty and created during 2026', []],
    ["age over 3 days", []],
    ["status as of 2026-06-30 is Triaged", []],
    ["status became Triaged", []],
    ['no link "holds up"', []],
  ])("%s: %j", (text, wanted) => {
    expect(named(changesThatMatter(where(text), view)).sort()).toEqual([...wanted].sort());
  });

  test("a saved filter brings its own, and those of the filter that it is of; a ring of filters ends", () => {
    const test = (field: string) => ({
      kind: "test" as const,
      field: [field],
      operator: "isEmpty" as const,
      values: [],
    });
    const filters = [
      {
        id: 901,
        name: "Loud",
        purpose: "",
        subject: { id: "items" as const },
        where: test("priority"),
      },
      {
        id: 902,
        name: "Loud and mine",
        purpose: "",
        subject: { id: "items" as const, filter: 901 },
        where: test("assignee"),
      },
      {
        id: 903,
        name: "Ring",
        purpose: "",
        subject: { id: "items" as const },
        where: { kind: "filter" as const, filter: 903 },
      },
    ];
    const own = { ...view, catalog: new Catalog({ ...sampleData, filters: filters as never }) };
    expect(named(changesThatMatter({ kind: "filter", filter: 902 }, own))).toEqual([
      "priority",
      "assignee",
    ]);
    expect(
      named(
        changesOfReport(
          {
            kind: "level",
            subject: { id: "items", filter: 902 },
          },
          own,
        ),
      ),
    ).toEqual(["priority", "assignee"]);
    expect(changesThatMatter({ kind: "filter", filter: 903 }, own)).toBe(0);
    expect(changesThatMatter({ kind: "filter", filter: 999 }, own)).toBe(0);
  });

  test("a split by a field looks at that field, one by cases at what the cases ask", () => {
    const tier = (sentence: string) => {
      const parsed = parseSentence(sentence, context);
      if (!parsed.ok || parsed.value.kind !== "count") throw new Error(sentence);
      return tierOf(parsed.value.by[0], view, "items");
    };
    expect(named(changesOfTier(tier("count items by priority"), view))).toEqual(["priority"]);
    expect(named(changesOfTier(tier("count items by tags"), view))).toEqual([]);
    expect(
      named(
        changesOfTier(
          tier(
            "count items by cases (Mine: assignee is me, Late: due before today and status is open)",
          ),
          view,
        ),
      ),
    ).toEqual(["assignee", "due", "open"]);
  });
});

describe("a state is certainly entered where a change that matters led to it", () => {
  test.each([
    "status is open",
    "priority is P1",
    "status is Triaged and priority is P1",
    'status is open and priority is P1 and title contains "x"',
    "assignee is empty",
    "priority is not set",
    'tags is empty or title contains "x"',
    "status as of 2026-06-30 is Triaged and status is open",
    "priority is any of (P1)",
  ])("of %s", (text) => expect(isEnteredByChange(where(text), view)).toBe(true));
  // From one of these values to another nothing is entered, though something changed.
  test.each([
    "priority is any of (P1, P2)",
    "priority is not P1",
    "status is open or priority is P1",
    "not (priority is P1)",
    "points over 3",
    "stage is finished",
    "assignee is not empty",
    "due before today",
    "status is open and priority is any of (P1, P2)",
  ])("not of %s", (text) => expect(isEnteredByChange(where(text), view)).toBe(false));
  test("without any condition nothing but being there counts", () =>
    expect(isEnteredByChange(undefined, view)).toBe(true));
  test("of a saved filter as of its condition", () => {
    const filters = [
      {
        id: 901,
        name: "Open",
        purpose: "",
        subject: { id: "items" as const },
        where: where("status is open"),
      },
      {
        id: 902,
        name: "Loud",
        purpose: "",
        subject: { id: "items" as const },
        where: where("priority is any of (P1, P2)"),
      },
    ];
    const own = { ...view, catalog: new Catalog({ ...sampleData, filters: filters as never }) };
    expect([901, 902].map((filter) => isEnteredByChange({ kind: "filter", filter }, own))).toEqual([
      true,
      false,
    ]);
  });
});

describe("instants of history", () => {
  test("a day means its end, an instant includes itself, and nothing is later than now", () => {
    const end = Date.UTC(2026, 9, 1) * 1000;
    expect(borderOf("2026-09-30", view)).toBe(end - 3_600_000_000);
    expect(borderOf("2026-09-30T12:00:00Z", view)).toBe(Date.UTC(2026, 8, 30, 12) * 1000 + 1);
    expect(borderOf("2030-01-01", view)).toBe(view.now + 1);
  });
  test("buckets that have not begun have no border, the one that is not over ends now", () => {
    const axis = historyBuckets({ kind: "unit", which: "this", unit: "year" }, "month", view);
    expect([axis.buckets.length, axis.begun, axis.borders.length]).toEqual([12, 11, 11]);
    expect(axis.borders[10]).toBe(view.now + 1);
    expect(axis.borders.every((border, i) => i === 0 || border > axis.borders[i - 1])).toBe(true);
  });
});
