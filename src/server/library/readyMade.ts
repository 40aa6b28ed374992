import { PLAIN_DRESS, DressSchema } from "@/core/definition";
import { parseSentence } from "@/core/sentence";
import { type EntityManager, loadViewer, withConnection } from "@/data";
import { systemClock } from "../clock";
import { saveDashboard } from "../dashboards/dashboards";
import { deskOf } from "../viewer/viewpoint";
import { saveReport, setPin } from "./reports";

/** Reports for the common jobs of a desk, as ordinary definitions. */
const REPORTS: readonly { readonly name: string; readonly sentence: string; readonly dress?: object }[] = [
  { name: "Open faults by priority", sentence: "count faults where status is open by priority split by status as stacked bars" },
  { name: "Open faults", sentence: "count faults where status is open as number" },
  { name: "Signed off this month", sentence: "count items where finished during this month so far as number" },
  { name: "Faults by service", sentence: "count faults where status is open by service top 6 as donut", dress: { labels: "both" } },
  { name: "Requests each week", sentence: "count requests by week of created for last 12 full weeks as columns" },
  { name: "Finished each month, by kind", sentence: "count items by month of finished for last 12 months split by kind as line" },
  { name: "Who carries what", sentence: "count items where status is open by assignee top 7 as bars" },
  { name: "Oldest open faults", sentence: "list faults where status is open showing key, title, priority, assignee, age sorted by age descending as list" },
  { name: "Days to finish, by team", sentence: "average lead time in days of items where finished during last 3 months by team as bars" },
];

/** [report, x, y, w, h] on twelve columns. */
const BOARD: readonly (readonly [string, number, number, number, number])[] = [
  ["Open faults by priority", 0, 0, 5, 6], ["Open faults", 5, 0, 2, 3], ["Signed off this month", 5, 3, 2, 3], ["Faults by service", 7, 0, 5, 6],
  ["Requests each week", 0, 6, 4, 6], ["Finished each month, by kind", 4, 6, 4, 6], ["Who carries what", 8, 6, 4, 6], ["Oldest open faults", 0, 12, 12, 6],
];

/** Saves the ready-made reports and a dashboard of them for a builder; sentences that the workspace has no fields for are left out. */
export async function makeReadyMade(em: EntityManager, login: string): Promise<void> {
  const person = await withConnection(em, async (client) => (await client.query<{ id: number }>("SELECT id FROM people WHERE login = $1", [login])).rows[0]?.id);
  const viewer = person === undefined ? null : await withConnection(em, (client) => loadViewer(client, person));
  if (!viewer) return;
  const { view } = await deskOf(em, viewer, systemClock);
  const ids = new Map<string, number>();
  for (const { name, sentence, dress } of REPORTS) {
    const parsed = parseSentence(sentence, view);
    if (!parsed.ok) continue;
    const saved = await saveReport(em, viewer, view, { name, definition: parsed.value, dress: dress ? DressSchema.parse(dress) : PLAIN_DRESS });
    if (saved.ok) ids.set(name, saved.value.id);
  }
  const tiles = BOARD.flatMap(([name, x, y, w, h], i) => (ids.has(name) ? [{ id: `t${i + 1}`, report: ids.get(name)!, x, y, w, h }] : []));
  const board = await saveDashboard(em, viewer, { name: "Desk morning", purpose: "What is open, who has it, and what came in?", tiles });
  if (board.ok) await setPin(em, viewer, "dashboard", board.value.id, true);
}
