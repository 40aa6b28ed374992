"use client";
import Link from "next/link";
import { useState, type KeyboardEvent } from "react";
import styled from "styled-components";
import type { HoursDay, HoursLine, HoursWeek } from "@/contract/hours";
import { monthName, WEEKDAYS, weekdayOf, type Day } from "@/core/time";
import { lineKey, type LineOf } from "./lines";
import { hoursText, minutesOf } from "./typed";

const Room = styled.div`
  padding: 4px 32px 10px;
  overflow-x: auto;
  table {
    width: 100%;
    min-width: 780px;
    border-collapse: separate;
    border-spacing: 3px;
  }
  thead th {
    font-weight: 500;
    color: var(--ink-2);
    text-align: center;
    padding: 4px;
    vertical-align: bottom;
    font-size: 12.5px;
    line-height: 17px;
  }
  thead th:first-child {
    text-align: left;
  }
  thead th b {
    display: block;
    color: var(--ink);
    font: 620 15px/20px var(--serif);
  }
  thead .today b {
    color: var(--brass-ink);
  }
  tbody th {
    text-align: left;
    font-weight: 400;
    padding: 3px 12px 3px 0;
    max-width: 380px;
  }
  tbody th b {
    font-weight: 620;
  }
  tbody th small {
    display: block;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  td {
    padding: 0;
    width: 78px;
    text-align: right;
    vertical-align: top;
  }
  input {
    width: 100%;
    height: 34px;
    border: 0;
    padding: 0 10px;
    text-align: right;
    background: var(--salt);
    font: 540 16px/20px var(--serif);
  }
  .off input {
    background: var(--tide);
  }
  input[aria-invalid="true"] {
    box-shadow: inset 0 -2px 0 var(--alarm);
  }
  .corrected input {
    background-image: linear-gradient(225deg, var(--brass) 7px, transparent 7px);
  }
  td .error {
    color: var(--alarm);
    font-size: 12px;
    line-height: 15px;
    text-align: left;
  }
  tfoot td,
  tfoot th {
    border-top: 3px solid var(--ink);
    padding: 6px 10px;
    font: 540 17px/22px var(--serif);
  }
  tfoot th {
    text-align: left;
    padding-left: 0;
    font: 650 13.5px/20px var(--sans);
  }
  tfoot small {
    display: block;
    font: 400 12px/15px var(--sans);
    color: var(--ink-2);
  }
  .over {
    color: var(--alarm);
  }
  .sum {
    padding: 7px 10px;
    font: 540 17px/20px var(--serif);
  }
  @media (max-width: 700px) {
    padding: 4px 16px 10px;
  }
`;

interface WeekTableProps {
  readonly week: HoursWeek;
  readonly lines: readonly HoursLine[];
  /** @returns what is wrong with it; null where it is kept */
  readonly onBook: (line: LineOf, day: Day, minutes: number, was: number) => Promise<string | null>;
}

const sum = (minutes: readonly number[]): number => minutes.reduce((all, one) => all + one, 0);

/** Lines of work by days; arrows go from cell to cell, what is left is kept. */
export function WeekTable({ week, lines, onBook }: WeekTableProps) {
  const byDay = week.days.map((_, i) => sum(lines.map((line) => line.minutes[i])));
  const capacity = sum(week.days.map((day) => day.capacity));
  return (
    <Room>
      <table aria-label="Hours of the week" onKeyDown={goByArrows}>
        <thead>
          <tr>
            <th scope="col">item or project</th>
            {week.days.map((day) => (
              <DayHead key={day.day} day={day} isToday={day.day === week.today} />
            ))}
            <th scope="col">
              <b>week</b>
              in all
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={lineKey(line)}>
              <th scope="row">
                {line.item ? (
                  <>
                    <Link href={`/items/${encodeURIComponent(line.item.key)}`}>
                      <b>{line.item.key}</b>
                    </Link>{" "}
                    {line.item.title}
                  </>
                ) : (
                  <b>{line.project?.name ?? "a project that is not yours to see any more"}</b>
                )}
                <small>
                  {line.item && line.project ? `${line.project.name}, ` : ""}
                  {line.billable ? "billable" : "not billable"}
                </small>
              </th>
              {week.days.map((day, i) => (
                <Cell
                  key={`${day.day} ${line.minutes[i]}`}
                  label={`${line.item?.key ?? line.project?.name ?? "gone"}, ${dayWords(day.day)}`}
                  minutes={line.minutes[i]}
                  entries={line.entries[i]}
                  corrected={line.corrected[i]}
                  isOff={day.capacity === 0}
                  onBook={(minutes) => onBook(line, day.day, minutes, line.minutes[i])}
                />
              ))}
              <td className="sum">{hoursText(sum(line.minutes)) || "–"}</td>
            </tr>
          ))}
          {lines.length === 0 && (
            <tr>
              <td colSpan={9} style={{ textAlign: "left", padding: "14px 0" }}>
                Nothing is booked in this week yet. Name an item or a project below, or copy last
                week.
              </td>
            </tr>
          )}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">
              in all
              <small>of what the days hold</small>
            </th>
            {week.days.map((day, i) => (
              <td key={day.day} className={byDay[i] > day.capacity ? "over" : undefined}>
                {hoursText(byDay[i]) || "0:00"}
                <small>{day.capacity > 0 ? `of ${hoursText(day.capacity)}` : "off"}</small>
              </td>
            ))}
            <td className={sum(byDay) > capacity ? "over" : undefined}>
              {hoursText(sum(byDay)) || "0:00"}
              <small>of {hoursText(capacity) || "0:00"}</small>
            </td>
          </tr>
        </tfoot>
      </table>
    </Room>
  );
}

const dayWords = (day: Day): string =>
  `${WEEKDAYS[weekdayOf(day) - 1]} ${Number(day.slice(8))} ${monthName(day)}`;

const DayHead = ({ day, isToday }: { day: HoursDay; isToday: boolean }) => (
  <th scope="col" className={isToday ? "today" : undefined}>
    {day.holiday ?? (day.absence > 0 ? (day.capacity > 0 ? "partly away" : "away") : "")}
    <b>{WEEKDAYS[weekdayOf(day.day) - 1]}</b>
    {`${Number(day.day.slice(8))} ${monthName(day.day)}`}
  </th>
);

interface CellProps {
  readonly label: string;
  readonly minutes: number;
  readonly entries: number;
  readonly corrected: string | null;
  readonly isOff: boolean;
  readonly onBook: (minutes: number) => Promise<string | null>;
}

/** One cell: what was typed is kept as it is left; what does not read stays, with the reason under it. */
function Cell({ label, minutes, entries, corrected, isOff, onBook }: CellProps) {
  const [text, setText] = useState(hoursText(minutes));
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const typed = minutesOf(text);
    if (typed === null) return setWrong("hours as 7:30, 7.5 or 450m");
    if (typed > 1440) return setWrong("a day has 24 hours");
    setWrong(null);
    if (typed === minutes) return setText(hoursText(minutes));
    const problem = await onBook(typed);
    setWrong(problem);
    if (problem === null) setText(hoursText(minutes));
  };
  const about = [
    ...(entries > 1 ? [`${entries} entries`] : []),
    ...(corrected ? [corrected] : []),
  ].join(", ");
  return (
    <td className={[isOff && "off", corrected && "corrected"].filter(Boolean).join(" ")}>
      <input
        aria-label={label}
        aria-invalid={wrong !== null}
        inputMode="text"
        title={about || undefined}
        value={text}
        data-cell
        onFocus={(event) => event.target.select()}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => void keep()}
        onKeyDown={(event) => {
          if (event.key === "Enter") void keep();
          if (event.key === "Escape") {
            setText(hoursText(minutes));
            setWrong(null);
          }
        }}
      />
      {wrong && (
        <div className="error" role="alert">
          {wrong}
        </div>
      )}
    </td>
  );
}

/** Up and down go to the cell above and below; left and right too, where the text ends. */
function goByArrows(event: KeyboardEvent<HTMLTableElement>): void {
  const cell = event.target as HTMLInputElement;
  if (!cell.matches("[data-cell]")) return;
  const row = cell.closest("tr")!;
  const cells = [...row.querySelectorAll<HTMLInputElement>("[data-cell]")];
  const place = cells.indexOf(cell);
  const rows = [...row.parentElement!.querySelectorAll("tr")];
  const at = (line: Element | undefined, i: number) =>
    line?.querySelectorAll<HTMLInputElement>("[data-cell]")[i];
  const isAll = cell.selectionStart === 0 && cell.selectionEnd === cell.value.length;
  const next =
    event.key === "ArrowDown" || event.key === "Enter"
      ? at(rows[rows.indexOf(row) + 1], place)
      : event.key === "ArrowUp"
        ? at(rows[rows.indexOf(row) - 1], place)
        : event.key === "ArrowLeft" && isAll
          ? cells[place - 1]
          : event.key === "ArrowRight" && isAll
            ? cells[place + 1]
            : undefined;
  if (!next) return;
  event.preventDefault();
  next.focus();
}
