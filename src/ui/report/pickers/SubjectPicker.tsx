"use client";
import type { Subject } from "@/core/catalog";
import type { Report } from "@/core/definition";
import { checkReport } from "@/core/sentence";
import { tell } from "../../kit";
import { Choose } from "./Choose";
import type { PickerProps } from "./context";

/** Changes what is counted; parts that the new subject has no fields for fall away, and it says so. */
export function SubjectPicker({ context, report, onChange, onDone }: PickerProps) {
  const options = context.catalog.subjectNames().map(({ words, subject }) => ({ value: subject, label: words }));
  const choose = (subject: Subject) => {
    const next = { ...report, subject } as Report;
    if (checkReport(next, context).length) {
      tell("Parts that do not fit the new subject were left out.");
      onChange(report.kind === "count" ? { kind: "count", measures: [{ measure: "count" }], subject, by: [] } : { kind: "list", subject, showing: [], sorts: [] });
    } else onChange(next);
    onDone();
  };
  return <Choose label="What to count" options={options} chosen={[report.subject]} same={(a, b) => a.id === b.id && a.kind === b.kind} onChoose={choose} />;
}
