"use client";
import styled from "styled-components";
import { addDays, dayText, longDayText } from "@/core/time";
import { Button, DayField } from "../kit";
import { daysBetween, type Consequence } from "./follow";
import type { Moving } from "./Timeline";

const Bar = styled.section`
  position: sticky;
  bottom: 0;
  z-index: 8;
  background: var(--mallow);
  border-top: 3px solid var(--plum);
  padding: 12px 32px 14px;
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 8px 24px;
  h2 {
    font: 470 21px/29px var(--serif);
  }
  .acts {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    align-items: center;
    padding-top: 8px;
  }
  .keys {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    align-self: start;
  }
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 3px 10px 3px 0;
  }
  td:last-child {
    font: 540 16px/20px var(--serif);
  }
  .clash {
    color: var(--alarm);
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 10px 16px 76px;
  }
`;

interface FootProps {
  readonly moving: Moving;
  readonly consequences: readonly Consequence[];
  readonly onDays: (days: number) => void;
  readonly onMove: (withFollowers: boolean) => void;
  readonly onLeave: () => void;
}

/** What a move would do, before it is done. */
export function Foot({ moving, consequences, onDays, onMove, onLeave }: FootProps) {
  const { part, days } = moving;
  const isProject = part.kind === "project";
  const due = part.due ? addDays(part.due, days) : null;
  const past = part.plan && due ? daysBetween(part.plan, due) : 0;
  const clashes = consequences.filter((one) => one.clashes).length;
  return (
    <Bar aria-label={`Moving ${part.title}`}>
      <div>
        <h2>
          {part.title}
          {due ? `, ${isProject ? "ends" : "due"} ${longDayText(due)}` : ", without a date"}
          {days !== 0 && ` (${days > 0 ? "+" : "\u2212"}${Math.abs(days)} d)`}
          {past > 0 && `; ${past} ${past === 1 ? "day lies" : "days lie"} past the plan`}.
        </h2>
        <div className="acts">
          {part.mayMove && part.due ? (
            <>
              <DayField
                label={isProject ? "Ends" : "Due"}
                hideLabel
                value={due ?? ""}
                onChange={(day) => day && onDays(daysBetween(part.due!, day))}
              />
              <Button
                $look="solid"
                isDisabled={days === 0}
                onPress={() => onMove(consequences.length > 0)}
              >
                {consequences.length > 0 ? "Move what follows" : "Move it"}
              </Button>
              {consequences.length > 0 && (
                <Button $look="line" onPress={() => onMove(false)}>
                  {clashes > 0 ? "Leave them, show the clash" : "Leave them"}
                </Button>
              )}
            </>
          ) : (
            <span>It cannot be moved: it is done, or not yours to move.</span>
          )}
          <Button onPress={onLeave}>Leave it</Button>
          <span className="keys">arrows move a day, Shift a week, Esc leaves it</span>
        </div>
      </div>
      {consequences.length > 0 && (
        <table aria-label="What would follow">
          <thead>
            <tr>
              <th scope="col">{isProject ? "still to come of it" : "what waits for it"}</th>
              <th scope="col">now</th>
              <th scope="col">would be</th>
            </tr>
          </thead>
          <tbody>
            {consequences.slice(0, 6).map(({ part: follower, due: next, clashes: isClash }) => (
              <tr key={`${follower.kind} ${follower.id}`}>
                <td>{follower.title}</td>
                <td className={isClash ? "clash" : undefined}>
                  {dayText(follower.due!)}
                  {isClash && (isProject ? ", after its end" : ", before it")}
                </td>
                <td>{dayText(next)}</td>
              </tr>
            ))}
            {consequences.length > 6 && (
              <tr>
                <td colSpan={3}>and {consequences.length - 6} more</td>
              </tr>
            )}
          </tbody>
        </table>
      )}
    </Bar>
  );
}
