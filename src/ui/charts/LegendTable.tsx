"use client";
import styled from "styled-components";
import { tableRows, type Figure } from "@/core/figure";
import { markId, type Drawn } from "./drawing";
import { Swatch } from "./Swatch";

const Table = styled.table`
  border-collapse: collapse;
  align-self: flex-start;
  font-size: 13px;
  td,
  th {
    padding: 3px 12px 3px 0;
    border-top: 1px solid var(--line);
    text-align: left;
    font-weight: 400;
  }
  thead th {
    border-top: 0;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .r {
    text-align: right;
    font: 520 15px/1.2 var(--serif);
  }
  i {
    margin-right: 8px;
  }
  tr.all td,
  tr.all th {
    border-top: 2.5px solid var(--ink);
    font-weight: 650;
  }
`;

/** The legend as a table, with the columns that its builder wants and a total row. */
export function LegendTable({
  figure,
  drawn,
  measure,
}: {
  figure: Figure;
  drawn: Drawn;
  measure: string;
}) {
  const { dress } = drawn;
  const lines =
    figure.series.length && figure.measures.length === 1
      ? figure.series.map((one) => ({
          label: one.label,
          color: one.color,
          words: one.total,
          percent: null as string | null,
          second: "",
          open: null as (() => void) | null,
        }))
      : tableRows(figure).map((row) => ({
          label: row.label,
          color: row.color,
          words: row.words,
          percent: row.percent,
          second: row.measures[1]?.words ?? "",
          open: () => drawn.onOpen(row),
        }));
  const has = (column: "value" | "percent" | "second") => dress.legendColumns.includes(column);
  return (
    <Table>
      <thead>
        <tr>
          <th />
          {has("value") && <th className="r">{measure}</th>}
          {has("percent") && <th className="r">%</th>}
          {has("second") && figure.measures[1] && <th className="r">{figure.measures[1].label}</th>}
        </tr>
      </thead>
      <tbody>
        {lines.slice(0, 40).map((line, i) => (
          <tr key={i}>
            <th scope="row">
              <Swatch color={line.color} />
              {line.open ? (
                <button
                  onClick={line.open}
                  aria-label={`${line.label}: ${line.words}. Open the records`}
                >
                  {line.label}
                </button>
              ) : (
                line.label
              )}
            </th>
            {has("value") && <td className="r">{line.words}</td>}
            {has("percent") && <td className="r">{line.percent ?? ""}</td>}
            {has("second") && figure.measures[1] && <td className="r">{line.second}</td>}
          </tr>
        ))}
        {dress.legendTotal && (
          <tr className="all" data-total={markId(figure.total)}>
            <th scope="row">All</th>
            {has("value") && <td className="r">{figure.total.words}</td>}
            {has("percent") && <td />}
            {has("second") && figure.measures[1] && (
              <td className="r">{figure.measures[1].words}</td>
            )}
          </tr>
        )}
      </tbody>
    </Table>
  );
}
