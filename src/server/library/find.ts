import type { Found } from "@/contract/workspace";
import { parseSentence, printReport } from "@/core/kinds";
import { planRecords } from "@/core/kinds/planned";

import { folded } from "@/core/base";

import { type EntityManager, runPlan } from "@/data";
import { listDashboards } from "../dashboards/dashboards";
import type { Desk } from "../viewer/viewpoint";
import { listReports } from "./reports";

/** What the quick box offers for some words: an item of that key, a sentence, and reports, dashboards and items by name. */
export async function find(em: EntityManager, desk: Desk, words: string): Promise<Found[]> {
  const asked = words.trim();
  if (!asked) return [];
  const { catalog } = desk.view;
  const found: Found[] = [];
  const parsed = parseSentence(asked, desk.view);
  if (parsed.ok)
    found.push({
      kind: "sentence",
      words: printReport(parsed.value, catalog),
      about: "count it",
      href: `/reports/new?s=${encodeURIComponent(printReport(parsed.value, catalog))}`,
    });
  const test = (field: string, operator: "is" | "contains") => ({
    kind: "list" as const,
    subject: { id: "items" as const },
    showing: [],
    sorts: [],
    where: {
      kind: "test" as const,
      field: [field],
      operator,
      values: [{ kind: "text" as const, text: asked }],
    },
  });
  const ask = { showing: [["title"]], sorts: [], offset: 0, limit: 5 };
  const keyed = await runPlan(em, planRecords(test("key", "is"), ask, desk.view));
  const titled =
    asked.length > 2
      ? await runPlan(em, planRecords(test("title", "contains"), ask, desk.view))
      : { rows: [] };
  for (const row of keyed.rows)
    found.push({
      kind: "item",
      words: `${row.key} ${String(row.values[0] ?? "")}`,
      about: "item",
      href: `/items/${encodeURIComponent(row.key!)}`,
    });
  const near = folded(asked);
  for (const line of await listDashboards(em, desk.viewer))
    if (folded(line.name).includes(near))
      found.push({
        kind: "dashboard",
        words: line.name,
        about: "dashboard",
        href: `/dashboards/${line.id}`,
      });
  for (const line of await listReports(em, desk.viewer, catalog))
    if (folded(line.name).includes(near))
      found.push({
        kind: "report",
        words: line.name,
        about: "report",
        href: `/reports/${line.id}`,
      });
  for (const row of titled.rows)
    if (!found.some((one) => one.href.endsWith(`/items/${row.key}`)))
      found.push({
        kind: "item",
        words: `${row.key} ${String(row.values[0] ?? "")}`,
        about: "item",
        href: `/items/${encodeURIComponent(row.key!)}`,
      });
  return found.slice(0, 12);
}
