import { readCell } from "./cells";
import type { CellKind } from "./model";
import { bills, wrongBudget, wrongChanges, wrongProject, type BudgetChange } from "./projectRules";
import type { ReadRow } from "./readBundle";
import { wrongSetting } from "./settings";

const row = (index: number, on: string, from: string, to: string): ReadRow => ({
  index,
  values: { on, from, to },
});
const kept = (on: string, from: string, to: string): BudgetChange => ({ on, from, to });
const told = (wrong: ReturnType<typeof wrongChanges>) =>
  wrong.map(({ row: { index }, wrong: { column } }) => [index, column]);

describe("the changes of a budget tell one story", () => {
  test("in whatever order they stand, with those that are kept", () => {
    const brought = [row(0, "2026-03-01", "20", "30.00"), row(1, "2026-02-01", "15", "20")];
    expect(wrongChanges(brought, [kept("2026-01-01", "10", "15.0")], "30")).toEqual([]);
  });
  test("one that does not begin with what the one before left is told, and no other", () => {
    const brought = [row(0, "2026-02-01", "10", "20"), row(1, "2026-03-01", "25", "30")];
    expect(told(wrongChanges(brought, [], "20"))).toEqual([[1, "from"]]);
  });
  test("the last leaves the budget that the project has; those before it fall with it", () => {
    const brought = [row(0, "2026-02-01", "10", "20"), row(1, "2026-03-01", "20", "30")];
    expect(told(wrongChanges(brought, [], "40"))).toEqual([
      [1, "to"],
      [0, "to"],
    ]);
  });
  test("one that comes again corrected takes the place of what is kept", () => {
    const before = [kept("2026-02-01", "10", "20")];
    expect(wrongChanges([row(0, "2026-02-01", "10", "25")], before, "25")).toEqual([]);
  });
  test("a budget without a change of its own is what the kept ones lead to", () => {
    const project = {
      client: null,
      billing: null,
      budget: "20",
      changes: [kept("2026-02-01", "10", "20")],
    };
    expect(wrongBudget({ budget: "21" }, project)).toEqual({
      column: "budget",
      reason: '"21" is not the budget after its changes, which is "20"',
    });
    expect(wrongBudget({ budget: "20.00" }, project)).toBeNull();
    expect(wrongBudget({ budget: "21" }, { ...project, changes: [] })).toBeNull();
    expect(wrongBudget({ budget: "21" }, undefined)).toBeNull();
  });
});

test("a project bills by time where a client is named and nothing else is said", () => {
  expect([
    bills({}),
    bills({ client: "Pell council" }),
    bills({ client: "Pell council", billing: "none" }),
    bills({ billing: "fixed" }),
  ]).toEqual([false, true, false, true]);
});

test("a fixed price is said, and a project ends after it began", () => {
  expect(wrongProject({ billing: "fixed", price: null })?.column).toBe("price");
  expect(wrongProject({ billing: "fixed", price: "0" })).toBeNull();
  expect(wrongProject({ started_on: "2026-02-01", finished_on: "2026-01-31" })?.column).toBe(
    "finished_on",
  );
  expect(wrongProject({ started_on: "2026-02-01", finished_on: "2026-02-01" })).toBeNull();
});

test.each<[CellKind, string, string | null]>([
  ["amount", "-10.05", null],
  ["amount", "10.005", "has more than 2 decimals"],
  ["cost", "-0.01", "is below 0"],
  ["rate", "60.1234", null],
  ["rate", "60.12345", "has more than 4 decimals"],
  ["percent", "100", null],
  ["percent", "100.1", "is not between 0 and 100"],
  ["worked minutes", "0", "is not over 0 and at most 1440"],
  ["worked minutes", "1440", null],
  ["minutes a day", "0", null],
  ["part", "1", null],
  ["part", "0", "is not over 0 and at most 1"],
  ["week", "2026-W53", null],
  ["week", "2025-W53", "is not a week"],
  ["weekdays", "Mon;Tue", null],
  ["weekdays", "Monday", "are not days"],
  ["billing", "monthly", "is not time, fixed or none"],
])("%s: %s", (kind, text, wrong) => {
  const cell = readCell(text, kind, "Europe/Lisbon");
  if (wrong === null) expect(cell).toEqual({ value: text });
  else expect(cell).toEqual({ reason: expect.stringContaining(wrong) });
});

test("amounts have the decimals of the currency", () => {
  expect(readCell("10.5", "amount", "UTC", 0)).toEqual({
    reason: '"10.5" has more than 0 decimals',
  });
});

test.each([
  ["money_seen_by", "administrator;builder", true],
  ["money_seen_by", "everyone", false],
  ["labour_costs", "time entries", true],
  ["labour_costs", "yes", false],
  ["schedule_limits", "5;15;31", true],
  ["schedule_limits", "15;5;31", false],
  ["cost_limits", "100;110", true],
  ["cost_limits", "100", false],
  ["health_words", "well;worried", true],
  ["health_words", "well;well", false],
  ["health_words", ";", false],
])("%s may be %s: %s", (setting, value, fits) => {
  expect(wrongSetting(setting, value) === null).toBe(fits);
});
