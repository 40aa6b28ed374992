"use client";
import Link from "next/link";
import styled from "styled-components";
import type { Day } from "@/core/time";
import { Empty } from "../kit";
import { HealthSign, SaidFigure, type Opening } from "../said";
import { Booked } from "./Booked";
import { Columns, Ground } from "../rooms";
import { Owed } from "./Owed";
import { moneyAgainstTime, NEXT_MILESTONES } from "./sentences";
import { recordsIn, useSaid } from "./useSaid";
import { lacking, needsHand, portfolioRows, portfolioWords, type PortfolioRow } from "./verdicts";

const Verdicts = styled.table`
  width: 100%;
  min-width: 520px;
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    font-size: 12.5px;
    padding: 2px 10px 4px 0;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 6px 10px 5px 0;
    white-space: nowrap;
  }
  td a {
    color: var(--ink);
    font-weight: 620;
  }
  .r {
    text-align: right;
  }
  td.r {
    font: 540 16px/20px var(--serif);
  }
  .sign {
    display: inline-flex;
    gap: 6px;
    align-items: center;
  }
  .name,
  .next {
    max-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .name {
    width: 30%;
  }
  .next {
    width: 24%;
    font-size: 12.5px;
    color: var(--ink-2);
    padding-right: 0;
  }
`;
const Lead = styled.p`
  font: 470 18px/26px var(--serif);
  padding-bottom: 6px;
`;

interface PortfolioProps {
  readonly rows: readonly PortfolioRow[];
  /** " where …" for sentences of projects. */
  readonly where: string;
  readonly healthWords: readonly string[];
  readonly today: Day;
  readonly stood: string;
  readonly open: Opening;
  readonly mayRemind: boolean;
}

/** Money against time and the verdict of each project; as of now, also who is booked and who has not handed in. */
export function Portfolio({
  rows,
  where,
  healthWords,
  today,
  stood,
  open,
  mayRemind,
}: PortfolioProps) {
  const sorted = [...rows].sort(
    (a, b) => needsHand(b) - needsHand(a) || a.name.localeCompare(b.name),
  );
  const without = rows.flatMap((row) => {
    const lacks = lacking(row);
    return lacks && row.cell("stage") !== "finished" ? [{ row, lacks }] : [];
  });
  const isDrawn = rows.some((row) => lacking(row) === null);
  return (
    <>
      <Columns $even>
        <div>
          <Ground>
            <header>
              <h2>Money against time</h2>
              <span className="end">area: budget</span>
            </header>
            <Lead>{portfolioWords(rows)}</Lead>
            {isDrawn ? (
              <SaidFigure
                says={moneyAgainstTime(where)}
                title="Money against time"
                stood={stood}
                height={330}
                open={open}
              />
            ) : (
              <Empty says="None of them has a budget, a plan and progress: nothing can be held against each other." />
            )}
          </Ground>
          {without.length > 0 && (
            <Ground $on="plain">
              <header>
                <h2>Not in the picture</h2>
                <span className="end">and what is missing</span>
              </header>
              <ul>
                {without.map(({ row, lacks }) => (
                  <li key={row.id}>
                    <Link href={`/projects/${row.id}`}>{row.name}</Link> still lacks {lacks}
                  </li>
                ))}
              </ul>
            </Ground>
          )}
        </div>
        <div>
          <VerdictTable {...{ sorted, healthWords, stood }} />
          {!stood && <Owed mayRemind={mayRemind} />}
        </div>
      </Columns>
      {!stood && <Booked today={today} open={open} />}
    </>
  );
}

function VerdictTable({
  sorted,
  healthWords,
  stood,
}: {
  sorted: readonly PortfolioRow[];
  healthWords: readonly string[];
  stood: string;
}) {
  const { data } = useSaid(NEXT_MILESTONES, stood);
  const found = recordsIn(data);
  const next = new Map<string, string>();
  for (const row of found ? portfolioRows(found) : []) {
    const due = row.cell("due");
    if (!next.has(row.name) && due) next.set(row.name, `${row.cell("name")} ${shortened(due)}`);
  }
  return (
    <Ground $on="plain">
      <header>
        <h2>Verdict</h2>
        <span className="end">those that need a hand first</span>
      </header>
      <Verdicts aria-label="Verdicts">
        <thead>
          <tr>
            <th scope="col">project</th>
            <th scope="col">word</th>
            <th scope="col">in time</th>
            <th scope="col" className="r">
              points
            </th>
            <th scope="col">in money</th>
            <th scope="col">next</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((row) => (
            <tr key={row.id}>
              <td className="name">
                <Link href={`/projects/${row.id}`}>{row.name}</Link>
              </td>
              <td>
                <span className="sign">
                  <HealthSign
                    place={placeOf(row.cell("health"), healthWords)}
                    label={row.cell("health") ?? "nothing said"}
                  />
                  {row.cell("health") ?? "–"}
                </span>
              </td>
              <td>{row.cell("schedule verdict") ?? "–"}</td>
              <td className="r">{pointsOf(row.cell("schedule gap"))}</td>
              <td title={overWords(row.cell("overrun"))}>{row.cell("cost verdict") ?? "–"}</td>
              <td className="next">{next.get(row.name)}</td>
            </tr>
          ))}
        </tbody>
      </Verdicts>
    </Ground>
  );
}

const placeOf = (health: string | null, words: readonly string[]): number | null =>
  health === null ? null : words.indexOf(health);

/** "Fri 20 Nov 2026" as "20 Nov": the weekday and this year say nothing here. */
const shortened = (day: string): string => day.replace(/^\w+ /, "").replace(/ \d{4}$/, "");

/** Percentage points ahead of the plan, or behind: "−20". */
const pointsOf = (gap: string | null): string =>
  gap === null ? "" : gap.replace(/ %$/, "").replace(/^(?=[1-9])/, "+");

const overWords = (overrun: string | null): string =>
  overrun === null || !/\d/.test(overrun)
    ? ""
    : overrun.startsWith("\u2212")
      ? `${overrun.slice(1)} under`
      : `${overrun} over`;
