"use client";
import styled from "styled-components";
import { depthOf, type Drawn, fill, inkOfShare, isLit } from "./drawing";
import { ruleOf, shareRanks, type Figure } from "@/core/figure";

const Scroll = styled.div`
  overflow: auto;
  flex: 1;
  min-height: 0;
  padding-bottom: 4px;
  table {
    border-collapse: separate;
    border-spacing: 2px;
  }
  th {
    font-weight: 600;
    font-size: 12.5px;
    text-align: left;
    white-space: nowrap;
    padding: 0 10px 0 0;
  }
  thead th {
    vertical-align: bottom;
    padding: 0 4px 4px;
    text-align: center;
    max-width: 92px;
    white-space: normal;
    line-height: 15px;
    font-weight: 500;
    color: var(--ink-2);
  }
  td {
    padding: 0;
  }
  button {
    width: 100%;
    min-width: 52px;
    height: 34px;
    text-align: center;
    font: 520 15px/1 var(--serif);
    color: inherit;
  }
  .small button {
    height: 22px;
    min-width: 30px;
    font-size: 12.5px;
  }
  .sum {
    text-align: right;
    font: 520 16px/1 var(--serif);
    padding-left: 8px;
    background: none;
  }
`;

/** Pairs of groups by tone: the more, the deeper. The figure stands in every cell, so that tone never stands alone. */
export function HeatMap({ figure, drawn }: { figure: Figure; drawn: Drawn }) {
  const values = figure.rows.flatMap((row) => row.parts.map((part) => part.value));
  const most = Math.max(1e-9, ...values.map((value) => Math.abs(value ?? 0)));
  const ranks = shareRanks(values.map((value) => (value === null ? null : String(value))));
  const width = figure.series.length;
  return (
    <Scroll>
      <table className={drawn.small ? "small" : undefined}>
        <caption
          style={{
            position: "absolute",
            clip: "rect(0 0 0 0)",
            width: 1,
            height: 1,
            overflow: "hidden",
          }}
        >
          {drawn.label}
        </caption>
        <thead>
          <tr>
            <td />
            {figure.series.map((one) => (
              <th key={one.key} scope="col">
                {one.label}
              </th>
            ))}
            <th scope="col">all</th>
          </tr>
        </thead>
        <tbody>
          {figure.rows.map((row, r) => (
            <tr key={row.path.join("/")}>
              <th scope="row">{row.label}</th>
              {row.parts.map((part, c) => {
                const share = Math.abs(part.value ?? 0) / most;
                const rule = ruleOf(
                  part.value === null ? null : String(part.value),
                  drawn.dress.rules,
                  ranks[r * width + c],
                );
                const ground = rule
                  ? `color-mix(in srgb, ${fill(rule.color as "c1")} 38%, var(--salt))`
                  : part.value
                    ? `color-mix(in srgb, var(--c1) ${depthOf(share)}%, var(--salt))`
                    : "var(--ghost)";
                const isOpen = isLit(part, drawn);
                return (
                  <td key={part.split}>
                    <button
                      aria-pressed={isOpen}
                      aria-label={`${part.label}: ${part.words}${rule ? `, ${rule.name || rule.kind}` : ""}. Open the records`}
                      title={`${part.label}: ${part.words}`}
                      onClick={() => drawn.onOpen(part)}
                      style={{
                        background: ground,
                        color: rule ? "var(--ink)" : inkOfShare(share),
                        boxShadow: isOpen
                          ? "0 -3px 0 var(--brass), 0 3px 0 var(--brass)"
                          : rule
                            ? "inset 0 -3px 0 var(--ink)"
                            : undefined,
                      }}
                    >
                      {part.value === null || (part.value === 0 && drawn.small) ? "·" : part.words}
                    </button>
                  </td>
                );
              })}
              <td className="sum">
                <button
                  onClick={() => drawn.onOpen(row)}
                  aria-label={`${row.label}: ${row.words}. Open the records`}
                >
                  {row.words}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}
