"use client";
import { type Report, checkReport, isHistory, listsRecords } from "@/core/kinds";
import type { Subject } from "@/core/catalog";

import { tell, Choose } from "../../kit";
import type { PickerProps } from "./context";

/** Changes what is counted; parts that the new subject has no fields for fall away, and it says so. */
export function SubjectPicker({ context, report, onChange, onDone }: PickerProps) {
  const { catalog } = context;
  const isPast = isHistory(report);
  const options = [
    ...catalog
      .subjectNames()
      .filter(({ subject }) => !isPast || subject.id === "items")
      .map(({ words, subject }) => ({
        value: subject,
        label: words,
        group: subject.id === "items" ? "Items" : "Other records",
      })),
    ...catalog.filters
      .filter((filter) => !isPast || filter.subject.id === "items")
      .map((filter) => ({
        value: { ...filter.subject, filter: filter.id },
        label: `filter ${filter.name}`,
        group: "Saved filters",
      })),
  ];
  const choose = (subject: Subject) => {
    const next = { ...report, subject } as Report;
    if (checkReport(next, context).length) {
      tell("Parts that do not fit the new subject were left out.");
      onChange(
        listsRecords(report)
          ? { kind: "list", subject, showing: [], sorts: [] }
          : { kind: "count", measures: [{ measure: "count" }], subject, by: [] },
      );
    } else onChange(next);
    onDone();
  };
  return (
    <Choose
      label="What to count"
      options={options}
      chosen={[report.subject]}
      same={(a, b) => a.id === b.id && a.kind === b.kind && a.filter === b.filter}
      onChoose={choose}
    />
  );
}
