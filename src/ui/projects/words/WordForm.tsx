"use client";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Label, Radio, RadioGroup, TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import type { ShownProject, WordLine } from "@/contract/projects";
import { addDays, dayText, mondayOf, weekName } from "@/core/time";
import { ask, AskProblem, Button, Choice, tell } from "../../kit";
import { HealthSign } from "../../said";

const Form = styled.form`
  background: var(--mallow);
  border-left: 4px solid var(--plum);
  padding: 12px 16px 14px;
  display: grid;
  gap: 10px;
  h2 {
    font: 620 20px/24px var(--serif);
  }
  .line {
    display: flex;
    gap: 6px 14px;
    align-items: center;
    flex-wrap: wrap;
  }
  [role="radiogroup"] {
    display: flex;
    gap: 6px;
    flex-wrap: wrap;
  }
  [role="radiogroup"] > label {
    display: inline-flex;
    gap: 8px;
    align-items: center;
    padding: 5px 12px;
    background: var(--salt);
    cursor: pointer;
    border-radius: 3px;
  }
  [role="radiogroup"] > label[data-selected] {
    background: var(--plum);
    color: var(--on-plum);
  }
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: 2px 14px;
  }
  .beside > p {
    color: var(--ink-2);
    font: italic 400 15px/21px var(--serif);
    padding-top: 22px;
  }
  label {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  textarea {
    display: block;
    width: 100%;
    min-height: 52px;
    padding: 6px 10px;
    background: var(--salt);
    border: 0;
    box-shadow: inset 0 -2px 0 var(--plum);
    border-radius: 3px 3px 0 0;
    font: 400 16px/22px var(--serif);
    resize: vertical;
  }
  .error {
    color: var(--alarm);
    flex-basis: 100%;
  }
  @media (max-width: 700px) {
    .beside {
      grid-template-columns: minmax(0, 1fr);
    }
    .beside > p {
      padding-top: 0;
    }
  }
`;

const PARTS = [
  ["done", "What was done"],
  ["next", "What comes next"],
  ["worry", "What worries you"],
] as const;
type Part = (typeof PARTS)[number][0];
type Draft = Readonly<Record<Part, string>> & { readonly health: string | null };
const EMPTY: Draft = { health: null, done: "", next: "", worry: "" };
const MOST_WEEKS = 6;

/** A weekly word in a minute, with the week before it beside; what is not handed in yet stays in this browser. */
export function WordForm({
  project,
  words,
}: {
  project: ShownProject;
  words: readonly WordLine[];
}) {
  const client = useQueryClient();
  const monday = mondayOf(project.today);
  const weeks = Array.from({ length: MOST_WEEKS }, (_, i) => addDays(monday, -7 * i));
  const [begins, setBegins] = useState(monday);
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [problem, setProblem] = useState<string | null>(null);
  const week = weekName(begins);
  const key = `gt_word_${project.id}_${week}`;
  const mine = words.find((word) => word.isMine && word.week === week);
  useEffect(() => {
    const asked = new URLSearchParams(location.search).get("week");
    const found = weeks.find((one) => weekName(one) === asked);
    if (found) setBegins(found);
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => setDraft(keptDraft(key) ?? toldDraft(mine)), [key, mine]);
  const before =
    words.find((word) => word.isMine && word.begins < begins) ??
    words.find((word) => word.begins < begins);
  const write = (next: Draft) => {
    setDraft(next);
    setProblem(null);
    localStorage.setItem(key, JSON.stringify(next));
  };
  const handIn = async () => {
    try {
      await ask("handInWord", { project: project.id, week, ...draft });
      localStorage.removeItem(key);
      tell("Your word is handed in.");
      for (const queryKey of [["weekly words"], ["owed"], ["project"], ["says"]])
        await client.invalidateQueries({ queryKey });
    } catch (error) {
      setProblem(error instanceof AskProblem ? error.message : String(error));
    }
  };
  return (
    <Form
      aria-label="Your weekly word"
      onSubmit={(event) => {
        event.preventDefault();
        void handIn();
      }}
    >
      <div className="line">
        <h2>Your word</h2>
        <Choice
          hideLabel
          label="Week"
          value={begins}
          options={weeks.map((one) => [one, `week of ${dayText(one)}`] as const)}
          onChange={setBegins}
        />
        <span>{mine ? "handed in; you may correct it" : "not handed in yet"}</span>
      </div>
      <RadioGroup
        aria-label="How it is"
        value={draft.health ?? ""}
        onChange={(health) => write({ ...draft, health })}
      >
        {project.healthWords.map((health, place) => (
          <Radio key={health} value={health}>
            <HealthSign place={place} label="" />
            {health}
          </Radio>
        ))}
      </RadioGroup>
      {PARTS.map(([part, called]) => (
        <div key={part} className="beside">
          <TextField value={draft[part]} onChange={(text) => write({ ...draft, [part]: text })}>
            <Label>{called}</Label>
            <TextArea maxLength={2000} />
          </TextField>
          <p>{before?.[part] ? `${dayText(before.begins).slice(0, -5)}: ${before[part]}` : ""}</p>
        </div>
      ))}
      <div className="line">
        <Button type="submit" $look="solid">
          Hand in
        </Button>
        <span>Everybody who sees the project reads it.</span>
        {problem && (
          <span className="error" role="alert">
            {problem}
          </span>
        )}
      </div>
    </Form>
  );
}

const toldDraft = (word: WordLine | undefined): Draft =>
  word
    ? {
        health: word.health,
        done: word.done ?? "",
        next: word.next ?? "",
        worry: word.worry ?? "",
      }
    : EMPTY;

function keptDraft(key: string): Draft | null {
  const kept = localStorage.getItem(key);
  try {
    return kept ? { ...EMPTY, ...(JSON.parse(kept) as Draft) } : null;
  } catch {
    return null;
  }
}
