"use client";
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { ItemsChanged } from "@/contract/items";
import type { ShownTimeline, TimelinePart, TimelineProject } from "@/contract/projects";
import { addDays, dayText, type Day } from "@/core/time";
import { ask, AskProblem, Choice, Empty, tell, Waiting } from "../kit";
import { Chart } from "./Chart";
import { consequencesOf, movedSpan, type Consequence } from "./follow";
import { Foot } from "./Foot";
import { OnPaper } from "./OnPaper";
import { scaleOf, ZOOMS, type Zoom } from "./scale";

const Head = styled.div`
  display: flex;
  gap: 8px 18px;
  align-items: center;
  flex-wrap: wrap;
  padding: 10px 32px;
  color: var(--ink-2);
  .says {
    font: italic 400 17px/24px var(--serif);
  }
  > :last-child {
    margin-left: auto;
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
  }
`;

interface TimelineProps {
  readonly rows: readonly number[];
  readonly today: Day;
  readonly stood: string;
  /** The parts of every project are open at first. */
  readonly isOpen?: boolean;
}

/** A part that is being moved, and by how many days. */
export interface Moving {
  readonly project: number;
  readonly part: TimelinePart;
  readonly days: number;
}

/** Projects and their parts in time; what is picked can be moved, and says before what that would do. */
export function Timeline({ rows, today, stood, isOpen = false }: TimelineProps) {
  const client = useQueryClient();
  const [zoom, setZoom] = useState<Zoom>("months");
  const [moving, setMoving] = useState<Moving | null>(null);
  const [open, setOpen] = useState<readonly number[] | null>(isOpen ? null : []);
  const { data, error } = useQuery({
    queryKey: ["timeline", rows, stood],
    queryFn: ({ signal }) =>
      ask("timeline", { projects: [...rows], ...(stood ? { stood } : {}) }, signal),
    placeholderData: keepPreviousData,
  });
  if (error && !data) return <Empty says={error.message} />;
  if (!data) return <Waiting>Laying out …</Waiting>;
  const dated = data.projects.filter(({ starts, ends, started }) => starts ?? ends ?? started);
  const undated = data.projects.filter((project) => !dated.includes(project));
  if (data.projects.length === 0) return <Empty says="There is no project here." />;
  const refresh = () =>
    Promise.all(
      [["timeline"], ["project"], ["says"], ["milestones"]].map((queryKey) =>
        client.invalidateQueries({ queryKey }),
      ),
    );
  const move = async (withFollowers: boolean) => {
    if (!moving) return;
    const told = await moved(moving, data, withFollowers, today);
    setMoving(null);
    await refresh();
    if (told)
      tell(told.words, {
        words: "Undo",
        run: () =>
          void told.undo().then(refresh, (error: Error) => {
            tell(error.message);
          }),
      });
  };
  const drawn = {
    timeline: { ...data, projects: dated },
    scale: scaleOf(dated, today, zoom),
    today,
    isOpen: (id: number) => open === null || open.includes(id),
  };
  return (
    <>
      <Head>
        <span className="says">{saysOf(data)}</span>
        <Legend />
        <Choice
          hideLabel
          label="Zoom"
          value={zoom}
          options={(Object.keys(ZOOMS) as Zoom[]).map((one) => [one, one] as const)}
          onChange={setZoom}
        />
      </Head>
      <Chart
        moving={moving}
        onMoving={setMoving}
        onToggle={(id) => {
          const now = open ?? dated.map((project) => project.id);
          setOpen(now.includes(id) ? now.filter((one) => one !== id) : [...now, id]);
        }}
        {...drawn}
      />
      <OnPaper {...drawn} />
      {undated.length > 0 && (
        <Head>
          <span>
            Without dates yet: {undated.map((project) => project.name).join(", ")}. With a start and
            an end they stand above.
          </span>
        </Head>
      )}
      {data.more > 0 && (
        <Head>
          <span>{data.more} more items with a date are not drawn: take fewer projects.</span>
        </Head>
      )}
      {moving && (
        <Foot
          moving={moving}
          consequences={consequencesOf(data, moving.part, moving.days)}
          onDays={(days) => setMoving({ ...moving, days })}
          onMove={(withFollowers) => void move(withFollowers)}
          onLeave={() => setMoving(null)}
        />
      )}
    </>
  );
}

function saysOf({ projects }: ShownTimeline): string {
  const parts = projects.flatMap((project) => project.parts);
  const late = parts.filter(
    (part) => part.plan && (part.done ?? part.due) && (part.done ?? part.due)! > part.plan,
  ).length;
  const count = projects.length === 1 ? "1 project" : `${projects.length} projects`;
  return `${count}; ${late === 0 ? "nothing lies" : late === 1 ? "1 part lies" : `${late} parts lie`} past the plan.`;
}

const Keys = styled.span`
  display: inline-flex;
  gap: 14px;
  flex-wrap: wrap;
  font-size: 12.5px;
  i {
    display: inline-block;
    width: 22px;
    height: 9px;
    margin-right: 6px;
  }
  .done {
    background: var(--c1);
  }
  .to-do {
    background: var(--water);
  }
  .past {
    background: repeating-linear-gradient(-45deg, var(--c2) 0 2px, transparent 2px 6px);
  }
  .plan {
    height: 2px;
    background: var(--ink);
    vertical-align: middle;
  }
`;
const Legend = () => (
  <Keys aria-hidden>
    <span>
      <i className="done" />
      until today
    </span>
    <span>
      <i className="to-do" />
      to do
    </span>
    <span>
      <i className="past" />
      past the plan
    </span>
    <span>
      <i className="plan" />
      plan
    </span>
    <span>◆ reached ◇ not yet</span>
  </Keys>
);

/** "E12 was left: somebody changed its due meanwhile."; "" where nothing was. */
const leftWords = (left: ItemsChanged["left"]): string =>
  left.length ? `${left.map((one) => `${one.key} was left: ${one.why}`).join("; ")}.` : "";

/** What a move says when it is done, and what takes it back. */
interface Moved {
  readonly words: string;
  readonly undo: () => Promise<void>;
}

/** Moves a project, and some of its parts with it: one act, and one to take it back. */
async function movedProject(
  { id, name, starts, ends }: TimelineProject,
  to: { readonly starts: Day | null; readonly ends: Day | null },
  parts: readonly Consequence[],
): Promise<Moved> {
  const was = { starts, ends };
  const of = (kind: TimelinePart["kind"]) => parts.filter(({ part }) => part.kind === kind);
  const { items, milestones, left } = await ask("moveProject", {
    project: id,
    was,
    to,
    items: of("item").map(({ part, due }) => ({ key: part.id, to: due, expected: part.kept })),
    milestones: of("milestone").map(({ part, due }) => ({
      id: Number(part.id),
      to: due,
      expected: part.due!,
    })),
  });
  const others = items.length + milestones.length;
  const along = others === 0 ? "" : others === 1 ? ", with 1 part" : `, with ${others} parts`;
  const notMoved = leftWords(left);
  return {
    words: `${name} ends on ${dayText(to.ends!)}${along}.${notMoved && ` ${notMoved}`}`,
    undo: async () => {
      const back = await ask("moveProject", {
        project: id,
        was: to,
        to: was,
        items: items.map((one) => ({ key: one.key, to: one.from, expected: one.to })),
        milestones: milestones.map((one) => ({ id: one.id, to: one.from, expected: one.to })),
      });
      if (back.left.length) tell(leftWords(back.left));
    },
  };
}

/** Moves a part, with what follows it or alone: one step, which can be undone. Null where nothing was moved. */
async function moved(
  { project, part, days }: Moving,
  timeline: ShownTimeline,
  withFollowers: boolean,
  today: Day,
): Promise<Moved | null> {
  const due = addDays(part.due!, days);
  const says = `${part.title} is due on ${dayText(due)}`;
  try {
    if (part.kind === "project") {
      const parts = withFollowers ? consequencesOf(timeline, part, days) : [];
      const whole = timeline.projects.find(({ id }) => id === project)!;
      return await movedProject(whole, movedSpan(whole, days, today), parts);
    }
    if (part.kind === "milestone") {
      const set = (from: string, day: string) => {
        const kept = { name: part.title, reached: part.done };
        return ask("saveMilestone", {
          project,
          was: { id: Number(part.id), ...kept, due: from },
          ...kept,
          due: day,
        });
      };
      await set(part.due!, due);
      return { words: `${says}.`, undo: async () => void (await set(due, part.due!)) };
    }
    const followers = withFollowers
      ? consequencesOf(timeline, part, days).filter((one) => one.part.mayMove)
      : [];
    const { changed, left } = await ask("changeItems", {
      changes: [{ part, due }, ...followers].map((one) => ({
        key: one.part.id,
        field: "due",
        to: one.due,
        expected: one.part.kept,
      })),
    });
    const others = changed.length - 1;
    const notMoved = leftWords(left);
    return {
      words: `${says}${others > 0 ? `, with ${others} that follow` : ""}.${notMoved && ` ${notMoved}`}`,
      undo: async () => {
        const back = await ask("changeItems", {
          changes: changed.map((one) => ({
            key: one.key,
            field: one.field,
            to: one.from,
            expected: one.to,
          })),
        });
        if (back.left.length) tell(leftWords(back.left));
      },
    };
  } catch (error) {
    tell(error instanceof AskProblem ? error.message : String(error));
    return null;
  }
}
