import {
  bucketsOf,
  parseInstant,
  parsePeriod,
  periodDatesText,
  periodText,
  resolvePeriod,
} from ".";
import { sampleCalendar } from "../../../tests/support/sample";

const now = parseInstant("2026-11-24T15:30:00Z")!;
const read = (text: string) => {
  const parsed = parsePeriod(text);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return parsed.value;
};
const datesOf = (text: string) => resolvePeriod(read(text), now, sampleCalendar);

test.each([
  ["2026-09 to 2026-11", "2026-09-01", "2026-11-30"],
  ["2026-Q1 to 2026-W30", "2026-01-01", "2026-07-26"],
  ["2026-10-15 to 2026", "2026-10-15", "2026-12-31"],
  ["FY26 to FY27-Q1", "2025-04-01", "2026-06-30"],
  ["2025 to 2026-03-01", "2025-01-01", "2026-03-01"],
])("a range joins any two units: %s", (text, from, to) => {
  expect(datesOf(text)).toMatchObject({ from, to });
  expect(periodText(read(text))).toBe(text);
});

test.each([
  ["1 Oct 2026", "2026-10-01"],
  ["October 2026", "2026-10"],
  ["oct 2026", "2026-10"],
  ["q3 2026", "2026-Q3"],
  ["Sept. 2026 to November 2026", "2026-09 to 2026-11"],
  ["1 October 2026 to 5 Nov 2026", "2026-10-01 to 2026-11-05"],
  ["last 1 hour", "last 1 hours"],
  ["last 3 Months To Date", "last 3 months to date"],
])("%s is read, and written as %s", (text, written) => {
  expect(periodText(read(text))).toBe(written);
  expect(read(written)).toEqual(read(text));
});

test.each([
  ["2026-11 to 2026-09", /2026-09 is before 2026-11/],
  ["2026-W20 to 2026-Q1", /is before/],
  ["2026-09 to soon", /no date soon/],
  ["31 Feb 2026", /no date 31 Feb 2026/],
  ["next 3 months to date", /not a period/],
  ["last 3 full months to date", /not a period/],
  ["last 5 business days to date", /not a period/],
  ["next 4 hours", /not a period/],
  ["last 0 hours", /from 1 to/],
  ["Mayhem 2026", /not a period/],
])("%s is refused", (text, message) => {
  const parsed = parsePeriod(text);
  expect(parsed.ok ? periodText(parsed.value) : parsed.problems[0].message).toMatch(message);
});

test("hours say their times of day, and an axis over them begins where they begin", () => {
  const dates = datesOf("last 24 hours");
  expect(periodDatesText(dates)).toBe("23 Nov 2026 15:30 to 24 Nov 2026 15:30");
  const buckets = bucketsOf(dates, "day", now, sampleCalendar);
  expect(buckets.map(({ from, partial, soFar }) => [from, partial, soFar])).toEqual([
    ["2026-11-23", true, false],
    ["2026-11-24", false, true],
  ]);
  expect([buckets[0].start, buckets[1].end]).toEqual([dates.start, dates.end]);
});

test("the units of a period to date are whole, but for the running one", () => {
  for (const text of ["last 3 months to date", "last 5 weeks to date", "last 2 quarters to date"]) {
    const grain = /month|week|quarter/.exec(text)![0] as "month";
    const buckets = bucketsOf(datesOf(text), grain, now, sampleCalendar);
    expect(buckets).toHaveLength(Number(/\d/.exec(text)![0]));
    expect(buckets.filter((one) => one.partial)).toEqual([]);
    expect(buckets.map((one) => one.soFar).indexOf(true)).toBe(buckets.length - 1);
  }
});
