import { DEFAULT_MONEY_SETTINGS } from "../catalog";
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

const parts = (text: string): string[] =>
  text
    .split(";")
    .map((part) => part.trim())
    .filter((part) => part !== "");

/** As many numbers of 0 or more as asked, the second not below the first. */
const areLimits = (text: string, count: number): boolean => {
  const limits = parts(text);
  return (
    limits.length === count &&
    limits.every((limit) => /^\d{1,6}(\.\d{1,4})?$/.test(limit)) &&
    Number(limits[0]) <= Number(limits[1])
  );
};

/** What may stand in each of the settings. */
const MONEY_SETTINGS: Readonly<Record<string, (text: string) => boolean>> = {
  money_seen_by: (text) =>
    parts(text).every((role) => ["administrator", "builder", "member"].includes(role)),
  labour_costs: (text) => text === "time entries" || text === "cost entries",
  schedule_limits: (text) => areLimits(text, 3),
  cost_limits: (text) => areLimits(text, 2),
  health_words: (text) => {
    const words = parts(text);
    return words.length > 0 && new Set(words).size === words.length;
  },
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
