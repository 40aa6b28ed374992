"use client";
import { type CountReport, type ListReport, type ShownRecords } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { ChevronDown, ChevronRight, Copy } from "lucide-react";
import { useCallback, useEffect, useLayoutEffect, useMemo, useState } from "react";
import styled from "styled-components";
import { isNumeric, lastOf, subjects, type AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type Dress, type SimpleMeasure } from "@/core/definition";
import { numberText } from "@/core/base";

import { ask, Button, tell } from "../kit";
import { ChangeMany } from "./ChangeMany";
import { RecordsTable } from "./RecordsTable";

const Frame = styled.div`
  flex: 1;
  min-height: 220px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 0;
  .top {
    display: flex;
    gap: 8px;
    align-items: baseline;
  }
  .top .acts {
    margin-left: auto;
    display: flex;
    gap: 4px;
  }
  .big {
    font: 540 34px/1.1 var(--serif);
  }
  .groups {
    overflow: auto;
    flex: 1;
    min-height: 0;
  }
  .group {
    background: color-mix(in srgb, var(--sand) 60%, var(--salt));
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 32px;
    width: 100%;
    padding: 0 10px;
    margin-top: 2px;
    text-align: left;
  }
  .group b {
    font: 560 18px/24px var(--serif);
  }
  .group .sums {
    margin-left: auto;
    display: flex;
    gap: 18px;
    font: 520 16px/1 var(--serif);
  }
  .group small {
    font: 400 12.5px/16px var(--sans);
    color: var(--ink-2);
  }
  .all {
    border-top: 3px solid var(--ink);
    display: flex;
    gap: 10px;
    padding: 6px 10px;
    align-items: baseline;
    font-weight: 650;
  }
  .all .sums {
    margin-left: auto;
    display: flex;
    gap: 18px;
    font: 540 22px/1 var(--serif);
  }
`;

const MOST_COPIED = 10_000;

interface ListFigureProps {
  readonly context: AskContext;
  readonly report: ListReport;
  readonly onReport: (report: ListReport) => void;
  readonly dress: Dress;
  readonly onDress: (dress: Dress) => void;
  readonly mayChangeItems: boolean;
}

/** The records themselves: columns, several sorts, groups that open and close with subtotals, a grand total. */
export function ListFigure({
  context,
  report,
  onReport,
  dress,
  onDress,
  mayChangeItems,
}: ListFigureProps) {
  const [count, setCount] = useState<number | null>(null);
  const onRecords = useCallback(
    (records: { readonly count: number } | null) => setCount(records?.count ?? null),
    [],
  );
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => setPicked(new Set()), [report]);
  const showing = report.showing.length
    ? report.showing
    : subjects[report.subject.id].showing.map((id) => [id]);
  const table = {
    showing,
    sorts: report.sorts,
    onSort: (sorts: ListReport["sorts"]) => onReport({ ...report, sorts }),
    widths: dress.widths,
    onWidth: (field: string, width: number) =>
      onDress({ ...dress, widths: { ...dress.widths, [field]: width } }),
    ...(mayChangeItems && report.subject.id === "items" ? { picked, onPick: setPicked } : {}),
  };
  const copy = async () => {
    try {
      const parts: ShownRecords[] = [];
      for (let offset = 0; offset < MOST_COPIED; offset += 500) {
        const page = await ask("records", {
          definition: report,
          showing,
          sorts: report.sorts,
          offset,
          limit: 500,
        });
        parts.push(page);
        if (offset + 500 >= page.count) break;
      }
      const lines = [
        parts[0].columns.map((column) => column.words),
        ...parts.flatMap((page) => page.rows.map((row) => row.cells.map((cell) => cell ?? ""))),
      ];
      await navigator.clipboard.writeText(
        lines.map((line) => line.map((cell) => cell.replace(/[\t\n]/g, " ")).join("\t")).join("\n"),
      );
      tell(
        parts[0].count > MOST_COPIED
          ? `The first ${numberText(MOST_COPIED)} of ${numberText(parts[0].count)} rows are copied; download the rest.`
          : `${numberText(lines.length - 1)} rows are copied.`,
      );
    } catch {
      tell("This browser does not let pages copy.");
    }
  };
  return (
    <Frame>
      <div className="top" role="status">
        <span className="big">{count === null ? "…" : numberText(count)}</span> in this list
        <span className="acts">
          <Button $small onPress={() => void copy()}>
            <Copy aria-hidden />
            Copy as text
          </Button>
        </span>
      </div>
      {report.by ? (
        <Grouped context={context} report={report} table={table} onCount={setCount} />
      ) : (
        <div style={{ flex: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>
          <RecordsTable bare report={report} {...table} onCount={onRecords} />
          <Totals context={context} report={report} showing={showing} />
        </div>
      )}
      {picked.size > 0 && (
        <ChangeMany context={context} picked={picked} onDone={() => setPicked(new Set())} />
      )}
    </Frame>
  );
}

/** What a column comes to in all: numbers are summed, ages and times averaged. Said once, in the total. */
function measuresOf(
  showing: readonly (readonly string[])[],
  report: ListReport,
  { catalog }: AskContext,
): { words: string; how: "sum" | "avg"; measure: SimpleMeasure }[] {
  return showing
    .flatMap((ids) => {
      const path = catalog.findPath(report.subject.id, ids);
      if (!path || !isNumeric(lastOf(path)) || lastOf(path).many) return [];
      const field = lastOf(path);
      const how = field.timed ? ("avg" as const) : ("sum" as const);
      return [
        {
          words: field.words,
          how,
          measure: {
            measure: how === "avg" ? ("average" as const) : ("sum" as const),
            field: [...ids],
          },
        },
      ];
    })
    .slice(0, 5);
}

function useTotals(
  context: AskContext,
  report: ListReport,
  showing: readonly (readonly string[])[],
) {
  const columns = useMemo(() => measuresOf(showing, report, context), [showing, report, context]);
  const counted: CountReport = {
    kind: "count",
    measures: [{ measure: "count" }, ...columns.map(({ measure }) => measure)],
    subject: report.subject,
    by: report.by ? [report.by] : [],
    ...(report.where ? { where: report.where } : {}),
    ...(report.stood ? { stood: report.stood } : {}),
  };
  const { data } = useQuery({
    queryKey: ["figure", counted, PLAIN_DRESS],
    queryFn: ({ signal }) => ask("figure", { definition: counted, dress: PLAIN_DRESS }, signal),
  });
  return { columns, shown: data?.kind === "count" ? data : null };
}

function Totals({
  context,
  report,
  showing,
}: {
  context: AskContext;
  report: ListReport;
  showing: readonly (readonly string[])[];
}) {
  const { columns, shown } = useTotals(context, report, showing);
  if (!shown || columns.length === 0) return null;
  return (
    <div className="all">
      All
      <span className="sums">
        {columns.map(({ words, how }, i) => (
          <span key={words}>
            <small style={{ font: "400 12.5px/16px var(--sans)" }}>
              {how === "avg" ? "avg" : "sum of"} {words}
            </small>{" "}
            {shown.figure.measures[i + 1].words}
          </span>
        ))}
      </span>
    </div>
  );
}

function Grouped({
  context,
  report,
  table,
  onCount,
}: {
  context: AskContext;
  report: ListReport;
  table: Omit<Parameters<typeof RecordsTable>[0], "report">;
  onCount: (count: number | null) => void;
}) {
  const { columns, shown } = useTotals(context, report, table.showing);
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const total = shown?.answer.total[0].records;
  useLayoutEffect(() => onCount(total ?? null), [total, onCount]);
  const rows = shown?.figure.rows ?? [];
  const counted: CountReport = {
    kind: "count",
    measures: [{ measure: "count" }],
    subject: report.subject,
    by: [report.by!],
    ...(report.where ? { where: report.where } : {}),
    ...(report.stood ? { stood: report.stood } : {}),
  };
  const toggle = (key: string) =>
    setOpen((now) => {
      const next = new Set(now);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  return (
    <>
      <div style={{ display: "flex", gap: 4 }}>
        <Button $small onPress={() => setOpen(new Set(rows.map((row) => row.path[0])))}>
          Open all groups
        </Button>
        <Button $small onPress={() => setOpen(new Set())}>
          Close all
        </Button>
      </div>
      <div className="groups">
        {rows.map((row) => {
          const key = row.path[0];
          const isOpen = open.has(key);
          const count = Number(row.measures[0].value ?? 0);
          return (
            <div key={key}>
              <button className="group" aria-expanded={isOpen} onClick={() => toggle(key)}>
                {isOpen ? (
                  <ChevronDown size={16} aria-hidden />
                ) : (
                  <ChevronRight size={16} aria-hidden />
                )}
                <b>{row.label}</b>
                <small>
                  {row.words} {context.catalog.countedWords(report.subject, count)}
                </small>
                <span className="sums">
                  {row.measures.slice(1).map((mark, i) => (
                    <span key={i}>{mark.words}</span>
                  ))}
                </span>
              </button>
              {isOpen && (
                <div style={{ height: Math.min(count, 12) * 27 + 30, display: "flex" }}>
                  <RecordsTable bare {...table} report={counted} opened={{ path: [key] }} />
                </div>
              )}
            </div>
          );
        })}
      </div>
      {shown && (
        <div className="all">
          All {rows.length} groups, {numberText(shown.answer.total[0].records)}{" "}
          {context.catalog.countedWords(report.subject, shown.answer.total[0].records)}
          <span className="sums">
            {columns.map(({ words, how }, i) => (
              <span key={words}>
                <small style={{ font: "400 12.5px/16px var(--sans)" }}>
                  {how === "avg" ? "avg" : "sum of"} {words}
                </small>{" "}
                {shown.figure.measures[i + 1].words}
              </span>
            ))}
          </span>
        </div>
      )}
    </>
  );
}
