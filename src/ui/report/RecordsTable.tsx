"use client";
import { useInfiniteQuery } from "@tanstack/react-query";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp } from "lucide-react";
import Link from "next/link";
import { useEffect, useRef } from "react";
import styled from "styled-components";
import type { ListReport, Report } from "@/core/definition";
import type { OpenedPart, ShownRecords } from "@/contract/room";
import { ask, Waiting } from "../kit";

export type Sorts = ListReport["sorts"];
const ROW = 27;
const PAGE = 200;

const Scroll = styled.div<{ $bare?: boolean }>`
  overflow: auto; flex: 1; min-height: 0; outline-offset: -3px;
  .names, .row { display: grid; align-items: center; }
  .names { position: sticky; top: 0; z-index: 1; background: ${(p) => (p.$bare ? "var(--salt)" : "var(--tide-2)")}; height: 28px; font-size: 12.5px; line-height: 28px; color: var(--ink-2); }
  .names button { padding: 0 10px; height: 28px; display: flex; align-items: center; gap: 5px; width: 100%; font-weight: 500; font-size: 12.5px; overflow: hidden; white-space: nowrap; }
  .names .r button { justify-content: flex-end; }
  .row { height: ${ROW}px; position: absolute; left: 0; right: 0; }
  .row:nth-child(even) { background: ${(p) => (p.$bare ? "none" : "rgba(0, 0, 0, 0.035)")}; ${(p) => p.$bare && "border-top: 1px solid var(--line);"} }
  ${(p) => p.$bare && ".row { border-top: 1px solid var(--line); }"}
  .cell { padding: 0 10px; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; } .r { text-align: right; }
  .cell a { font-weight: 650; color: var(--plum); } .none { color: var(--ink-3); }
`;

/** Least width in px and share of what is left, by what a column holds: titles wide, keys and numbers narrow. */
function widthOf(words: string, align: string): { least: number; share: number } {
  if (words.endsWith("title") || words === "description") return { least: 250, share: 3 };
  if (words === "key" || words === "item") return { least: 84, share: 0 };
  if (align === "right") return { least: 100, share: 0.5 };
  return /created|due|finished|started|moved on|starts|ends/.test(words) ? { least: 172, share: 0.8 } : { least: 108, share: 1 };
}

/** The records of a report or of a part of it: as many as there are, read page by page, drawn row by row. */
export function RecordsTable({ report, opened, showing, sorts, onSort, onCount, bare }: { report: Report; opened?: OpenedPart; showing: readonly (readonly string[])[]; sorts: Sorts; onSort: (sorts: Sorts) => void; onCount?: (count: number) => void; bare?: boolean }) {
  const { data, error, fetchNextPage, hasNextPage, isFetching } = useInfiniteQuery({
    queryKey: ["records", report, opened, showing, sorts],
    queryFn: ({ pageParam, signal }) => ask<ShownRecords>("/api/room/records", { definition: report, ...(opened ? { opened } : {}), showing, sorts, offset: pageParam, limit: PAGE }, signal),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (pages.length * PAGE < last.count ? pages.length * PAGE : undefined),
  });
  const scroll = useRef<HTMLDivElement>(null);
  const first = data?.pages[0];
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  const virtual = useVirtualizer({ count: first?.count ?? 0, getScrollElement: () => scroll.current, estimateSize: () => ROW, overscan: 12 });
  const seen = virtual.getVirtualItems();
  const last = seen[seen.length - 1]?.index ?? 0;
  useEffect(() => {
    if (last >= rows.length - 40 && hasNextPage && !isFetching) void fetchNextPage();
  }, [last, rows.length, hasNextPage, isFetching, fetchNextPage]);
  useEffect(() => {
    if (first) onCount?.(first.count);
  }, [first, onCount]);
  if (error) return <p role="alert" style={{ padding: 14, color: "var(--alarm)" }}>{error.message}</p>;
  if (!first) return <Waiting style={{ padding: 14 }}>Reading the records …</Waiting>;
  const widths = first.columns.map((column) => widthOf(column.words, column.align));
  const columns = widths.map(({ least, share }) => (share ? `minmax(${least}px, ${share}fr)` : `${least}px`)).join(" ");
  const least = widths.reduce((sum, width) => sum + width.least, 0);
  const sort = (field: readonly string[]) => {
    const [now] = sorts;
    const same = now && now.field.join() === field.join();
    onSort([{ field: [...field], ...(same && !now.descending ? { descending: true as const } : {}) }]);
  };
  return (
    <Scroll ref={scroll} $bare={bare} tabIndex={0} role="table" aria-rowcount={first.count + 1} aria-label={`${first.count} records`}>
      <div className="names" role="row" style={{ gridTemplateColumns: columns, minWidth: least }}>
        {first.columns.map((column) => {
          const sorted = sorts[0]?.field.join() === column.field.join() ? sorts[0] : null;
          return (
            <div key={column.words} role="columnheader" aria-sort={sorted ? (sorted.descending ? "descending" : "ascending") : "none"} className={column.align === "right" ? "r" : undefined}>
              <button onClick={() => sort(column.field)}>{column.words}{sorted && (sorted.descending ? <ArrowDown size={13} aria-hidden /> : <ArrowUp size={13} aria-hidden />)}</button>
            </div>
          );
        })}
      </div>
      <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: "relative", minWidth: least }}>
        {seen.map(({ index, start }) => {
          const row = rows[index];
          return (
            <div key={index} className="row" role="row" aria-rowindex={index + 2} style={{ transform: `translateY(${start}px)`, gridTemplateColumns: columns }}>
              {first.columns.map((column, i) => {
                const cell = row?.cells[i] ?? null;
                const isKey = column.field[column.field.length - 1] === "key" || column.field[0] === "item";
                return <div key={i} role="cell" className={`cell${column.align === "right" ? " r" : ""}`} title={cell ?? undefined}>{!row ? "…" : cell === null ? <span className="none">not set</span> : isKey && row.key ? <Link href={`/items/${encodeURIComponent(column.field.length === 1 ? row.key : cell)}`}>{cell}</Link> : cell}</div>;
              })}
            </div>
          );
        })}
      </div>
    </Scroll>
  );
}
