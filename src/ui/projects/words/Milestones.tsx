"use client";
import { useQuery } from "@tanstack/react-query";
import { Pencil, Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { MilestoneLine, ShownProject } from "@/contract/projects";
import { dayText } from "@/core/time";
import { ask, Button, DayField, Field } from "../../kit";
import { Ground } from "../../rooms";
import { useEntering, wasFaster } from "./useEntering";

const Lines = styled.ul`
  li {
    display: flex;
    gap: 2px 10px;
    align-items: center;
    flex-wrap: wrap;
    border-top: 1px solid var(--line);
    padding: 4px 0;
  }
  b {
    font-weight: 620;
  }
  .when {
    margin-left: auto;
    color: var(--ink-2);
    font-size: 12.5px;
  }
`;
const Edit = styled.form`
  background: var(--mallow);
  padding: 10px 12px;
  margin-top: 6px;
  display: grid;
  gap: 8px;
  .days {
    display: flex;
    gap: 12px;
    flex-wrap: wrap;
    align-items: end;
  }
`;

interface Edited {
  /** The one that is changed, as it was seen; null: a new one. */
  readonly was: MilestoneLine | null;
  readonly name: string;
  readonly due: string;
  readonly reached: string;
}
const NEW: Edited = { was: null, name: "", due: "", reached: "" };

/** "20 Nov 2026, first 10 Nov 2026; reached 22 Nov 2026". */
function whenWords({ due, baseline, reached }: MilestoneLine): string {
  const parts = [
    due ? dayText(due) : "no date",
    ...(baseline && baseline !== due ? [`first ${dayText(baseline)}`] : []),
  ].join(", ");
  return reached ? `${parts}; reached ${dayText(reached)}` : parts;
}

/** The milestones of a project; its manager keeps them, and the first date of each stays known. */
export function Milestones({ project }: { project: ShownProject }) {
  const { data } = useQuery({
    queryKey: ["milestones", project.id],
    queryFn: ({ signal }) => ask("milestones", { project: project.id }, signal),
  });
  const [edited, setEdited] = useState<Edited | null>(null);
  const { problem, enter } = useEntering();
  if (!data) return null;
  const save = async (one: Edited) => {
    // Who was told what stands there by now, and keeps theirs again, has seen that.
    const was = wasFaster(problem)
      ? (data.find(({ id }) => id === one.was?.id) ?? one.was)
      : one.was;
    const saved = await enter(() =>
      ask("saveMilestone", {
        project: project.id,
        ...(was && { was: { id: was.id, name: was.name, due: was.due, reached: was.reached } }),
        name: one.name,
        due: one.due || null,
        reached: one.reached || null,
      }),
    );
    if (saved) setEdited(null);
  };
  const drop = (id: number) =>
    void enter(() => ask("dropMilestone", { project: project.id, id })).then(
      (done) => done && setEdited(null),
    );
  return (
    <Ground $on="plain">
      <header>
        <h2>Milestones</h2>
        <span className="end">due, first agreed, reached</span>
      </header>
      <Lines>
        {data.map((one) => (
          <li key={one.id}>
            <b>{one.name}</b>
            <span className="when">{whenWords(one)}</span>
            {project.mayLead && (
              <Button
                $small
                $icon
                aria-label={`Change ${one.name}`}
                onPress={() =>
                  setEdited({
                    was: one,
                    name: one.name,
                    due: one.due ?? "",
                    reached: one.reached ?? "",
                  })
                }
              >
                <Pencil aria-hidden />
              </Button>
            )}
          </li>
        ))}
        {data.length === 0 && <li>No milestone was agreed yet.</li>}
      </Lines>
      {project.mayLead && !edited && (
        <Button $small onPress={() => setEdited(NEW)}>
          Add a milestone
        </Button>
      )}
      {edited && (
        <Edit
          aria-label={edited.was ? `Change ${edited.was.name}` : "A new milestone"}
          onSubmit={(event) => {
            event.preventDefault();
            void save(edited);
          }}
        >
          <Field
            label="Milestone"
            autoFocus
            value={edited.name}
            onChange={(name) => setEdited({ ...edited, name })}
            error={problem && problem.path !== "reached" ? problem.message : null}
          />
          <div className="days">
            <DayField
              label="Due"
              stacked
              value={edited.due}
              none="no date"
              back="Without a date"
              onChange={(due) => setEdited({ ...edited, due })}
            />
            <DayField
              label="Reached"
              stacked
              value={edited.reached}
              max={project.today}
              none="not yet"
              back="Not reached yet"
              error={problem?.path === "reached" ? problem.message : null}
              onChange={(reached) => setEdited({ ...edited, reached })}
            />
            <Button type="submit" $look="solid" isDisabled={!edited.name.trim()}>
              Keep
            </Button>
            <Button onPress={() => setEdited(null)}>Leave it</Button>
            {edited.was && (
              <Button
                $icon
                aria-label={`Take ${edited.was.name} away`}
                onPress={() => drop(edited.was!.id)}
              >
                <Trash2 aria-hidden />
              </Button>
            )}
          </div>
        </Edit>
      )}
    </Ground>
  );
}
