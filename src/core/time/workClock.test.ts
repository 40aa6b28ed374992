import fc from "fast-check";
import { parseInstant, WorkClock, workingDayMinutes, type WorkCalendar } from ".";

const lisbon: WorkCalendar = {
  zone: "Europe/Lisbon",
  weekStarts: "Mon",
  fiscalYearStarts: 1,
  workingDays: [1, 2, 3, 4, 5],
  workingHours: { from: 540, to: 1020 },
  holidays: new Set(["2026-11-05"]),
  locale: "en",
};
const at = (text: string) => parseInstant(text)!;
const hours = (from: string, to: string, calendar = lisbon) =>
  (new WorkClock(calendar).at(at(to)) - new WorkClock(calendar).at(at(from))) / 3_600_000_000;

test("only working hours of working days count", () => {
  expect(hours("2026-11-03T08:00:00Z", "2026-11-03T20:00:00Z")).toBe(8);
  expect(hours("2026-11-03T16:00:00Z", "2026-11-04T10:00:00Z")).toBe(2);
});
test("weekends and holidays count nothing", () => {
  expect(hours("2026-11-06T17:00:00Z", "2026-11-09T09:00:00Z")).toBe(0);
  expect(hours("2026-11-05T00:00:00Z", "2026-11-06T00:00:00Z")).toBe(0);
});
test("working hours are those of the local clock, before and after it is changed", () => {
  expect(hours("2026-10-23T08:00:00Z", "2026-10-23T09:00:00Z")).toBe(1);
  expect(hours("2026-10-26T08:00:00Z", "2026-10-26T09:00:00Z")).toBe(0);
  expect(hours("2026-10-26T09:00:00Z", "2026-10-26T10:00:00Z")).toBe(1);
});
test("a day that works round the clock has 23, 24 or 25 hours", () => {
  const always: WorkCalendar = {
    ...lisbon,
    workingDays: [1, 2, 3, 4, 5, 6, 7],
    workingHours: { from: 0, to: 1440 },
    holidays: new Set(),
  };
  expect(hours("2026-10-24T23:00:00Z", "2026-10-26T00:00:00Z", always)).toBe(25);
  expect(workingDayMinutes(always)).toBe(1440);
});
test("never runs backwards, never faster than the clock, and adds up", () => {
  const clock = new WorkClock(lisbon);
  const instant = fc.integer({ min: at("2019-01-01T00:00:00Z"), max: at("2030-01-01T00:00:00Z") });
  fc.assert(
    fc.property(instant, instant, (a, b) => {
      const [from, to] = a < b ? [a, b] : [b, a];
      const worked = clock.at(to) - clock.at(from);
      expect(worked >= 0 && worked <= to - from).toBe(true);
    }),
  );
});
