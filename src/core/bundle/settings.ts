import { DEFAULT_MONEY_SETTINGS, MONEY_SETTINGS } from "../catalog";
import { isZone, WEEKDAYS } from "../time";

export const DEFAULT_SETTINGS: Readonly<Record<string, string>> = {
  time_zone: "UTC",
  week_starts: "Mon",
  fiscal_year_starts: "1",
  working_days: "Mon;Tue;Wed;Thu;Fri",
  working_hours: "09:00-17:00",
  locale: "en",
  currency: "EUR",
  ...DEFAULT_MONEY_SETTINGS,
};

/** What may stand in each setting of workspace.csv. */
const FITS: Readonly<Record<string, (value: string) => boolean>> = {
  time_zone: isZone,
  week_starts: (value) => value === "Mon" || value === "Sun",
  fiscal_year_starts: (value) => /^([1-9]|1[0-2])$/.test(value),
  working_days: (value) => value.split(";").every((day) => WEEKDAYS.includes(day.trim())),
  working_hours: (value) =>
    /^([01]\d|2[0-3]):[0-5]\d-(([01]\d|2[0-3]):[0-5]\d|24:00)$/.test(value) &&
    value.slice(0, 5) < value.slice(6),
  locale: (value) => /^[a-z]{2,3}(-[A-Za-z0-9]+)*$/.test(value),
  currency: (value) => value !== "",
  ...MONEY_SETTINGS,
};

/** Why a row of workspace.csv may not come in; null for a good one. */
export function wrongSetting(
  setting: string,
  value: string | null,
): { column: string; reason: string } | null {
  const text = value ?? "";
  if (!(setting in FITS)) return { column: "setting", reason: `"${setting}" is not a setting` };
  return FITS[setting](text)
    ? null
    : { column: "value", reason: `"${text}" does not fit ${setting}` };
}
