import type { Report } from "@/core/kinds";
import { planExport, type ExportQuery, type Opened, viewOf } from "@/core/kinds/planned";
import { runPlan, type EntityManager } from "@/data";
import { noSuchPart } from "../refused";

import { columnsOf } from "../reports/columns";
import type { Desk } from "../viewer/viewpoint";

/** The query for the records of a part. @throws Refused for a part that the report does not have */
export async function recordsQuery(
  em: EntityManager,
  desk: Desk,
  { report, opened }: { readonly report: Report; readonly opened?: Opened },
): Promise<ExportQuery> {
  const ask = { ...columnsOf(report), ...(opened ? { opened } : {}) };
  const query = await runPlan(em, planExport(report, ask, viewOf(report, desk.view)));
  if (!query) throw noSuchPart();
  return query;
}
