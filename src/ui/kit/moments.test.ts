import { dayText, longDayText } from "@/core/time";
import { momentWords } from "./moments";

test("moments are written as days are, in the zone of the workspace", () => {
  const { day, time } = momentWords("Europe/Lisbon");
  expect(time("2026-11-24T15:30:00Z")).toBe("Tue 24 Nov 2026 15:30");
  expect(time("2026-07-31T23:30:00Z")).toBe("Sat 1 Aug 2026 00:30");
  expect(day("2026-07-31T23:30:00Z")).toBe(longDayText("2026-08-01"));
});

test("every month has the name that it has elsewhere", () => {
  const { day } = momentWords("UTC");
  for (let month = 1; month <= 12; month += 1) {
    const date = `2026-${String(month).padStart(2, "0")}-15`;
    expect(day(`${date}T12:00:00Z`)).toContain(dayText(date));
  }
});
