"use client";
import type { NarrowingText, ShownTile } from "@/contract/figures";
import type { ReportTile } from "@/core/definition";
import { isDrawable, type Report, type Shown } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { List, Maximize2, ScrollText } from "lucide-react";
import Link from "next/link";
import { memo, useEffect } from "react";
import type { Mark } from "@/core/figure";

import { ask, Button, takeBegun } from "../../kit";
import { FigureBody, RowsHead } from "../../report";
import { footOf } from "./footOf";
import { Since } from "./Since";
import { Box, RowsTable } from "./tileStyle";

const GROUNDS: Partial<Record<NonNullable<Report["shape"]>, string>> = {
  number: "var(--tide)",
  gauge: "var(--tide)",
  planks: "var(--tide)",
  list: "var(--paper)",
};

/** The answer of a tile that was begun with the page, and what it was narrowed by. */
export interface BegunTile {
  readonly narrowed: string;
  readonly answer: Promise<ShownTile | null>;
}

export interface ReportBodyProps {
  readonly tile: ReportTile;
  readonly onOpen: (answer: ShownTile, mark: Mark | null) => void;
  /** A part was pressed. */
  readonly onPart: (answer: ShownTile, mark: Mark) => void;
  readonly onExpand?: (answer: ShownTile) => void;
  /** Counts up each time when it is to be asked anew. */
  readonly stamp: number;
  readonly begun?: BegunTile | undefined;
  /** The local day at whose end it is asked for; "" for now. */
  readonly stood?: string;
  readonly narrowed?: readonly NarrowingText[];
  /** The parts that narrow other tiles. */
  readonly lit?: readonly string[];
  /** What a narrowing is called, by its id. */
  readonly nameOf?: (id: string) => string;
  /** When the viewer was here before, as ISO text. */
  readonly since?: string | null;
  readonly quiet?: boolean;
}

const NOTHING: readonly NarrowingText[] = [];
const NONE: readonly string[] = [];

/** One tile of a report: answered, narrowed, with its tools and its foot. One that fails says so and leaves the others alone. */
export const ReportBody = memo(function ReportBody({
  tile,
  onOpen,
  onPart,
  onExpand,
  stamp,
  begun,
  stood = "",
  narrowed = NOTHING,
  lit = NONE,
  nameOf = (id) => id,
  since = null,
  quiet,
}: ReportBodyProps) {
  const { report } = tile;
  const { data, error, refetch, isFetching } = useQuery({
    queryKey: ["tile", report, stood, narrowed],
    queryFn: async ({ signal }) =>
      (stood || begun?.narrowed !== JSON.stringify(narrowed)
        ? null
        : await takeBegun(begun.answer)) ??
      ask("tile", { report, narrowed: [...narrowed], ...(stood ? { stood } : {}) }, signal),
    staleTime: 240_000,
    placeholderData: keepPreviousData,
  });
  useEffect(() => {
    if (stamp > 0) void refetch();
  }, [stamp, refetch]);
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
  const title = tile.title || (dress.title ?? data.name);
  const heard = data.heard.map(nameOf);
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
      {tile.subtitle && <p className="sub">{tile.subtitle}</p>}
      {data.dropped.map(({ id, why }) => (
        <p key={id} className="empties" role="status">
          {nameOf(id)} does not narrow: {why}.
        </p>
      ))}
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
            onOpen={(mark) => onPart(data, mark)}
            asTable={false}
            small
            {...(lit.length ? { lit } : {})}
          />
        )}
      </div>
      {since && !stood && !quiet && (
        <Since report={report} narrowed={narrowed} since={since} stamp={stamp} />
      )}
      {tile.footnote && <p className="sub">{tile.footnote}</p>}
      <div className="foot">
        <span title={heard.length ? `narrowed by ${heard.join(", ")}` : undefined}>
          {shown.asOf.includes(":") ? `as of ${shown.asOf}` : shown.asOf}
          {heard.length > 0 && ` · ${heard.length} ${heard.length === 1 ? "filter" : "filters"}`}
          {isFetching ? " · looking again" : error ? " · not reached since, trying again" : ""}
        </span>
        {lit.length > 0 ? (
          <span className="beam">beam starts here</span>
        ) : (
          <span>
            {isEmptied(shown) && heard.length > 0
              ? `nothing left by ${heard.join(" and ")}`
              : footOf(shown, asked)}
          </span>
        )}
      </div>
    </Box>
  );
});

/** Whether nothing is counted. */
const isEmptied = (shown: Shown): boolean =>
  isDrawable(shown)
    ? shown.kind === "count" && shown.answer.total[0]?.records === 0
    : shown.records.count === 0;

/** Rows are scrolled by keys, too. */
const scrolled = (title: string) => ({
  tabIndex: 0,
  role: "region",
  "aria-label": `${title}, rows`,
});

const Rows = ({ shown }: { shown: Shown & { kind: "list" } }) => (
  <RowsTable>
    <RowsHead columns={shown.records.columns} />
    <tbody>
      {shown.records.rows.map((row) => (
        <tr key={row.id}>
          {row.cells.map((cell, i) => (
            <td
              key={i}
              className={
                shown.records.columns[i].align === "right" ? "r" : shown.records.columns[i].words
              }
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
  </RowsTable>
);
