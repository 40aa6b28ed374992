"use client";
import styled from "styled-components";
import type { ReactNode } from "react";
import { nameKey, tableRows, type Figure, type Mark } from "@/core/figure";
import type { Drawn } from "./drawing";
import { isLit, markId } from "./marks";

const Scroll = styled.div`
  overflow: auto;
  max-height: 420px;
  table {
    border-collapse: collapse;
    min-width: 340px;
  }
  th button[data-rac] {
    vertical-align: middle;
    margin-left: 2px;
  }
  th input {
    width: 180px;
    display: inline-block;
    margin-left: 6px;
  }
  th {
    position: sticky;
    top: 0;
    background: var(--salt);
    font-weight: 500;
    color: var(--ink-2);
    font-size: 12.5px;
    text-align: left;
    padding: 0 14px 0 0;
    height: 28px;
  }
  td {
    border-top: 1px solid var(--line);
    height: 30px;
    padding: 0 14px 0 0;
  }
  .r {
    text-align: right;
  }
  tr:last-child td {
    border-top: 3px solid var(--ink);
  }
  tr.all td,
  tr.all th {
    background: var(--sand);
  }
  button {
    font: 520 16px/1 var(--serif);
    padding: 4px 2px;
  }
  button:hover {
    background: var(--mallow-2);
  }
  button[aria-pressed="true"] {
    box-shadow:
      0 -2.5px 0 var(--brass),
      0 2.5px 0 var(--brass);
  }
`;

/** Every figure as a table whose cells open: the same marks, for keys and ears. */
export function FigureTable({
  figure,
  drawn,
  measure,
  rename,
}: {
  figure: Figure;
  drawn: Drawn;
  measure: string;
  rename?: (key: string, label: string) => ReactNode;
}) {
  const open = (mark: Mark) => (
    <button
      aria-pressed={isLit(mark, drawn)}
      aria-label={`${mark.label}: ${mark.words}. Open the records`}
      onClick={() => drawn.onOpen(mark)}
    >
      {mark.words}
    </button>
  );
  const hasShares = figure.rows.some((row) => row.percent !== null);
  const isCompared =
    figure.total.change !== undefined || figure.rows.some((row) => row.change !== undefined);
  // Several measures without a split are the series themselves.
  const byMeasure =
    figure.measures.length > 1 &&
    figure.series.length === figure.measures.length &&
    figure.series.every((one) => one.key.startsWith("m"));
  const extra = figure.measures.length > 1 && !byMeasure ? figure.measures.slice(1) : [];
  // The net of flows is their whole.
  const sides = [...(figure.lines ?? []).entries()].filter(([, line]) => line.key !== "net");
  return (
    <Scroll>
      <table>
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
            <th scope="col">Group</th>
            {figure.series.map((one) => (
              <th key={one.key} scope="col" className="r">
                {one.label}
                {!byMeasure && rename?.(nameKey("split", one.key), one.label)}
              </th>
            ))}
            {!byMeasure && (
              <th scope="col" className="r">
                {measure}
              </th>
            )}
            {extra.map((one) => (
              <th key={one.label} scope="col" className="r">
                {one.label}
              </th>
            ))}
            {sides.map(([at, line]) => (
              <th key={at} scope="col" className="r">
                {line.label}
                {figure.axes?.lines ? `, ${figure.axes.lines}` : ""}
              </th>
            ))}
            {hasShares && (
              <th scope="col" className="r">
                %
              </th>
            )}
            {isCompared && (
              <>
                <th scope="col" className="r">
                  before
                </th>
                <th scope="col">change</th>
              </>
            )}
          </tr>
        </thead>
        <tbody>
          {tableRows(figure).map((row) => (
            <tr key={row.path.join("/")}>
              <th scope="row">
                {row.label}
                {row.soFar ? ", so far" : ""}
                {!figure.isTime &&
                  row.path.length === 1 &&
                  rename?.(nameKey(0, row.path[0]), row.label)}
              </th>
              {row.parts.map((part) => (
                <td key={markId(part) + part.label} className="r">
                  {open(part)}
                </td>
              ))}
              {!byMeasure && <td className="r">{open(row)}</td>}
              {extra.map((_, i) => (
                <td key={i} className="r">
                  {open(row.measures[i + 1])}
                </td>
              ))}
              {sides.map(([at]) => (
                <td key={at} className="r">
                  {open(row.lines![at])}
                </td>
              ))}
              {hasShares && <td className="r">{row.percent ?? ""}</td>}
              {isCompared && (
                <>
                  <td className="r">{row.then ? open(row.then) : "–"}</td>
                  <td>{row.change}</td>
                </>
              )}
            </tr>
          ))}
          <tr className="all">
            <th scope="row">All</th>
            {figure.series.map((one, i) => (
              <td key={one.key} className="r">
                {byMeasure ? open(figure.measures[i]) : one.total}
              </td>
            ))}
            {!byMeasure && <td className="r">{open(figure.total)}</td>}
            {extra.map((one) => (
              <td key={one.label} className="r">
                {open(one)}
              </td>
            ))}
            {sides.map(([at, line]) => (
              <td key={at} className="r">
                {line.total}
              </td>
            ))}
            {hasShares && <td />}
            {isCompared && (
              <>
                <td className="r">{figure.then ? open(figure.then) : "–"}</td>
                <td>{figure.total.change}</td>
              </>
            )}
          </tr>
        </tbody>
      </table>
    </Scroll>
  );
}
