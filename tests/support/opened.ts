import type { Report } from "@/core/kinds";
import {
  planExport,
  planRecords,
  type ExportQuery,
  type RecordsAnswer,
  type RecordsAsk,
} from "@/core/kinds/planned";
import type { Plan } from "@/core/plan";
import type { Viewpoint } from "@/core/relation";

function thatIsThere<T>(found: T | null): T {
  if (found === null) throw new Error("the report has no such part");
  return found;
}

/** The records of a part that must be there. */
export function* openedRecords(
  report: Report,
  ask: RecordsAsk,
  view: Viewpoint,
): Plan<RecordsAnswer> {
  return thatIsThere(yield* planRecords(report, ask, view));
}

export function* exportedRecords(
  report: Report,
  ask: Parameters<typeof planExport>[1],
  view: Viewpoint,
): Plan<ExportQuery> {
  return thatIsThere(yield* planExport(report, ask, view));
}
