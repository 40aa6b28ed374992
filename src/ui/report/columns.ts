import { subjects } from "@/core/catalog";
import type { Report } from "@/core/kinds";

/** The columns that a report says for its records, or else the usual ones of its subject. */
export function columnsOf(report: Report): readonly (readonly string[])[] {
  const said = "showing" in report ? report.showing : [];
  return said.length ? said : subjects[report.subject.id].showing.map((id) => [id]);
}
