"use client";
import type { Workings } from "@/core/kinds/planned";
import styled from "styled-components";
import { numberText } from "@/core/base";

const Account = styled.div`
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 24px;
  padding: 8px 16px 14px;
  align-items: start;
  table {
    border-collapse: collapse;
    width: 100%;
  }
  th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 2px 10px 2px 0;
  }
  td {
    padding: 3px 10px 3px 0;
    border-top: 1px solid rgba(0, 0, 0, 0.12);
    vertical-align: baseline;
  }
  .r {
    text-align: right;
    font: 520 18px/24px var(--serif);
    padding-right: 0;
  }
  td:first-child {
    font-weight: 600;
  }
  tr.sum td {
    border-top: 2px solid var(--ink);
  }
  tr.sum .r {
    font-size: 24px;
  }
  .q {
    color: var(--ink-2);
  }
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
  }
`;

/** Each condition with what it left, and how the figure was made. */
export const WorkingsBody = ({ workings }: { workings: Workings }) => (
  <Account tabIndex={0} role="region" aria-label="How it was counted">
    <table>
      <thead>
        <tr>
          <th>Condition</th>
          <th>What it meant</th>
          <th>Where it came from</th>
          <th className="r" style={{ font: "500 12.5px/20px var(--sans)" }}>
            Left
          </th>
        </tr>
      </thead>
      <tbody>
        {workings.lines.map((line, i) => (
          <tr key={i}>
            <td>{line.says}</td>
            <td>{line.meant}</td>
            <td className="q">{line.from}</td>
            <td className="r">{numberText(line.left)}</td>
          </tr>
        ))}
        <tr className="sum">
          <td colSpan={3}>
            {workings.isOfPast ? "match as of now; the figure tells of then" : "counted, each once"}
          </td>
          <td className="r">{numberText(workings.lines[workings.lines.length - 1].left)}</td>
        </tr>
      </tbody>
    </table>
    <table>
      <thead>
        <tr>
          <th colSpan={2}>How the figure was made</th>
        </tr>
      </thead>
      <tbody>
        {workings.notes.map((note, i) => (
          <tr key={i}>
            <td className="q" style={{ fontWeight: 400, whiteSpace: "nowrap" }}>
              {note.about}
            </td>
            <td>{note.says}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </Account>
);

export const workingsText = (workings: Workings): string =>
  [
    ...workings.lines.map(
      (line) =>
        `${line.says}${line.meant ? ` (${line.meant})` : ""}: ${line.left} left; from ${line.from}`,
    ),
    ...workings.notes.map((note) => `${note.about}: ${note.says}`),
  ].join("\n");
