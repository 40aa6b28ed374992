import { subjects } from "@/core/catalog";
import type { Sort } from "@/core/definition";
import type { Report } from "@/core/kinds";

/** The columns and the order in which the records of a report are told: its own where it lists, else those of its subject. */
export function columnsOf(report: Report): {
  readonly showing: readonly (readonly string[])[];
  readonly sorts: readonly Sort[];
} {
  const own = "showing" in report ? report : { showing: [], sorts: [] };
  const usual = subjects[report.subject.id].showing.map((id) => [id]);
  return { showing: own.showing.length ? own.showing : usual, sorts: own.sorts };
}
