"use client";
import { ChevronDown, ChevronRight } from "lucide-react";
import Link from "next/link";
import type { HTMLAttributes } from "react";
import type { ShownTimeline, TimelinePart, TimelineProject } from "@/contract/projects";
import { addDays, dayText, weekdayOf, type Day } from "@/core/time";
import { barOf, type Bar } from "./bars";
import { asPart, isSame, movedSpan } from "./follow";
import { Links } from "./Links";
import { heightOf, NAMES, type Rows } from "./rows";
import { monthsOf, ticksOf, type Scale } from "./scale";
import type { Moving } from "./Timeline";

/** What can be done with the rows of a sheet; on paper nothing. */
export interface Hands {
  readonly isOpen: (project: number) => boolean;
  readonly onToggle: (project: number) => void;
  /** What the place of a project or a part listens to. */
  readonly onPart: (
    project: number,
    part: TimelinePart,
  ) => HTMLAttributes<HTMLElement> & { readonly "data-part": true };
}

interface SheetProps {
  readonly timeline: ShownTimeline;
  readonly rows: Rows;
  readonly scale: Scale;
  readonly today: Day;
  readonly moving: Moving | null;
  readonly hands: Hands | null;
}

/** Rows of bars over the days of a scale, names at the left. */
export function Sheet({ timeline, rows, scale, today, moving, hands }: SheetProps) {
  const off = daysOff(timeline, scale);
  const waits = waitsOf(timeline, moving);
  const height = heightOf(rows);
  const isTodayHere = today >= scale.from && today <= scale.to;
  /** By how many days something is being moved. */
  const daysOf = (part: TimelinePart) => (isSame(moving?.part, part) ? moving!.days : 0);
  return (
    <div
      role="grid"
      aria-label="Timeline"
      className="sheet"
      style={{ width: NAMES + scale.width, height }}
    >
      <div className="head" aria-hidden>
        <span className="corner" />
        <span className="scale" style={{ width: scale.width }}>
          {monthsOf(scale).map(({ day, words }) => (
            <b key={day} className="month" style={{ left: scale.x(day) }}>
              {words}
            </b>
          ))}
          {ticksOf(scale).map((day) => (
            <span key={day} className="tick" style={{ left: scale.x(day) }}>
              {scale.dayWidth > 3 ? Number(day.slice(8)) : ""}
            </span>
          ))}
          {isTodayHere && (
            <b className="today" style={{ left: scale.x(today) + scale.dayWidth }}>
              {dayText(today).slice(0, -5)}
            </b>
          )}
        </span>
      </div>
      <div className="days" style={{ width: scale.width, height }} aria-hidden>
        {off.map(({ day, days }) => (
          <i
            key={day}
            className="off"
            style={{ left: scale.x(day), width: days * scale.dayWidth }}
          />
        ))}
        {isTodayHere && <i className="today" style={{ left: scale.x(today) + scale.dayWidth }} />}
        <Links rows={rows} holds={timeline.holds} scale={scale} moving={moving} height={height} />
      </div>
      {rows.map(({ project, parts }) => (
        <div role="rowgroup" key={project.id}>
          <div
            role="row"
            className={isSame(moving?.part, asPart(project)) ? "row project picked" : "row project"}
          >
            <span role="rowheader" className="name">
              {hands && project.parts.length > 0 ? (
                <button
                  aria-expanded={hands.isOpen(project.id)}
                  aria-label={`Parts of ${project.name}`}
                  onClick={() => hands?.onToggle(project.id)}
                >
                  {hands.isOpen(project.id) ? (
                    <ChevronDown size={16} aria-hidden />
                  ) : (
                    <ChevronRight size={16} aria-hidden />
                  )}
                </button>
              ) : (
                <span className="none" />
              )}
              <Link href={`/projects/${project.id}`}>{project.name}</Link>
              <em>{project.percent ?? ""}</em>
            </span>
            <span
              role="gridcell"
              className="line"
              aria-label={projectWords(project, daysOf(asPart(project)), today)}
              {...(project.mayMove && hands?.onPart(project.id, asPart(project)))}
            >
              <ProjectBar
                project={project}
                days={daysOf(asPart(project))}
                scale={scale}
                today={today}
              />
            </span>
          </div>
          {parts.map(({ part }) => {
            const isMoved = isSame(moving?.part, part);
            const days = daysOf(part);
            return (
              <div
                role="row"
                key={`${part.kind} ${part.id}`}
                className={isMoved ? "row part picked" : "row part"}
              >
                <span role="rowheader" className="name">
                  <span className="none" />
                  {part.kind === "item" ? (
                    <Link href={`/items/${encodeURIComponent(part.id)}`}>{part.title}</Link>
                  ) : (
                    <span>{part.title}</span>
                  )}
                </span>
                <span
                  role="gridcell"
                  className="line"
                  aria-label={partWords(part, days)}
                  {...hands?.onPart(project.id, part)}
                >
                  <PartBar
                    bar={barOf(part, today, days, waits.get(part.id) ?? null)}
                    scale={scale}
                    part={part}
                  />
                </span>
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}

/** Until when what is held up waits: the latest due date of what holds it up and is not done. */
function waitsOf({ projects, holds }: ShownTimeline, moving: Moving | null) {
  const parts = new Map(projects.flatMap((one) => one.parts.map((part) => [part.id, part])));
  const waits = new Map<string, Day>();
  for (const [from, to] of holds) {
    const part = parts.get(from);
    if (!part?.due || part.done) continue;
    const due = addDays(part.due, moving?.part.id === from ? moving.days : 0);
    if (due > (waits.get(to) ?? "")) waits.set(to, due);
  }
  return waits;
}

/** Runs of days on which nobody works; at a small zoom only those longer than a weekend. */
function daysOff({ holidays, off }: ShownTimeline, scale: Scale) {
  const free = new Set(holidays.map((holiday) => holiday.day));
  const runs: { day: Day; days: number }[] = [];
  let run: { day: Day; days: number } | null = null;
  for (let day = scale.from; day <= scale.to; day = addDays(day, 1)) {
    if (free.has(day) || off.includes(weekdayOf(day))) {
      if (run) run.days += 1;
      else runs.push((run = { day, days: 1 }));
    } else run = null;
  }
  return scale.dayWidth >= 6 ? runs : runs.filter(({ days }) => days > 3);
}

function ProjectBar({
  project,
  days,
  scale,
  today,
}: {
  project: TimelineProject;
  /** By so many it is being moved. */
  days: number;
  scale: Scale;
  today: Day;
}) {
  const { started, finished } = project;
  const { starts, ends } = movedSpan(project, days, today);
  const from = started ?? starts;
  const until = finished ?? today;
  return (
    <>
      {starts && ends && <i className="whole" style={span(scale, starts, ends)} />}
      {from && from <= until && <i className="gone" style={span(scale, from, until)} />}
    </>
  );
}

const span = (scale: Scale, from: Day, to: Day) => ({
  left: scale.x(from),
  width: Math.max(scale.dayWidth, scale.x(to) + scale.dayWidth - scale.x(from)),
});

function PartBar({ bar, scale, part }: { bar: Bar; scale: Scale; part: TimelinePart }) {
  return (
    <>
      {bar.done && <i className="gone" style={span(scale, ...bar.done)} />}
      {bar.rest && <i className="rest" style={span(scale, ...bar.rest)} />}
      {bar.past && <i className="past" style={span(scale, ...bar.past)} />}
      {bar.plan && <i className="planned" style={span(scale, ...bar.plan)} />}
      {bar.was && <i className="diamond was" style={{ left: scale.x(bar.was) }} />}
      {bar.at && (
        <i
          className={part.done ? "diamond reached" : "diamond"}
          style={{ left: scale.x(bar.at) }}
        />
      )}
      {bar.words && (
        <small style={{ left: scale.x(bar.wordsAt) + scale.dayWidth + 12 }}>{bar.words}</small>
      )}
    </>
  );
}

function projectWords(project: TimelineProject, days: number, today: Day): string {
  const { starts, ends } = movedSpan(project, days, today);
  const span = `${starts ? dayText(starts) : "no start"} to ${ends ? dayText(ends) : "no end"}`;
  return `${project.name}: ${span}${project.finished ? `, finished ${dayText(project.finished)}` : ""}`;
}

function partWords(part: TimelinePart, days: number): string {
  const due = part.due ? addDays(part.due, days) : null;
  const kind = part.kind === "milestone" ? "milestone" : "item";
  const when = part.done
    ? `${part.kind === "milestone" ? "reached" : "finished"} ${dayText(part.done)}`
    : due
      ? `due ${dayText(due)}`
      : "without a date";
  const plan = part.plan && part.plan !== due ? `, first ${dayText(part.plan)}` : "";
  return `${part.title}, ${kind}, ${when}${plan}`;
}
