"use client";
import { type CountAnswer, type Pivot, type PivotColumn, type PivotTable } from "@/core/kinds";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp } from "lucide-react";
import { useCallback, useEffect, useRef } from "react";
import { type Drawn } from "../drawing";
import { ROW, NAME, Frame } from "./pivotStyle";
import { TableLine, Cell } from "./PivotLine";

/** One table of the pivot: its columns, its total and of its rows those in sight. */
export function Table({
  table,
  pivot,
  answer,
  drawn,
  canClose,
  onClose,
  onSort,
}: {
  table: PivotTable;
  pivot: Pivot;
  answer: CountAnswer;
  drawn: Drawn;
  canClose: boolean;
  onClose: (key: string) => void;
  onSort: (column: PivotColumn) => void;
}) {
  const scroll = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: table.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW,
    overscan: 10,
    initialRect: { width: 800, height: 400 },
  });
  const { columns } = pivot;
  const many = answer.measures.length > 1;
  const column = Math.max(
    many ? 80 : 86,
    ...columns.map(({ label, measureLabel }) =>
      Math.min(
        150,
        26 +
          7 *
            Math.max(
              ...(many || !label ? measureLabel : label).split(" ").map((word) => word.length),
            ),
      ),
    ),
  );
  const line = {
    gridTemplateColumns: `${NAME}px repeat(${columns.length}, minmax(${column}px, 1fr))`,
    minWidth: NAME + column * columns.length,
  };
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => column,
    overscan: 8,
    paddingStart: NAME,
    initialRect: { width: 1000, height: 400 },
  });
  const seen = across.getVirtualItems().map(({ index }) => index);
  const [first, last] = [seen[0] ?? 0, seen[seen.length - 1] ?? -1];
  const latest = useRef(onClose);
  useEffect(() => {
    latest.current = onClose;
  });
  const close = useCallback((key: string) => latest.current(key), []);
  const { pivotSort } = drawn.dress;
  const heads = columns.filter((column) => column.measure === 0 && !column.compares);
  return (
    <>
      {table.page.length > 0 && (
        <h3 style={{ font: "560 18px/28px var(--serif)" }}>
          {table.page.map(({ label }) => label).join(" · ")}
        </h3>
      )}
      <Frame
        ref={scroll}
        tabIndex={0}
        role="table"
        aria-label={[drawn.label, ...table.page.map(({ label }) => label)].join(", ")}
        aria-rowcount={table.rows.length + 2}
        style={table.page.length ? { maxHeight: 300, flex: "none" } : undefined}
      >
        {many && answer.split.length > 0 && (
          <div className="line heads" role="row" style={{ ...line, borderBottom: 0 }}>
            <span className="name" />
            {heads.map((column) => (
              <span
                key={column.key ?? "all"}
                className="over"
                style={{ gridColumn: `span ${answer.measures.length}` }}
              >
                {column.label}
              </span>
            ))}
          </div>
        )}
        <div
          className="line heads"
          role="row"
          style={{ ...line, ...(many && answer.split.length ? { top: 30 } : {}) }}
        >
          <span className="name" role="columnheader" />
          {seen.map((i) => {
            const column = columns[i];
            const isSorted =
              pivotSort && pivotSort.column === column.key && pivotSort.measure === column.measure;
            return (
              <span
                key={i}
                role="columnheader"
                style={{ gridColumn: i + 2 }}
                aria-sort={isSorted ? (pivotSort.descending ? "descending" : "ascending") : "none"}
              >
                <button onClick={() => onSort(column)}>
                  {many || !column.label ? column.measureLabel : column.label}
                  {isSorted &&
                    (pivotSort.descending ? (
                      <ArrowDown size={13} aria-hidden />
                    ) : (
                      <ArrowUp size={13} aria-hidden />
                    ))}
                </button>
              </span>
            );
          })}
        </div>
        <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: "relative" }}>
          {virtual.getVirtualItems().map(({ index, start }) => (
            <TableLine
              key={table.rows[index].key}
              row={table.rows[index]}
              index={index}
              start={start}
              first={first}
              last={last}
              template={line.gridTemplateColumns}
              least={line.minWidth}
              {...{ pivot, answer, drawn }}
              onClose={canClose ? close : null}
            />
          ))}
        </div>
        <div className="line all" role="row" style={{ ...line, minHeight: 34 }}>
          <span className="name" role="rowheader">
            All
          </span>
          {seen.map((i) => (
            <Cell
              key={i}
              cell={table.total[i]}
              column={columns[i]}
              at={i}
              path={table.page.map(({ key }) => key)}
              label="All"
              {...{ answer, drawn }}
            />
          ))}
        </div>
      </Frame>
    </>
  );
}
