"use client";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import styled from "styled-components";
import { ask } from "../kit";

const Told = styled.div`
  background: var(--sand);
  padding: 8px 12px;
  display: grid;
  gap: 2px;
  p {
    color: var(--ink-2);
  }
  ul {
    max-height: 130px;
    overflow: auto;
  }
`;

interface ReachedProps {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly isOpen: boolean;
}

/** What sharing reaches beside those it is shared with: which reports a dashboard brings with it, who reads a report by which dashboards. */
export function Reached({ kind, id, isOpen }: ReachedProps) {
  const { data } = useQuery({
    queryKey: ["reach", kind, id],
    queryFn: ({ signal }) => ask("reach", { kind, id }, signal),
    enabled: isOpen && kind !== "filter",
  });
  if (!data || (data.boards.length === 0 && data.reports.length === 0)) return null;
  return (
    <Told role="region" aria-label="What comes with it">
      {data.reports.length > 0 && (
        <>
          <p>Whoever sees this dashboard also reads, each with the figures of their own rights:</p>
          <ul>
            {data.reports.map((report) => (
              <li key={report.id}>
                <Link href={`/reports/${report.id}`}>{report.name}</Link>, of {report.owner}
              </li>
            ))}
          </ul>
        </>
      )}
      {data.boards.length > 0 && (
        <>
          <p>It is read by dashboards, too:</p>
          <ul>
            {data.boards.map((board) => (
              <li key={board.id}>
                <Link href={`/dashboards/${board.id}`}>{board.name}</Link>, shared with{" "}
                {board.with.length ? board.with.join(", ") : "nobody yet"}
              </li>
            ))}
          </ul>
        </>
      )}
    </Told>
  );
}
