"use client";
import type { ShownTile } from "@/contract/figures";
import { type Report, type Shown, isDrawable } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { List, Maximize2, ScrollText } from "lucide-react";
import Link from "next/link";
import { memo } from "react";
import styled from "styled-components";
import type { Mark } from "@/core/figure";

import { ask, Button, takeBegun } from "../kit";
import { FigureBody, RowsHead } from "../report";

const GROUNDS: Partial<Record<NonNullable<Report["shape"]>, string>> = {
  number: "var(--tide)",
  list: "var(--paper)",
};

const Box = styled.article<{ $ground: string }>`
  background: ${(p) => p.$ground};
  height: 100%;
  padding: 10px 14px 7px;
  display: flex;
  flex-direction: column;
  min-width: 0;
  overflow: hidden;
  position: relative;
  .top {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 26px;
    flex: none;
  }
  h3 {
    font: 680 14px/20px var(--sans);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    min-width: 0;
  }
  .tools {
    position: absolute;
    right: 8px;
    top: 8px;
    background: inherit;
    display: flex;
    opacity: 0;
    padding-left: 6px;
    z-index: 2;
    background: ${(p) => p.$ground};
  }
  &:hover .tools,
  &:focus-within .tools {
    opacity: 1;
  }
  @media (hover: none) {
    .tools {
      opacity: 1;
    }
  }
  .tools a {
    width: 26px;
    height: 26px;
    display: inline-grid;
    place-items: center;
    color: var(--plum);
  }
  .body {
    flex: 1;
    min-height: 0;
    display: flex;
    flex-direction: column;
    overflow: auto;
    gap: 4px;
  }
  .foot {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-2);
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding-top: 4px;
    flex: none;
    white-space: nowrap;
    overflow: hidden;
  }
  table.rows {
    border-collapse: collapse;
    width: 100%;
  }
  table.rows td {
    border-top: 1px solid var(--line);
    padding: 3px 12px 3px 0;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 0;
  }
  table.rows th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 0 12px 2px 0;
    white-space: nowrap;
  }
  table.rows th.r {
    text-align: right;
  }
  table.rows td:first-child {
    width: 74px;
    max-width: none;
  }
  table.rows a {
    font-weight: 650;
  }
  .r {
    text-align: right;
  }
`;

interface TileProps {
  readonly report: number;
  readonly onOpen: (answer: ShownTile, mark: Mark | null) => void;
  readonly onExpand?: (answer: ShownTile) => void;
  readonly stamp: number;
  /** Its answer, where it was begun with the page. */
  readonly begun?: Promise<ShownTile | null>;
  /** The local day at whose end it is asked for; "" for now. */
  readonly stood?: string;
  readonly quiet?: boolean;
}

/** One tile: its report answered, its tools, its foot. A tile that fails says so and leaves the others alone. */
export const TileBody = memo(function TileBody({
  report,
  onOpen,
  onExpand,
  stamp,
  begun,
  stood = "",
  quiet,
}: TileProps) {
  const { data, error, refetch, isFetching } = useQuery({
    queryKey: ["tile", report, stamp, stood],
    queryFn: async ({ signal }) =>
      (stood ? null : await takeBegun(begun)) ??
      ask("tile", { report, ...(stood ? { stood } : {}) }, signal),
    staleTime: 240_000,
    placeholderData: keepPreviousData,
  });
  if (!data) {
    return (
      <Box $ground="var(--salt)" aria-busy={!error}>
        {error ? (
          <div role="alert" style={{ margin: "auto 0" }}>
            <p style={{ marginBottom: 8 }}>
              {error.message === "There is nothing here."
                ? "The report of this tile is gone, or not yours to see."
                : error.message}
            </p>
            <Button $small $look="line" onPress={() => void refetch()}>
              Try again
            </Button>
          </div>
        ) : (
          <p style={{ color: "var(--ink-3)", margin: "auto 0" }} role="status">
            Counting …
          </p>
        )}
      </Box>
    );
  }
  const { shown, definition: asked, dress } = data;
  const title = dress.title ?? data.name;
  return (
    <Box $ground={GROUNDS[asked.shape ?? "list"] ?? "var(--salt)"} aria-label={title}>
      <div className="top">
        <h3>{title}</h3>
        {!quiet && (
          <div className="tools">
            <Link
              href={`/reports/${report}`}
              aria-label={`Open the report ${title}`}
              title="Report"
            >
              <ScrollText size={16} aria-hidden />
            </Link>
            <Button
              $small
              $icon
              aria-label={`The records of ${title}`}
              onPress={() => onOpen(data, null)}
            >
              <List aria-hidden />
            </Button>
            {onExpand && (
              <Button $small $icon aria-label={`Enlarge ${title}`} onPress={() => onExpand(data)}>
                <Maximize2 aria-hidden />
              </Button>
            )}
          </div>
        )}
      </div>
      <div className="body" {...(isDrawable(shown) ? {} : scrolled(title))}>
        {!isDrawable(shown) ? (
          <Rows shown={shown} />
        ) : (
          <FigureBody
            shown={shown}
            report={asked}
            dress={dress}
            measure=""
            title={title}
            opened={null}
            onOpen={(mark) => onOpen(data, mark)}
            asTable={false}
            small
          />
        )}
      </div>
      <div className="foot">
        <span>
          {shown.asOf.includes(":") ? `as of ${shown.asOf}` : shown.asOf}
          {isFetching ? " · looking again" : ""}
        </span>
        <span>{footOf(shown, asked)}</span>
      </div>
    </Box>
  );
});

/** Rows are scrolled by keys, too. */
const scrolled = (title: string) => ({
  tabIndex: 0,
  role: "region",
  "aria-label": `${title}, rows`,
});

function footOf(shown: Shown, report: Report): string {
  if (!isDrawable(shown))
    return shown.records.count > shown.records.rows.length
      ? `${shown.records.rows.length} of ${shown.records.count}`
      : `${shown.records.count} in all`;
  const running = shown.figure?.rows.find((row) => row.soFar);
  if (running) return `${running.label} is not over`;
  return shown.kind === "count" && report.kind === "count" && report.by.some((group) => group.top)
    ? `${shown.figure.rows.filter((row) => /^[vf]/.test(row.path[row.path.length - 1])).length} shown, the rest ${report.by.some((group) => group.withoutRest) ? "left out" : "as one"}`
    : "";
}

const Rows = ({ shown }: { shown: Shown & { kind: "list" } }) => (
  <table className="rows">
    <RowsHead columns={shown.records.columns} />
    <tbody>
      {shown.records.rows.map((row) => (
        <tr key={row.id}>
          {row.cells.map((cell, i) => (
            <td
              key={i}
              className={shown.records.columns[i].align === "right" ? "r" : undefined}
              style={shown.records.columns[i].words === "title" ? { width: "46%" } : undefined}
            >
              {i === 0 && row.key ? (
                <Link href={`/items/${encodeURIComponent(row.key)}`}>{cell}</Link>
              ) : (
                (cell ?? <span style={{ color: "var(--ink-3)" }}>not set</span>)
              )}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </table>
);
