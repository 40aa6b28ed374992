import fc from "fast-check";
import {
  addDays,
  addMonths,
  bucketsOf,
  hasTooManyBuckets,
  dayOfNumber,
  daysText,
  endOfDay,
  instantIn,
  instantText,
  isoWeekOf,
  localDay,
  numberOfDay,
  parseDay,
  parseInstant,
  parsePeriod,
  periodText,
  resolvePeriod,
  startOfDay,
  startOfUnit,
  unitText,
  weekdayOf,
  BUCKET_GRAINS,
} from ".";
import { sampleCalendar } from "../../../tests/support/sample";
import { arbitraryPeriod } from "../../../tests/support/arbitraryConditions";

const at = (text: string) => parseInstant(text)!;
const ZONES = [
  "Europe/Lisbon",
  "America/Santiago",
  "America/Havana",
  "Asia/Kathmandu",
  "Australia/Lord_Howe",
  "UTC",
];

describe("instants and days", () => {
  test.each(["2026-11-24T15:30:00Z", "2026-10-31T23:59:59.999999Z", "1969-12-31T23:59:59.5Z"])(
    "%s is written as it was read",
    (text) => expect(instantText(at(text))).toBe(text),
  );
  test("offsets are taken into account", () =>
    expect(at("2026-11-24T17:30:00+02:00")).toBe(at("2026-11-24T15:30:00Z")));
  test.each([
    "2026-02-30T10:00:00Z",
    "2026-13-01T10:00:00Z",
    "2026-01-01T24:00:00Z",
    "2026-01-01",
    "soon",
    "",
  ])("%s is no instant", (text) => expect(parseInstant(text)).toBeNull());
  test.each(["2026-02-29", "2026-00-10", "26-01-01"])("%s is no day", (text) =>
    expect(parseDay(text)).toBeNull(),
  );
  test("29 February is a day in leap years only", () =>
    expect([parseDay("2028-02-29"), parseDay("2100-02-29")]).toEqual(["2028-02-29", null]));
  test("months are clamped to their last day", () =>
    expect([
      addMonths("2026-05-31", -3),
      addMonths("2028-02-29", 12),
      addMonths("2026-01-31", 1),
    ]).toEqual(["2026-02-28", "2029-02-28", "2026-02-28"]));
  test("week 53 belongs to the year of its Thursday", () =>
    expect([isoWeekOf("2027-01-03"), isoWeekOf("2026-12-28")]).toEqual([
      { year: 2026, week: 53 },
      { year: 2026, week: 53 },
    ]));
  test("what two dates share is said once", () =>
    expect([
      daysText("2026-10-01", "2026-10-31"),
      daysText("2026-08-25", "2026-11-24"),
      daysText("2025-12-31", "2026-01-01"),
      daysText("2026-10-01", "2026-10-01"),
    ]).toEqual([
      "1 to 31 Oct 2026",
      "25 Aug to 24 Nov 2026",
      "31 Dec 2025 to 1 Jan 2026",
      "1 Oct 2026",
    ]));
  test("day numbers are a bijection that keeps weekdays in step", () => {
    fc.assert(
      fc.property(fc.integer({ min: -200_000, max: 200_000 }), (n) => {
        const day = dayOfNumber(n);
        expect(numberOfDay(day)).toBe(n);
        expect(new Date(`${day}T00:00:00Z`).getTime()).toBe(n * 86_400_000);
        expect(weekdayOf(addDays(day, 1))).toBe((weekdayOf(day) % 7) + 1);
      }),
    );
  });
});

describe("local days", () => {
  test("a day with a clock change has 23 or 25 hours", () => {
    const hours = (day: string) =>
      (endOfDay(day, "Europe/Lisbon") - startOfDay(day, "Europe/Lisbon")) / 3_600_000_000;
    expect([hours("2026-03-29"), hours("2026-10-25"), hours("2026-11-24")]).toEqual([23, 25, 24]);
  });
  test("in a repeated hour the first of the two is meant, a skipped one moves on", () => {
    expect(instantText(instantIn("2026-10-25T01:30:00", "Europe/Lisbon")!)).toBe(
      "2026-10-25T00:30:00Z",
    );
    expect(instantText(instantIn("2026-03-29T01:30:00", "Europe/Lisbon")!)).toBe(
      "2026-03-29T01:30:00Z",
    );
  });
  test("every instant lies in the day that it is said to be of, in every zone", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ZONES),
        fc.integer({ min: at("2024-01-01T00:00:00Z"), max: at("2028-01-01T00:00:00Z") }),
        (zone, instant) => {
          const day = localDay(instant, zone);
          expect(startOfDay(day, zone) <= instant && instant < endOfDay(day, zone)).toBe(true);
        },
      ),
    );
  });
});

describe("periods", () => {
  const now = at("2026-11-24T15:30:00Z");
  test("a period is printed as it is read", () => {
    fc.assert(
      fc.property(arbitraryPeriod, (period) => {
        const parsed = parsePeriod(periodText(period));
        expect(parsed.ok && parsed.value).toEqual(period);
      }),
    );
  });
  test.each([
    "last moonth",
    "2026-13",
    "2026-W54",
    "last 0 days",
    "this 3 weeks",
    "last 3 full business days",
    "2027-W53",
    "",
    "2026-02-30",
  ])("%s is no period", (text) => expect(parsePeriod(text).ok).toBe(false));
  test("every period has its start before its end, and holds whole local days unless it is so far", () => {
    fc.assert(
      fc.property(arbitraryPeriod, (period) => {
        const dates = resolvePeriod(period, now, sampleCalendar);
        expect(dates.start).toBeLessThan(dates.end);
        if (period.kind === "hours") expect(dates.start).toBe(now - period.count * 3_600_000_000);
        else expect(dates.start).toBe(startOfDay(dates.from, sampleCalendar.zone));
        if (!dates.soFar) expect(dates.end).toBe(endOfDay(dates.to, sampleCalendar.zone));
      }),
    );
  });
  test("buckets cover the period without gap or overlap, by every grain", () => {
    fc.assert(
      fc.property(arbitraryPeriod, fc.constantFrom(...BUCKET_GRAINS), (period, grain) => {
        const dates = resolvePeriod(period, now, sampleCalendar);
        if (hasTooManyBuckets(dates, grain)) return;
        const buckets = bucketsOf(dates, grain, now, sampleCalendar);
        expect(buckets[0].from).toBe(dates.from);
        expect(buckets[buckets.length - 1].to).toBe(dates.to);
        buckets.slice(1).forEach((bucket, i) => expect(bucket.start).toBe(buckets[i].end));
        expect(buckets.filter((bucket) => bucket.soFar).length).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });
  test("units are called by their trade names", () => {
    expect([
      unitText("2026-11-01", "month", sampleCalendar),
      unitText("2026-10-01", "quarter", sampleCalendar),
      unitText("2026-10-01", "fiscal quarter", sampleCalendar),
      unitText("2026-04-01", "fiscal year", sampleCalendar),
    ]).toEqual(["Nov 2026", "Q4 2026", "FY27-Q3", "FY27"]);
  });
  test("fiscal quarters begin with the fiscal year", () =>
    expect(
      startOfUnit("2026-03-31", "fiscal quarter", { ...sampleCalendar, fiscalYearStarts: 2 }),
    ).toBe("2026-02-01"));
});
