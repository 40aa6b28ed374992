"use client";
import styled from "styled-components";
import { addDays, dayOf, daysInMonth, monthName, weekdayOf, WEEKDAYS } from "@/core/time";
import type { Figure, FigureRow } from "@/core/figure";
import { depthOf, type Drawn, inkOfShare, isLit } from "./drawing";

const Months = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 18px 30px;
  overflow: auto;
  flex: 1;
  min-height: 0;
  align-content: flex-start;
  && table {
    width: auto;
    border-collapse: separate;
    border-spacing: 2px;
  }
  caption {
    font: 560 17px/24px var(--serif);
    text-align: left;
  }
  th {
    font-weight: 500;
    font-size: 11.5px;
    color: var(--ink-2);
    width: 34px;
  }
  td {
    padding: 0;
    width: 34px;
    height: 34px;
  }
  button {
    width: 34px;
    height: 34px;
    position: relative;
    text-align: center;
    font: 520 14px/1 var(--serif);
    padding-top: 8px;
  }
  button small {
    position: absolute;
    left: 3px;
    top: 2px;
    font: 400 9.5px/11px var(--sans);
  }
  .off {
    background: var(--ghost);
  }
  .none {
    color: var(--ink-3);
    font-size: 11px;
    display: block;
    padding: 2px 3px;
    background: var(--paper);
    height: 34px;
  }
`;

/** Days as a calendar, a month each: the more, the deeper. */
export function MonthCalendar({ figure, drawn }: { figure: Figure; drawn: Drawn }) {
  const days = new Map<string, FigureRow>(
    figure.rows
      .filter((row) => /^v\d{4}-/.test(row.path[row.path.length - 1]))
      .map((row) => [row.path[row.path.length - 1].slice(1), row]),
  );
  const months = [...new Set([...days.keys()].map((day) => day.slice(0, 7)))].sort();
  const most = Math.max(1e-9, ...figure.rows.map((row) => Math.abs(row.value ?? 0)));
  const shown = drawn.small ? months.slice(-2) : months;
  return (
    <Months role="group" aria-label={drawn.label}>
      {shown.map((month) => {
        const [year, number] = [Number(month.slice(0, 4)), Number(month.slice(5))];
        const first = dayOf(year, number, 1);
        const weeks = Math.ceil((daysInMonth(year, number) + weekdayOf(first) - 1) / 7);
        return (
          <table key={month}>
            <caption>
              {monthName(first)} {year}
            </caption>
            <thead>
              <tr>
                {WEEKDAYS.map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {Array.from({ length: weeks }, (_, week) => (
                <tr key={week}>
                  {Array.from({ length: 7 }, (_d, i) => {
                    const day = addDays(first, week * 7 + i - weekdayOf(first) + 1);
                    if (!day.startsWith(month)) return <td key={i} />;
                    const row = days.get(day);
                    if (!row)
                      return (
                        <td key={i}>
                          <span className="none">{Number(day.slice(8))}</span>
                        </td>
                      );
                    const share = Math.abs(row.value ?? 0) / most;
                    const isOpen = isLit(row, drawn);
                    return (
                      <td key={i}>
                        <button
                          aria-pressed={isOpen}
                          aria-label={`${row.label}: ${row.words}. Open the records`}
                          title={`${row.label}: ${row.words}`}
                          onClick={() => drawn.onOpen(row)}
                          style={{
                            background: row.value
                              ? `color-mix(in srgb, var(--c1) ${depthOf(share)}%, var(--salt))`
                              : "var(--ghost)",
                            color: inkOfShare(share),
                            boxShadow: isOpen ? "0 0 0 3px var(--brass)" : undefined,
                          }}
                        >
                          <small>{Number(day.slice(8))}</small>
                          {row.value === null || row.value === 0 ? "" : row.words}
                        </button>
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        );
      })}
    </Months>
  );
}
