import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import { allOfParts, topParts, type Condition, type Test } from "@/core/filter";
import type { Report } from "@/core/kinds";
import { parseConditionText } from "@/core/sentence";
import { withWhere } from "./pickers/where";

/** Which conditions readers may change, and what a reader chose in place of the builder's: by field, in the words of the sentence. */
export type Chosen = Readonly<Record<string, string>>;

export const isOn = (condition: Condition, field: string): condition is Test =>
  condition.kind === "test" && condition.field.join("/") === field;

/** The report as a reader asks it: each chosen condition in the place of the builder's. What does not read is left as the builder said. */
export function asRead(report: Report, dress: Dress, chosen: Chosen, context: AskContext): Report {
  const fields = dress.readers
    .map((reader) => reader.field)
    .filter((field) => chosen[field] !== undefined);
  if (fields.length === 0) return report;
  const parts = topParts(report.where).map((part) => {
    const field = fields.find((one) => isOn(part, one));
    const read = field && parseConditionText(chosen[field], report.subject.id, context);
    return read && read.ok ? read.value : part;
  });
  return withWhere(report, allOfParts(parts));
}
