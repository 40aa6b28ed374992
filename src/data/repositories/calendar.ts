import type { PoolClient } from "pg";
import { DEFAULT_SETTINGS, readCalendar } from "@/core/bundle";
import type { WorkCalendar } from "@/core/time";

/** How the workspace reckons time, and its settings. */
export async function loadCalendar(
  client: PoolClient,
): Promise<{ calendar: WorkCalendar; settings: Record<string, string> }> {
  const stored = (
    await client.query<{ setting: string; value: string }>("SELECT setting, value FROM settings")
  ).rows;
  const settings = {
    ...DEFAULT_SETTINGS,
    ...Object.fromEntries(stored.map((row) => [row.setting, row.value])),
  };
  const holidays = (await client.query<{ day: string }>("SELECT day::text FROM holidays")).rows.map(
    (row) => row.day,
  );
  const told = JSON.stringify([settings, holidays]);
  if (last?.told !== told) last = { told, calendar: readCalendar(settings, holidays) };
  return { calendar: last.calendar, settings };
}

/** The calendar that was read last: as long as nothing in it changes it is one object, and its clock is made once. */
let last: { readonly told: string; readonly calendar: WorkCalendar } | undefined;
