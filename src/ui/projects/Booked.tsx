"use client";
import styled from "styled-components";
import type { Day } from "@/core/time";
import type { Opening } from "../said";
import { bookedOf, bookedSays } from "./booked";
import { countIn, useSaid } from "./useSaid";

const Band = styled.section`
  background: var(--tide);
  padding: 12px 32px 18px;
  overflow-x: auto;
  header {
    display: flex;
    gap: 12px;
    align-items: baseline;
    flex-wrap: wrap;
  }
  h2 {
    font: 650 14px/20px var(--sans);
  }
  header span {
    margin-left: auto;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  table {
    border-collapse: separate;
    border-spacing: 2px;
    width: 100%;
    min-width: 720px;
    table-layout: fixed;
  }
  thead th:first-child {
    width: 200px;
    text-align: left;
  }
  th {
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    text-align: center;
  }
  tbody th {
    text-align: left;
    font-weight: 620;
    color: var(--ink);
    white-space: nowrap;
    padding-right: 10px;
  }
  thead th:first-of-type + th {
    color: var(--brass-ink);
    font-weight: 650;
  }
  td {
    padding: 0;
    height: 25px;
    background: var(--salt);
  }
  td.off {
    background: none;
    box-shadow: inset 0 0 0 1px var(--line);
    color: var(--ink-3);
    text-align: center;
  }
  td button {
    width: 100%;
    height: 25px;
    text-align: center;
    font-weight: 600;
    background: linear-gradient(to right, var(--water) var(--part), transparent var(--part));
  }
  td.over button {
    background: var(--c1);
    color: var(--o1);
  }
`;

const MOST_PEOPLE = 12;

/** Who is booked over the next weeks, in percent of their working time; what is over 100 stands out. */
export function Booked({ today, open }: { today: Day; open: Opening }) {
  const says = bookedSays(today);
  const { data, error } = useSaid(says);
  const answer = countIn(data);
  if (error && !data) return null;
  if (!answer) return null;
  const { weeks, rows } = bookedOf(answer);
  if (rows.length === 0) return null;
  const shown = rows.slice(0, MOST_PEOPLE);
  const definition = data!.definition;
  return (
    <Band aria-label="Who is booked">
      <header>
        <h2>Who is booked</h2>
        <span>hours booked of working time, percent · holidays and absences counted</span>
      </header>
      <table aria-label="Booked by person and week">
        <thead>
          <tr>
            <th scope="col">
              {shown.length < rows.length ? `${shown.length} of ${rows.length} people` : ""}
            </th>
            {weeks.map((week, i) => (
              <th key={i} scope="col">
                {i === 0 ? "this week" : week}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr key={row.key}>
              <th scope="row">{row.name}</th>
              {row.weeks.map((percent, i) =>
                percent === null ? (
                  <td key={i} className="off">
                    off
                  </td>
                ) : (
                  <td key={i} className={percent > 100 ? "over" : undefined}>
                    <button
                      style={{ "--part": `${Math.min(percent, 100)}%` } as React.CSSProperties}
                      aria-label={`${row.name}, ${i === 0 ? "this week" : weeks[i]}: ${percent} percent booked`}
                      onClick={() =>
                        open.ofMark(
                          definition,
                          {
                            path: [row.key],
                            split: answer.split[i].key,
                            label: row.name,
                          } as never,
                          `${row.name}, ${i === 0 ? "this week" : `week of ${weeks[i]}`}`,
                        )
                      }
                    >
                      {percent}
                    </button>
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </Band>
  );
}
