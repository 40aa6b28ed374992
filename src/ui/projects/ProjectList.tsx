"use client";
import Link from "next/link";
import styled from "styled-components";
import { HealthSign } from "../said";
import type { PortfolioRow } from "./verdicts";

const Room = styled.div`
  padding: 10px 32px 20px;
  overflow-x: auto;
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    padding: 4px 12px 6px 0;
    white-space: nowrap;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 6px 12px 6px 0;
    white-space: nowrap;
  }
  td:first-child a {
    font-weight: 620;
    color: var(--ink);
  }
  .r {
    text-align: right;
  }
  .sign {
    display: inline-flex;
    gap: 6px;
    align-items: center;
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
  }
`;

const COLUMNS: readonly (readonly [field: string, words: string, isNumber?: true])[] = [
  ["type", "type"],
  ["portfolio", "portfolio"],
  ["client", "client"],
  ["manager", "manager"],
  ["starts", "starts"],
  ["ends", "ends"],
  ["stage", "stage"],
  ["actual percent", "done", true],
  ["budget", "budget", true],
  ["actual cost", "spent", true],
  ["projected cost", "projected", true],
];

/** A day without its weekday, which says nothing here. */
const shortened = (cell: string): string => cell.replace(/^[A-Z][a-z]{2} (?=\d)/, "");

/** The projects one under the other. */
export function ProjectList({
  rows,
  healthWords,
}: {
  rows: readonly PortfolioRow[];
  healthWords: readonly string[];
}) {
  return (
    <Room>
      <table aria-label="Projects">
        <thead>
          <tr>
            <th scope="col">project</th>
            <th scope="col">word</th>
            {COLUMNS.map(([field, words, isNumber]) => (
              <th key={field} scope="col" className={isNumber && "r"}>
                {words}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const health = row.cell("health");
            return (
              <tr key={row.id}>
                <td>
                  <Link href={`/projects/${row.id}`}>{row.name}</Link>
                </td>
                <td>
                  <span className="sign">
                    <HealthSign
                      place={health === null ? null : healthWords.indexOf(health)}
                      label={health ?? "nothing said"}
                    />
                    {health ?? "–"}
                  </span>
                </td>
                {COLUMNS.map(([field, , isNumber]) => (
                  <td key={field} className={isNumber && "r"}>
                    {shortened(row.cell(field) ?? "–")}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </Room>
  );
}
