import fc from "fast-check";
import {
  addDays,
  isWorkingDay,
  parsePeriod,
  resolvePeriod,
  parseInstant,
  weekdayOf,
  workingDayFrom,
} from ".";
import { sampleCalendar } from "../../../tests/support/sample";

const calendar = sampleCalendar;

describe("working days", () => {
  test("weekends and holidays are none", () => {
    expect(
      ["2026-11-20", "2026-11-21", "2026-11-22", "2026-11-23", "2026-11-24"].map((day) =>
        isWorkingDay(day, calendar),
      ),
    ).toEqual([true, false, false, false, true]);
  });
  test("the first one back is the day itself, if it is one", () => {
    expect(workingDayFrom("2026-11-24", 1, -1, calendar)).toBe("2026-11-24");
    expect(workingDayFrom("2026-11-23", 1, -1, calendar)).toBe("2026-11-20");
    expect(workingDayFrom("2026-11-21", 2, 1, calendar)).toBe("2026-11-25");
  });
  test("a calendar without any gives the day itself, and ends", () => {
    expect(workingDayFrom("2026-11-24", 3, -1, { ...calendar, workingDays: [] })).toBe(
      "2026-11-24",
    );
  });
  test("the last n business days have n of them, whatever lies between", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 700 }), (n, back) => {
        const now = parseInstant("2026-11-24T15:30:00Z")! - back * 86_400_000_000;
        const period = parsePeriod(`last ${n} business days`);
        if (!period.ok) throw new Error("not read");
        const { from, to } = resolvePeriod(period.value, now, calendar);
        let working = 0;
        for (let day = from; day <= to; day = addDays(day, 1))
          working += isWorkingDay(day, calendar) ? 1 : 0;
        expect(working).toBe(n);
        expect(isWorkingDay(from, calendar)).toBe(true);
      }),
    );
  });
  test("a week of Sunday to Thursday is one, too", () => {
    const other = { ...calendar, workingDays: [7, 1, 2, 3, 4] };
    expect(isWorkingDay("2026-11-22", other)).toBe(weekdayOf("2026-11-22") === 7);
    expect(isWorkingDay("2026-11-20", other)).toBe(false);
  });
});
