"use client";
import {
  type CountAnswer,
  type Pivot,
  type PivotCell,
  type PivotColumn,
  type PivotTable,
} from "@/core/kinds";
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo } from "react";
import { type Mark } from "@/core/figure";
import { type Drawn, fill, isLit } from "../drawing";
import { ROW, MARKS } from "./pivotStyle";

export interface LineProps {
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
export const TableLine = memo(function TableLine({
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

export interface CellProps {
  readonly cell: PivotCell;
  readonly column: PivotColumn;
  readonly at: number;
  readonly path: readonly string[];
  readonly label: string;
  readonly answer: CountAnswer;
  readonly drawn: Drawn;
}

/** A number that opens into its records; a change has none. */
export const Cell = memo(function Cell({
  cell,
  column,
  at,
  path,
  label,
  answer,
  drawn,
}: CellProps) {
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
        aria-pressed={isLit(mark, drawn)}
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
