"use client";
import { CalendarDays, X } from "lucide-react";
import { useId } from "react";
import styled from "styled-components";
import { dayText, type Day } from "@/core/time";
import { Button } from "./Button";
import { later } from "./later";
import { Opens } from "./Opens";

const DayPanel = later(() => import("./overlays/DayPanel"), "DayPanel");

const Line = styled.span<{ $stacked: boolean }>`
  display: ${(p) => (p.$stacked ? "grid" : "inline-flex")};
  gap: ${(p) => (p.$stacked ? 3 : 8)}px;
  align-items: center;
  color: var(--ink-2);
  .label {
    font-size: ${(p) => (p.$stacked ? 12.5 : 13)}px;
  }
  .error {
    color: var(--alarm);
    font-size: 12.5px;
    line-height: 17px;
  }
`;
const Held = styled.span`
  display: inline-flex;
  align-items: center;
`;
const DayButton = styled(Button)<{ $said: boolean }>`
  background: var(--salt);
  box-shadow: inset 0 -2px 0 var(--plum);
  border-radius: 3px 3px 0 0;
  color: var(--ink);
  padding: 0 10px 0 8px;
  flex: 1;
  ${(p) => p.$said && "font: 470 17px/24px var(--serif);"}
  svg {
    color: var(--plum);
  }
`;

export interface DayFieldProps {
  readonly label: string;
  /** A day as YYYY-MM-DD, or "". */
  readonly value: Day;
  readonly onChange: (day: Day) => void;
  readonly min?: Day | undefined;
  readonly max?: Day | undefined;
  /** What is said where no day is. */
  readonly none?: string;
  /** The words on the way back to no day; without them there is no such way. */
  readonly back?: string;
  /** The label stands above, as in a form, and not before, as in a bar. */
  readonly stacked?: boolean;
  readonly hideLabel?: boolean;
  /** In the letters of a sentence. */
  readonly said?: boolean;
  readonly error?: string | null;
}

/** A day in the words of the workspace; what it opens takes it typed or from a calendar. */
export function DayField({
  label,
  value,
  onChange,
  min,
  max,
  none = "choose a day",
  back,
  stacked = false,
  hideLabel,
  said = false,
  error,
}: DayFieldProps) {
  const id = useId();
  return (
    <Line $stacked={stacked}>
      <span className="label" id={`${id}-label`} hidden={hideLabel}>
        {label}
      </span>
      <Held>
        <Opens
          label={label}
          button={
            <DayButton
              id={id}
              $said={said}
              aria-labelledby={`${id}-label ${id}`}
              aria-describedby={error ? `${id}-error` : undefined}
              onHoverStart={() => void DayPanel.fetch().catch(() => undefined)}
            >
              <CalendarDays aria-hidden />
              {value ? dayText(value) : none}
            </DayButton>
          }
        >
          {(close) => <DayPanel {...{ label, value, min, max, onChange, close }} />}
        </Opens>
        {value && back && (
          <Button $small $icon aria-label={back} onPress={() => onChange("")}>
            <X aria-hidden />
          </Button>
        )}
      </Held>
      {error && (
        <span className="error" id={`${id}-error`} role="alert">
          {error}
        </span>
      )}
    </Line>
  );
}
