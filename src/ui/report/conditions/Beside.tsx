"use client";
import { type Report } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { AskContext } from "@/core/catalog";
import { type Leaf } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import { numberText } from "@/core/base";
import { ask } from "../../kit";

/** How many records hold a line by itself. */
export function LineCount({ report, leaf }: { report: Report; leaf: Leaf }) {
  const one = useMemo(
    (): Report => ({ kind: "list", subject: report.subject, showing: [], sorts: [], where: leaf }),
    [report.subject, leaf],
  );
  const { data } = useQuery({
    queryKey: ["line", one],
    queryFn: ({ signal }) =>
      ask("records", { definition: one, showing: [], sorts: [], offset: 0, limit: 1 }, signal),
    staleTime: 60_000,
  });
  return <span className="n">{data ? numberText(data.count) : ""}</span>;
}

/** What fits now, the first of it, and what it would be without each condition. */
export function Beside({
  report,
  context,
  children,
}: {
  report: Report;
  context: AskContext;
  children: React.ReactNode;
}) {
  const list = useMemo(
    (): Report => ({
      kind: "list",
      subject: report.subject,
      showing: [],
      sorts: [],
      ...(report.where ? { where: report.where } : {}),
    }),
    [report.subject, report.where],
  );
  const keyed = report.subject.id === "items" ? [["title"]] : [];
  const { data } = useQuery({
    queryKey: ["beside", list],
    queryFn: ({ signal }) =>
      ask("records", { definition: list, showing: keyed, sorts: [], offset: 0, limit: 12 }, signal),
  });
  const { data: without } = useQuery({
    queryKey: ["emptied", list],
    queryFn: ({ signal }) => ask("emptied", { definition: list }, signal),
    enabled: Boolean(report.where),
  });
  const parts = report.where?.kind === "all" ? report.where.of : report.where ? [report.where] : [];
  return (
    <div className="beside" aria-live="polite">
      <p>
        <span className="big">{data ? numberText(data.count) : "…"}</span>{" "}
        <span style={{ color: "var(--ink-2)" }}>
          {context.catalog.countedWords(report.subject, data?.count ?? 0)} fit now
        </span>
      </p>
      {without && without.length > 0 && parts.length > 1 && (
        <p className="says">
          Without{" "}
          {without.slice(0, 2).map(({ index, without: n }, i) => (
            <span key={index}>
              {i > 0 ? "; without " : ""}
              <i>{conditionText(parts[index], context.catalog, report.subject.id)}</i> it would be{" "}
              <b>{numberText(n)}</b>
            </span>
          ))}
          .
        </p>
      )}
      <ul>
        {data?.rows.map((row) => (
          <li key={row.id}>
            <b>{row.key}</b>
            <span>{row.cells[0]}</span>
          </li>
        ))}
      </ul>
      <div className="foot">{children}</div>
    </div>
  );
}
