"use client";
import { useState, type ReactNode } from "react";
import { numberText } from "@/core/base";
import { subjects } from "@/core/catalog";
import type { CountReport } from "@/core/kinds";
import { RecordsTable, type Sorts } from "../RecordsTable";

/** Until a picture is chosen: the matching records themselves, with their count. */
export function PlainList({ report, asGroups }: { report: CountReport; asGroups: ReactNode }) {
  const [records, setRecords] = useState<{ readonly count: number } | null>(null);
  const count = records?.count ?? null;
  const [sorts, setSorts] = useState<Sorts>([]);
  const showing = subjects[report.subject.id].showing.map((id) => [id]);
  return (
    <>
      {asGroups}
      <p role="status" style={{ color: "var(--ink-2)" }}>
        <span style={{ font: "540 34px/1.1 var(--serif)", color: "var(--ink)" }}>
          {count === null ? "…" : numberText(count)}
        </span>{" "}
        match; no picture is chosen, so here they are
      </p>
      {count === 0 && !report.where && (
        <p>There are none in this workspace yet; an administrator brings them in under Settings.</p>
      )}
      <div style={{ flex: 1, minHeight: 220, display: "flex" }}>
        <RecordsTable
          bare
          report={report}
          showing={showing}
          sorts={sorts}
          onSort={setSorts}
          onCount={setRecords}
        />
      </div>
    </>
  );
}
