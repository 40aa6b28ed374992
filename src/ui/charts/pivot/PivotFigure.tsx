"use client";
import { type CountAnswer, pivotOf, type Pivot, type PivotColumn } from "@/core/kinds";
import { useMemo } from "react";
import type { Dress } from "@/core/definition";
import { fill, type Drawn } from "../drawing";
import { MARKS } from "./pivotStyle";
import { Table } from "./PivotTable";

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
