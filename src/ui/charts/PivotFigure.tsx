"use client";
import {
  type CountAnswer,
  pivotOf,
  type Pivot,
  type PivotCell,
  type PivotColumn,
  type PivotTable,
} from "@/core/kinds";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp, ChevronDown, ChevronRight } from "lucide-react";
import { memo, useCallback, useEffect, useMemo, useRef } from "react";
import styled from "styled-components";

import { type Mark } from "@/core/figure";
import type { Dress } from "@/core/definition";
import { fill, markId, type Drawn } from "./drawing";

const ROW = 30;
/** Width of the names of the rows, in px. */
const NAME = 230;
const Frame = styled.div`
  overflow: auto;
  flex: 1;
  min-height: 180px;
  position: relative;
  outline-offset: -3px;
  .line {
    display: grid;
    align-items: stretch;
  }
  .line > * {
    padding: 0 10px;
    display: flex;
    align-items: center;
    justify-content: flex-end;
    white-space: nowrap;
  }
  .heads {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--salt);
    border-bottom: 1.5px solid var(--ink);
  }
  .heads > * {
    min-height: 30px;
    font-size: 12.5px;
    color: var(--ink-2);
    font-weight: 500;
  }
  .heads button {
    font-weight: 600;
    color: var(--ink);
    display: flex;
    gap: 4px;
    align-items: center;
    text-align: right;
    white-space: normal;
    line-height: 15px;
  }
  .heads .over {
    justify-content: center;
    font-weight: 650;
    color: var(--ink);
    border-left: 8px solid var(--salt);
    background: var(--tide);
  }
  .name {
    position: sticky;
    left: 0;
    z-index: 2;
    background: var(--salt);
    justify-content: flex-start !important;
    gap: 4px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .name small {
    color: var(--ink-3);
    font-size: 12px;
  }
  .line.tier {
    background: color-mix(in srgb, var(--sand) 60%, var(--salt));
    font-weight: 650;
  }
  .line.tier .name {
    background: color-mix(in srgb, var(--sand) 60%, var(--salt));
  }
  .line.all,
  .line.all .name {
    background: var(--sand);
    border-top: 3px solid var(--ink);
    font-weight: 650;
    position: sticky;
    bottom: 0;
    z-index: 3;
  }
  .cell {
    display: flex;
    align-items: center;
    justify-content: flex-end;
    padding: 0 10px;
    white-space: nowrap;
    font: 520 16px/1 var(--serif);
    min-width: 0;
    border-top: 1px solid var(--line);
    width: 100%;
    overflow: hidden;
  }
  .cell.second {
    font: 400 13px/1 var(--sans);
    color: var(--ink-2);
  }
  .cell.first {
    border-left: 8px solid var(--salt);
  }
  button.cell:hover {
    box-shadow: inset 0 0 0 2px var(--plum);
  }
  .cell[aria-pressed="true"] {
    box-shadow:
      inset 0 3px 0 var(--brass),
      inset 0 -3px 0 var(--brass);
  }
  .rules {
    display: flex;
    gap: 16px;
    flex-wrap: wrap;
    padding: 0 0 6px;
    font-size: 12.5px;
    color: var(--ink-2);
  }
  .rules i {
    display: inline-block;
    width: 14px;
    height: 12px;
    margin-right: 6px;
    vertical-align: -1px;
  }
  h3 {
    font: 560 18px/28px var(--serif);
    padding-top: 8px;
  }
`;

/** Marks of the rules, so that tone never stands alone: a foot, a bar at the left, a ring, dots below. */
const MARKS = [
  "inset 0 -3px 0 var(--ink)",
  "inset 4px 0 0 var(--ink)",
  "inset 0 0 0 2px var(--ink)",
  "inset 0 3px 0 var(--ink)",
];

interface PivotProps {
  readonly answer: CountAnswer;
  readonly drawn: Drawn;
  readonly onDress?: (dress: Dress) => void;
}

/** Tables of several groups: a tier's own row is its subtotal, every cell opens, rules tone cells and never totals. */
export function PivotFigure({ answer, drawn, onDress }: PivotProps) {
  const { dress } = drawn;
  const pivot = useMemo(() => pivotOf(answer, dress), [answer, dress]);
  const set = (more: Partial<Dress>) => onDress?.({ ...dress, ...more });
  const sort = (column: PivotColumn) => {
    const same =
      dress.pivotSort &&
      dress.pivotSort.column === column.key &&
      dress.pivotSort.measure === column.measure;
    const { pivotSort: _now, ...rest } = dress;
    if (same && !dress.pivotSort!.descending) onDress?.(rest);
    else set({ pivotSort: { column: column.key, measure: column.measure, descending: !same } });
  };
  return (
    <>
      {pivot.rules.length > 0 && <RuleKeys pivot={pivot} />}
      {pivot.tables.map((table) => (
        <Table
          key={table.page.map(({ key }) => key).join("/")}
          {...{ table, pivot, answer, drawn }}
          canClose={Boolean(onDress)}
          onClose={(key) =>
            set({
              closed: dress.closed.includes(key)
                ? dress.closed.filter((one) => one !== key)
                : [...dress.closed, key],
            })
          }
          onSort={sort}
        />
      ))}
    </>
  );
}

const RuleKeys = ({ pivot }: { pivot: Pivot }) => (
  <p style={{ display: "flex", gap: 16, flexWrap: "wrap", fontSize: 12.5, color: "var(--ink-2)" }}>
    {pivot.rules.map(({ rule, cells }, i) => (
      <span key={i}>
        <i
          style={{
            display: "inline-block",
            width: 16,
            height: 13,
            marginRight: 6,
            verticalAlign: -2,
            background: `color-mix(in srgb, ${fill(rule.color as "c1")} 36%, var(--salt))`,
            boxShadow: MARKS[i % MARKS.length],
          }}
        />
        {rule.name ||
          (rule.kind === "top share" ? `largest ${rule.value} %` : `${rule.kind} ${rule.value}`)}
        : {cells === 1 ? "1 cell" : `${cells} cells`}
      </span>
    ))}
  </p>
);

function Table({
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

interface LineProps {
  readonly row: PivotTable["rows"][number];
  readonly index: number;
  /** Where it lies, in px. */
  readonly start: number;
  /** The columns that are in sight. */
  readonly first: number;
  readonly last: number;
  readonly template: string;
  readonly least: number;
  readonly pivot: Pivot;
  readonly answer: CountAnswer;
  readonly drawn: Drawn;
  readonly onClose: ((key: string) => void) | null;
}

/** One row; drawn again only where it or the columns in sight change, so that scrolling stays smooth. */
const TableLine = memo(function TableLine({
  row,
  index,
  start,
  first,
  last,
  template,
  least,
  pivot,
  answer,
  drawn,
  onClose,
}: LineProps) {
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      className={`line${row.isLeaf ? "" : " tier"}`}
      style={{
        gridTemplateColumns: template,
        minWidth: least,
        height: ROW,
        position: "absolute",
        left: 0,
        right: 0,
        transform: `translateY(${start}px)`,
      }}
    >
      <span role="rowheader" className="name" style={{ paddingLeft: 8 + row.tier * 18 }}>
        {!row.isLeaf && onClose && (
          <button
            aria-expanded={!row.isClosed}
            aria-label={`${row.isClosed ? "Open" : "Close"} ${row.label}`}
            onClick={() => onClose(row.key)}
          >
            {row.isClosed ? (
              <ChevronRight size={16} aria-hidden />
            ) : (
              <ChevronDown size={16} aria-hidden />
            )}
          </button>
        )}
        {row.label}
        {row.isClosed && (
          <small>
            · {row.inside} inside{row.toned ? `, ${row.toned} toned` : ""}
          </small>
        )}
      </span>
      {Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (
        <Cell
          key={first + i}
          cell={row.cells[first + i]}
          column={pivot.columns[first + i]}
          at={first + i}
          path={row.path}
          label={row.label}
          {...{ answer, drawn }}
        />
      ))}
    </div>
  );
});

interface CellProps {
  readonly cell: PivotCell;
  readonly column: PivotColumn;
  readonly at: number;
  readonly path: readonly string[];
  readonly label: string;
  readonly answer: CountAnswer;
  readonly drawn: Drawn;
}

const Cell = memo(function Cell({ cell, column, at, path, label, answer, drawn }: CellProps) {
  const { rules } = drawn.dress;
  const mark: Mark = {
    path,
    ...(column.key === null ? {} : { split: column.key }),
    ...(column.compares === "before" ? { before: true as const } : {}),
    ...(answer.measures[column.measure].hasOwnRecords ? { measure: column.measure } : {}),
    label: `${label}${column.key === null && !column.compares ? "" : `, ${column.label}`}`,
    value: null,
    words: cell.words,
    percent: null,
    written: "",
    color: "c1",
    soFar: false,
  };
  const place = { gridColumn: at + 2, padding: 0 };
  const className = `cell${column.measure > 0 ? " second" : " first"}`;
  if (cell.value === null || column.compares === "change")
    return (
      <span role="cell" style={place}>
        <span className={className} style={{ color: "var(--ink-3)", height: "100%" }}>
          {cell.words}
        </span>
      </span>
    );
  const rule = cell.rule ? rules.indexOf(cell.rule) : -1;
  return (
    <span role="cell" style={place}>
      <button
        className={className}
        aria-pressed={drawn.opened === markId(mark)}
        aria-label={`${mark.label}: ${cell.words}${cell.rule ? `, ${cell.rule.name || cell.rule.kind}` : ""}. Open the records`}
        onClick={() => drawn.onOpen(mark)}
        style={{
          height: "100%",
          ...(rule >= 0
            ? {
                background: `color-mix(in srgb, ${fill(cell.rule!.color as "c1")} 36%, var(--salt))`,
                boxShadow: MARKS[rule % MARKS.length],
              }
            : {}),
        }}
      >
        {cell.words}
      </button>
    </span>
  );
});
