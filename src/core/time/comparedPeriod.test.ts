import { comparedPeriod, instantText, parseInstant, parsePeriod, type Comparison } from ".";
import { sampleCalendar } from "../../../tests/support/sample";

const now = parseInstant("2026-11-24T15:30:00Z")!;
function compared(text: string, how: Comparison = "the period before") {
  const parsed = parsePeriod(text);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return comparedPeriod(parsed.value, how, now, sampleCalendar);
}

test.each([
  ["this month", "2026-10-01", "2026-10-31"],
  ["last month", "2026-09-01", "2026-09-30"],
  ["2026-Q2", "2026-01-01", "2026-03-31"],
  ["2026-W14", "2026-03-23", "2026-03-29"],
  ["2026", "2025-01-01", "2025-12-31"],
  ["FY26", "2024-04-01", "2025-03-31"],
  ["today", "2026-11-23", "2026-11-23"],
  ["last 7 days", "2026-11-11", "2026-11-17"],
  ["last 3 months", "2026-05-25", "2026-08-24"],
  ["2026-04-03 to 2026-05-01", "2026-03-05", "2026-04-02"],
])("%s is compared with %s to %s", (text, from, to) => {
  expect(compared(text)).toMatchObject({ from, to, soFar: false });
});

test("so far is compared with the same stretch of the unit before", () => {
  const { from, to, end, soFar } = compared("this month so far");
  expect({ from, to, end: instantText(end), soFar }).toEqual({
    from: "2026-10-01",
    to: "2026-10-24",
    end: "2026-10-24T14:30:00Z",
    soFar: true,
  });
  expect(compared("this week so far")).toMatchObject({ from: "2026-11-16", to: "2026-11-17" });
});
test("to date is compared with as many units before, as far into the last of them", () => {
  const { from, to, end, soFar } = compared("last 3 months to date");
  expect({ from, to, end: instantText(end), soFar }).toEqual({
    from: "2026-06-01",
    to: "2026-08-24",
    end: "2026-08-24T14:30:00Z",
    soFar: true,
  });
});

test("hours are compared with the hours before them, or the same a year earlier", () => {
  const before = compared("last 24 hours");
  expect([before.start, before.end].map(instantText)).toEqual([
    "2026-11-22T15:30:00Z",
    "2026-11-23T15:30:00Z",
  ]);
  const earlier = compared("last 24 hours", "a year earlier");
  expect([earlier.start, earlier.end].map(instantText)).toEqual([
    "2025-11-23T15:30:00Z",
    "2025-11-24T15:30:00Z",
  ]);
});

test("a year earlier keeps the dates, clamped", () => {
  expect(compared("2028-02-29", "a year earlier")).toMatchObject({
    from: "2027-02-28",
    to: "2027-02-28",
  });
  expect(compared("last 7 days", "a year earlier")).toMatchObject({
    from: "2025-11-18",
    to: "2025-11-24",
  });
});
