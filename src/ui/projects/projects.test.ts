import fc from "fast-check";
import type { CountAnswer, ShownRecords } from "@/core/kinds";
import { bookedOf, bookedSays } from "./booked";
import { conditionOf, fits, NARROWING_ADDRESS, valuesOf } from "./narrowing";
import { lacking, needsHand, portfolioRows, portfolioWords } from "./verdicts";

const FIELDS = ["project", "portfolio", "schedule verdict", "cost verdict", "budget"];
const rowsOf = (...rows: readonly (string | null)[][]) =>
  portfolioRows({
    count: rows.length,
    columns: FIELDS.map((words) => ({ field: [words], words, align: "left" as const })),
    rows: rows.map((cells, id) => ({ id, key: cells[0], cells })),
  } satisfies ShownRecords);

const ROWS = rowsOf(
  ["Quay", "Landings", "late", "within budget", "30 000"],
  ["Refit", "Fleet", "at risk", "over budget", "40 000"],
  ["Site", "Fleet", "on time", "tight", null],
  ["Roofs", null, "finished", "within budget", "8 000"],
  ["Timetable", null, null, null, null],
);

describe("a portfolio", () => {
  test("says in one sentence how its projects are", () => {
    expect(portfolioWords(ROWS)).toBe(
      "Of 5 projects, 1 is on time, 1 at risk and 1 late; 1 costs more than budgeted.",
    );
    expect(portfolioWords(ROWS.slice(4))).toBe("Of 1 project, none has dates or progress yet.");
  });
  test("has those first that need a hand", () => {
    const sorted = [...ROWS].sort((a, b) => needsHand(b) - needsHand(a));
    expect(sorted.map((row) => row.name).slice(0, 2)).toEqual(["Refit", "Quay"]);
    expect(sorted.at(-1)!.name).not.toBe("Site");
  });
  test("tells what a project lacks for its place in the picture", () =>
    expect(lacking(ROWS[4])).toBe("a budget, planned progress and progress"));
});

describe("what the projects are narrowed by", () => {
  test("is a condition in words, with names in quotes where they need it", () => {
    expect(conditionOf({}, "stage is not finished")).toBe(" where stage is not finished");
    expect(conditionOf({ portfolio: "Fleet", client: "Isle of Brack" })).toBe(
      ' where portfolio is Fleet and client is "Isle of Brack"',
    );
    expect(conditionOf({ portfolio: "not set" })).toBe(" where portfolio is not set");
    expect(conditionOf({})).toBe("");
  });
  test("leaves those that fit, and offers what there is, what is not set last", () => {
    expect(ROWS.filter((row) => fits(row, { portfolio: "Fleet" }))).toHaveLength(2);
    expect(ROWS.filter((row) => fits(row, { portfolio: "not set" }))).toHaveLength(2);
    expect(valuesOf(ROWS, "portfolio")).toEqual(["Fleet", "Landings", "not set"]);
    expect(valuesOf(ROWS.slice(3), "portfolio")).toEqual([]);
  });
  test("stands in the address as it is", () =>
    fc.assert(
      fc.property(
        fc.record(
          { portfolio: fc.stringMatching(/^[^~]{1,20}$/), health: fc.constant("stuck") },
          { requiredKeys: [] },
        ),
        (narrowing) => {
          const text = NARROWING_ADDRESS.write(narrowing);
          expect(text === null ? {} : NARROWING_ADDRESS.read(text)).toEqual(narrowing);
        },
      ),
    ));
});

test("who is booked is told in percent of what they can work, the most booked first", () => {
  const cell = (value: string | null) => ({ value, records: 1, empties: 0 });
  const head = (key: string, label: string, name: string | null = null) => ({
    key,
    label,
    name,
    kind: "value" as const,
    tone: null,
  });
  const row = (label: string, ...weeks: (readonly [string | null, string | null])[]) => ({
    path: [head(label, label)],
    cells: [],
    parts: weeks.map(([worked, capacity]) => [cell(worked), cell(capacity)]),
  });
  const answer = {
    rows: [row("Ana", ["600", "2400"], [null, "0"]), row("Cal", ["2700", "2400"], ["0", "480"])],
    split: [head("v1", "W48", "2026-11-23"), head("v2", "W49", "2026-11-30")],
  } as unknown as CountAnswer;
  expect(bookedOf(answer)).toEqual({
    weeks: ["23 Nov", "30 Nov"],
    rows: [
      { key: "Cal", name: "Cal", weeks: [113, 0] },
      { key: "Ana", name: "Ana", weeks: [25, null] },
    ],
  });
  expect(bookedSays("2026-11-24")).toContain("2026-11-23 to 2027-01-17");
});
