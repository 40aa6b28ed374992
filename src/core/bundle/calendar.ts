import { WEEKDAYS, type Day, type WorkCalendar } from "../time";
import { DEFAULT_SETTINGS } from "./settings";

const minutes = (clock: string): number =>
  Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));

/** The calendar that the settings of a workspace (workspace.csv) describe; what is missing takes the defaults. */
export function readCalendar(
  settings: Readonly<Record<string, string>>,
  holidays: readonly Day[],
): WorkCalendar {
  const get = (name: string) => settings[name] || DEFAULT_SETTINGS[name];
  const [from, to] = get("working_hours").split("-");
  return {
    zone: get("time_zone"),
    weekStarts: get("week_starts") === "Sun" ? "Sun" : "Mon",
    fiscalYearStarts: Number(get("fiscal_year_starts")),
    workingDays: get("working_days")
      .split(";")
      .map((name) => WEEKDAYS.indexOf(name.trim()) + 1)
      .filter((day) => day > 0),
    workingHours: { from: minutes(from), to: minutes(to) },
    holidays: new Set(holidays),
    locale: get("locale"),
  };
}
