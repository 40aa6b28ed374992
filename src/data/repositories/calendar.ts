import type { PoolClient } from "pg";
import { DEFAULT_SETTINGS, readCalendar } from "@/core/bundle";
import type { WorkCalendar } from "@/core/time";

/** How the workspace reckons time, and its settings. */
export async function loadCalendar(client: PoolClient): Promise<{ calendar: WorkCalendar; settings: Record<string, string> }> {
  const stored = (await client.query<{ setting: string; value: string }>("SELECT setting, value FROM settings")).rows;
  const settings = { ...DEFAULT_SETTINGS, ...Object.fromEntries(stored.map((row) => [row.setting, row.value])) };
  const holidays = (await client.query<{ day: string }>("SELECT day::text FROM holidays")).rows.map((row) => row.day);
  return { calendar: readCalendar(settings, holidays), settings };
}
