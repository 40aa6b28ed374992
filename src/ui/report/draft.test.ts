import { proposedName } from "./draft";

describe("the name that is proposed", () => {
  test.each([
    ["count faults where status is open by priority as bars", "Open faults by priority"],
    [
      "count faults where status is open and team is my team by priority",
      "Open faults where team is my team by priority",
    ],
    ["list requests where assignee is me as list", "Requests where assignee is me"],
    ["average age in days of items by team", "Average age in days of items by team"],
    ["count items", "Items"],
    [
      `count faults by priority always P1, not set, "In a storm" split by team as bars`,
      "Faults by priority split by team",
    ],
  ])("of %s is %s", (sentence, name) => expect(proposedName(sentence)).toBe(name));
  test("of several measures names what is counted first", () =>
    expect(
      proposedName(
        "count where created during last month, count where status is open and team is not empty, of faults by status as bars",
      ),
    ).toBe("Faults by status: created during last month, status is open and team is not empty"));
  test("ends at a word where it is long", () => {
    const name = proposedName(`count items where title contains "${"one two ".repeat(40)}"`);
    expect(name.length).toBeLessThanOrEqual(120);
    expect(name).toMatch(/ (one|two)…$/);
  });
  test("is cut to a length that can be read", () =>
    expect(proposedName(`count items where title contains "${"x".repeat(400)}"`).length).toBe(120));
});
