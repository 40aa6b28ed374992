import { nextRun, scheduleText } from ".";
import { instantText, parseInstant } from "../time";

const lisbon = { zone: "Europe/Lisbon" };
const next = (every: "day" | "week" | "month", on: number, at: string, after: string) =>
  instantText(nextRun({ every, on, at }, parseInstant(after)!, lisbon));

test.each([
  ["day", 1, "07:30", "2026-11-24T07:29:00Z", "2026-11-24T07:30:00Z"],
  ["day", 1, "07:30", "2026-11-24T07:30:00Z", "2026-11-25T07:30:00Z"],
  ["week", 1, "08:00", "2026-11-24T12:00:00Z", "2026-11-30T08:00:00Z"],
  ["week", 2, "08:00", "2026-11-24T07:00:00Z", "2026-11-24T08:00:00Z"],
  ["month", 31, "06:00", "2026-02-10T00:00:00Z", "2026-02-28T06:00:00Z"],
  ["month", 31, "06:00", "2026-02-28T06:00:00Z", "2026-03-31T05:00:00Z"],
  ["month", 1, "06:00", "2026-12-05T00:00:00Z", "2027-01-01T06:00:00Z"],
] as const)("each %s (%i) at %s after %s is %s", (every, on, at, after, due) =>
  expect(next(every, on, at, after)).toBe(due),
);

test("it keeps to the local clock when the clock is changed", () => {
  expect(next("day", 1, "09:00", "2026-03-28T10:00:00Z")).toBe("2026-03-29T08:00:00Z");
  expect(next("day", 1, "01:30", "2026-03-28T10:00:00Z")).toBe("2026-03-29T01:30:00Z");
});
test("it is told in words", () => {
  expect(scheduleText({ every: "week", on: 1, at: "07:30" })).toBe("each Monday at 07:30");
  expect(scheduleText({ every: "month", on: 31, at: "07:30" })).toBe(
    "each month on the last day at 07:30",
  );
});
