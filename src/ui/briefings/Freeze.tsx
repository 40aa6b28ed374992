"use client";
import { useState } from "react";
import styled from "styled-components";
import type { ShownBriefing } from "@/contract/briefings";
import { dayText } from "@/core/time";
import { ask, AskProblem, Button, DayField, Dialog, Field } from "../kit";

const Form = styled.form`
  display: grid;
  gap: 12px;
  .line {
    display: flex;
    gap: 8px;
    justify-content: flex-end;
  }
  .error {
    color: var(--alarm);
  }
`;

interface FreezeProps {
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly briefing: ShownBriefing;
  readonly onFrozen: (id: number) => void;
}

/** Keeps a briefing as it stands at the end of a day, beside the one that goes on. */
export function Freeze({ isOpen, onOpenChange, briefing, onFrozen }: FreezeProps) {
  const { today } = briefing;
  const [on, setOn] = useState(today);
  const [title, setTitle] = useState(`${briefing.of}, ${dayText(today)}`);
  const [problem, setProblem] = useState<string | null>(null);
  const freeze = async () => {
    try {
      onFrozen(await ask("freezeBriefing", { id: briefing.id, on, title }));
    } catch (error) {
      setProblem(error instanceof AskProblem ? error.message : String(error));
    }
  };
  return (
    <Dialog title="Freeze the briefing" isOpen={isOpen} onOpenChange={onOpenChange}>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void freeze();
        }}
      >
        <p>
          A copy is kept as everything stood at the end of a day. Its figures stay as they read, and
          say later which of them have moved.
        </p>
        <Field label="Title" autoFocus value={title} onChange={setTitle} />
        <DayField
          label="As it stood on"
          stacked
          value={on}
          onChange={(day) => {
            setOn(day || today);
            setTitle(`${briefing.of}, ${dayText(day || today)}`);
            setProblem(null);
          }}
        />
        {problem && (
          <p className="error" role="alert">
            {problem}
          </p>
        )}
        <div className="line">
          <Button onPress={() => onOpenChange(false)}>Leave it</Button>
          <Button type="submit" $look="solid" isDisabled={!title.trim()}>
            Freeze
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
