"use client";
import { useQuery } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { ProgressLine, ShownProject } from "@/contract/projects";
import { numberText } from "@/core/base";
import { dayText } from "@/core/time";
import { ask, Button, DayField, Field } from "../../kit";
import { Ground } from "../../rooms";
import { useEntering } from "./useEntering";

const Lines = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 4px 10px 4px 0;
  }
  .r {
    text-align: right;
  }
`;
export const Enter = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 84px 84px auto;
  gap: 8px;
  align-items: end;
  padding-top: 8px;
  .error {
    grid-column: 1 / -1;
    color: var(--alarm);
    font-size: 12.5px;
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

const percent = (text: string | null): string => (text === null ? "–" : `${numberText(text)} %`);

/** How far a project was and was to be, day by day; its manager enters the next. */
export function Progress({ project }: { project: ShownProject }) {
  const { data } = useQuery({
    queryKey: ["progress", project.id],
    queryFn: ({ signal }) => ask("progress", { project: project.id }, signal),
  });
  const [on, setOn] = useState(project.today);
  const [actual, setActual] = useState("");
  const [planned, setPlanned] = useState("");
  const { problem, enter } = useEntering();
  if (!data) return null;
  /** Keeps what is given for a day, over what the table shows of it. */
  const keep = (day: string, given: Partial<Omit<ProgressLine, "on">>) => {
    const line = data.find((one) => one.on === day);
    return enter(() =>
      ask("saveProgress", {
        project: project.id,
        on: day,
        ...given,
        was: line ? { actual: line.actual, planned: line.planned } : null,
      }),
    );
  };
  const save = async () => {
    const done = await keep(on, {
      ...(actual.trim() ? { actual: actual.trim() } : {}),
      ...(planned.trim() ? { planned: planned.trim() } : {}),
    });
    if (done) {
      setActual("");
      setPlanned("");
    }
  };
  return (
    <Ground $on="plain">
      <header>
        <h2>How far it is</h2>
        <span className="end">planned, and done</span>
      </header>
      <Lines aria-label="Progress">
        <thead>
          <tr>
            <th scope="col">day</th>
            <th scope="col" className="r">
              planned
            </th>
            <th scope="col" className="r">
              done
            </th>
            {project.mayLead && <td />}
          </tr>
        </thead>
        <tbody>
          {data.map((line) => (
            <tr key={line.on}>
              <td>{dayText(line.on)}</td>
              <td className="r">{percent(line.planned)}</td>
              <td className="r">{percent(line.actual)}</td>
              {project.mayLead && (
                <td className="r">
                  <Button
                    $small
                    $icon
                    aria-label={`Take ${dayText(line.on)} away`}
                    onPress={() => void keep(line.on, { planned: null, actual: null })}
                  >
                    <Trash2 aria-hidden />
                  </Button>
                </td>
              )}
            </tr>
          ))}
          {data.length === 0 && (
            <tr>
              <td colSpan={4}>
                Nothing was entered yet. With a plan and what is done, its schedule can be judged.
              </td>
            </tr>
          )}
        </tbody>
      </Lines>
      {project.mayLead && (
        <Enter
          aria-label="Enter progress"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <DayField
            label="Day"
            stacked
            value={on}
            onChange={(day) => setOn(day || project.today)}
          />
          <Field label="Planned, %" inputMode="decimal" value={planned} onChange={setPlanned} />
          <Field label="Done, %" inputMode="decimal" value={actual} onChange={setActual} />
          <Button type="submit" $look="line" isDisabled={!actual.trim() && !planned.trim()}>
            Enter
          </Button>
          {problem && (
            <span className="error" role="alert">
              {problem.message}
            </span>
          )}
        </Enter>
      )}
    </Ground>
  );
}
