"use client";
import type { OpenedPart } from "@/contract/figures";
import { type ListReport, type Report, type ShownRecord, type ShownRecords } from "@/core/kinds";
import { useInfiniteQuery } from "@tanstack/react-query";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp } from "lucide-react";
import Link from "next/link";
import { useEffect, useLayoutEffect, useRef } from "react";
import styled from "styled-components";

import { ask, Waiting } from "../kit";

export type Sorts = ListReport["sorts"];
const ROW = 27;
const PAGE = 200;
/** A column of the records, or that of what brought each into the part. */
type ShownColumn =
  | { readonly column: ShownRecords["columns"][number]; readonly at: number }
  | { readonly column: null; readonly at?: undefined };
const decidedText = ({ what, when, by }: NonNullable<ShownRecord["decided"]>): string =>
  [what, when, ...(by ? [by] : [])].join(", ");

const Scroll = styled.div<{ $bare?: boolean }>`
  overflow: auto;
  flex: 1;
  min-height: 0;
  outline-offset: -3px;
  .names,
  .row {
    display: grid;
    align-items: center;
  }
  .names {
    position: sticky;
    top: 0;
    z-index: 1;
    background: ${(p) => (p.$bare ? "var(--salt)" : "var(--tide-2)")};
    height: 28px;
    font-size: 12.5px;
    line-height: 28px;
    color: var(--ink-2);
  }
  .names button {
    padding: 0 10px;
    height: 28px;
    display: flex;
    align-items: center;
    gap: 5px;
    width: 100%;
    font-weight: 500;
    font-size: 12.5px;
    overflow: hidden;
    white-space: nowrap;
  }
  .names .r button {
    justify-content: flex-end;
  }
  .row {
    height: ${ROW}px;
    position: absolute;
    left: 0;
    right: 0;
  }
  .row:nth-child(even) {
    background: ${(p) => (p.$bare ? "none" : "rgba(0, 0, 0, 0.035)")};
    ${(p) => p.$bare && "border-top: 1px solid var(--line);"}
  }
  ${(p) => p.$bare && ".row { border-top: 1px solid var(--line); }"}
  .cell {
    padding: 0 10px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .tick {
    text-overflow: clip;
    padding: 0 0 0 10px;
  }
  .r {
    text-align: right;
  }
  .row.picked {
    background: var(--mallow-2) !important;
    box-shadow: inset 4px 0 0 var(--plum);
  }
  input[type="checkbox"] {
    accent-color: var(--plum);
    width: 15px;
    height: 15px;
    margin: 0;
    vertical-align: -2px;
  }
  .edge {
    position: absolute;
    right: -3px;
    top: 4px;
    bottom: 4px;
    width: 7px;
    cursor: col-resize;
    border-right: 2px solid var(--line);
  }
  .edge:hover,
  .edge:focus-visible {
    border-right-color: var(--plum);
  }
  .cell a {
    font-weight: 650;
    color: var(--plum);
  }
  .none {
    color: var(--ink-3);
  }
`;

/** Least width in px and share of what is left, by what a column holds: titles wide, keys and numbers narrow. */
function widthOf(words: string, align: string): { least: number; share: number } {
  if (words.endsWith("title") || words === "description") return { least: 250, share: 3 };
  if (words === "key" || words === "item") return { least: 84, share: 0 };
  if (align === "right") return { least: 100, share: 0.5 };
  return /created|due|finished|started|moved on|starts|ends/.test(words)
    ? { least: 172, share: 0.8 }
    : { least: 108, share: 1 };
}

export interface RecordsTableProps {
  readonly report: Report;
  readonly opened?: OpenedPart;
  readonly showing: readonly (readonly string[])[];
  readonly sorts: Sorts;
  readonly onSort: (sorts: Sorts) => void;
  /** Told before anything is painted: how many there are, null as long as that is not known. */
  readonly onCount?: (records: Pick<ShownRecords, "count" | "different"> | null) => void;
  readonly bare?: boolean;
  /** Keys of the items that are picked, where they can be. */
  readonly picked?: ReadonlySet<string>;
  readonly onPick?: (keys: ReadonlySet<string>) => void;
  /** Widths of columns by field, in px, where they can be changed. */
  readonly widths?: Readonly<Record<string, number>>;
  readonly onWidth?: (field: string, width: number) => void;
}

/** The records of a report or of a part of it: as many as there are, read page by page, drawn row by row. Shift adds to the order. */
export function RecordsTable({
  report,
  opened,
  showing,
  sorts,
  onSort,
  onCount,
  bare,
  picked,
  onPick,
  widths: own = {},
  onWidth,
}: RecordsTableProps) {
  const { data, error, fetchNextPage, hasNextPage, isFetching } = useInfiniteQuery({
    queryKey: ["records", report, opened, showing, sorts],
    queryFn: ({ pageParam, signal }) =>
      ask(
        "records",
        {
          definition: report,
          ...(opened ? { opened } : {}),
          showing,
          sorts,
          offset: pageParam,
          limit: PAGE,
        },
        signal,
      ),
    initialPageParam: 0,
    getNextPageParam: (last, pages) =>
      pages.length * PAGE < last.count ? pages.length * PAGE : undefined,
  });
  const scroll = useRef<HTMLDivElement>(null);
  const first = data?.pages[0];
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  const virtual = useVirtualizer({
    count: first?.count ?? 0,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const seen = virtual.getVirtualItems();
  const last = seen[seen.length - 1]?.index ?? 0;
  useEffect(() => {
    if (last >= rows.length - 40 && hasNextPage && !isFetching) void fetchNextPage();
  }, [last, rows.length, hasNextPage, isFetching, fetchNextPage]);
  useLayoutEffect(() => onCount?.(first ?? null), [first, onCount]);
  if (error)
    return (
      <p role="alert" style={{ padding: 14, color: "var(--alarm)" }}>
        {error.message}
      </p>
    );
  if (!first) return <Waiting style={{ padding: 14 }}>Reading the records …</Waiting>;
  const decides = rows.some((row) => row.decided);
  const tick = picked && onPick ? "30px " : "";
  // What brought a record into the part stands beside its name.
  const shown: readonly ShownColumn[] = first.columns.flatMap((column, at): ShownColumn[] => [
    { column, at },
    ...(decides && at === Math.min(1, first.columns.length - 1) ? [{ column: null }] : []),
  ]);
  const widths = shown.map(({ column }) =>
    column
      ? { ...widthOf(column.words, column.align), own: own[column.field.join("/")] }
      : { least: 300, share: 2.4, own: undefined },
  );
  const columns =
    tick +
    widths
      .map(({ least, share, own: px }) =>
        px ? `${px}px` : share ? `minmax(${least}px, ${share}fr)` : `${least}px`,
      )
      .join(" ");
  const least = widths.reduce((sum, width) => sum + (width.own ?? width.least), tick ? 30 : 0);
  const sort = (field: readonly string[], adds: boolean) => {
    const at = sorts.findIndex((one) => one.field.join() === field.join());
    const next = {
      field: [...field],
      ...(at >= 0 && !sorts[at].descending ? { descending: true as const } : {}),
    };
    if (!adds) onSort([next]);
    else
      onSort(at >= 0 ? sorts.map((one, i) => (i === at ? next : one)) : [...sorts, next].slice(-6));
  };
  const keys = rows.flatMap((row) => row.key ?? []);
  const all = picked && keys.length > 0 && keys.every((key) => picked.has(key));
  const pick = (key: string, on: boolean) => {
    const next = new Set(picked);
    if (on) next.add(key);
    else next.delete(key);
    onPick?.(next);
  };
  const resize = (field: string) => (event: React.PointerEvent) => {
    event.preventDefault();
    const from = (event.currentTarget.parentElement as HTMLElement).getBoundingClientRect().width;
    const start = event.clientX;
    const onMove = (move: PointerEvent) =>
      onWidth?.(field, Math.round(Math.max(40, Math.min(900, from + move.clientX - start))));
    const onUp = () => {
      window.removeEventListener("pointermove", onMove);
      window.removeEventListener("pointerup", onUp);
    };
    window.addEventListener("pointermove", onMove);
    window.addEventListener("pointerup", onUp);
  };
  return (
    <Scroll
      ref={scroll}
      $bare={bare}
      tabIndex={0}
      role="table"
      aria-rowcount={first.count + 1}
      aria-label={`${first.count} records`}
    >
      <div className="names" role="row" style={{ gridTemplateColumns: columns, minWidth: least }}>
        {tick && (
          <div role="columnheader" className="cell tick">
            <input
              type="checkbox"
              aria-label="Pick all that are read"
              checked={Boolean(all)}
              onChange={(event) => onPick?.(event.target.checked ? new Set(keys) : new Set())}
            />
          </div>
        )}
        {shown.map(({ column }) => {
          if (!column)
            return (
              <div key="decided" role="columnheader" className="cell">
                what did it
              </div>
            );
          const place = sorts.findIndex((one) => one.field.join() === column.field.join());
          const sorted = place >= 0 ? sorts[place] : null;
          const field = column.field.join("/");
          return (
            <div
              key={column.words}
              role="columnheader"
              aria-sort={sorted ? (sorted.descending ? "descending" : "ascending") : "none"}
              className={column.align === "right" ? "r" : undefined}
              style={{ position: "relative" }}
            >
              <button
                onClick={(event) => sort(column.field, event.shiftKey)}
                title="Sort; with Shift, add to the order"
              >
                {column.words}
                {sorted &&
                  (sorted.descending ? (
                    <ArrowDown size={13} aria-hidden />
                  ) : (
                    <ArrowUp size={13} aria-hidden />
                  ))}
                {sorts.length > 1 && sorted && (
                  <small style={{ background: "var(--tide)", padding: "0 4px" }}>{place + 1}</small>
                )}
              </button>
              {onWidth && (
                <span
                  role="separator"
                  aria-orientation="vertical"
                  aria-label={`Width of ${column.words}`}
                  aria-valuenow={own[field] ?? widthOf(column.words, column.align).least}
                  tabIndex={0}
                  className="edge"
                  onPointerDown={resize(field)}
                  onKeyDown={(event) => {
                    const by =
                      event.key === "ArrowLeft" ? -10 : event.key === "ArrowRight" ? 10 : 0;
                    if (by) {
                      event.preventDefault();
                      onWidth(
                        field,
                        Math.max(
                          40,
                          (own[field] ??
                            event.currentTarget.parentElement!.getBoundingClientRect().width) + by,
                        ),
                      );
                    }
                  }}
                />
              )}
            </div>
          );
        })}
      </div>
      <div
        role="rowgroup"
        style={{ height: virtual.getTotalSize(), position: "relative", minWidth: least }}
      >
        {seen.map(({ index, start }) => {
          const row = rows[index];
          return (
            <div
              key={index}
              className={`row${row?.key && picked?.has(row.key) ? " picked" : ""}`}
              role="row"
              aria-rowindex={index + 2}
              style={{ transform: `translateY(${start}px)`, gridTemplateColumns: columns }}
            >
              {tick && (
                <div role="cell" className="cell tick">
                  {row?.key && (
                    <input
                      type="checkbox"
                      aria-label={`Pick ${row.key}`}
                      checked={picked!.has(row.key)}
                      onChange={(event) => pick(row.key!, event.target.checked)}
                    />
                  )}
                </div>
              )}
              {shown.map(({ column, at = 0 }, i) => {
                if (!column)
                  return (
                    <div
                      key={i}
                      role="cell"
                      className="cell"
                      title={row?.decided && decidedText(row.decided)}
                    >
                      {row?.decided ? (
                        <>
                          <b style={{ fontWeight: 600 }}>{row.decided.what}</b>{" "}
                          <span className="none">
                            {row.decided.when}
                            {row.decided.by ? `, ${row.decided.by}` : ""}
                          </span>
                        </>
                      ) : !row ? (
                        "…"
                      ) : null}
                    </div>
                  );
                const cell = row?.cells[at] ?? null;
                const isKey =
                  column.field[column.field.length - 1] === "key" || column.field[0] === "item";
                const isProject =
                  report.subject.id === "projects" && column.field.join() === "project";
                return (
                  <div
                    key={i}
                    role="cell"
                    className={`cell${column.align === "right" ? " r" : ""}`}
                    title={cell ?? undefined}
                  >
                    {!row ? (
                      "…"
                    ) : cell === null ? (
                      <span className="none">not set</span>
                    ) : isProject ? (
                      <Link href={`/projects/${row.id}`}>{cell}</Link>
                    ) : isKey && row.key ? (
                      <Link
                        href={`/items/${encodeURIComponent(column.field.length === 1 ? row.key : cell)}`}
                      >
                        {cell}
                      </Link>
                    ) : (
                      cell
                    )}
                  </div>
                );
              })}
            </div>
          );
        })}
      </div>
    </Scroll>
  );
}
