"use client";
import { X } from "lucide-react";
import styled from "styled-components";
import { Button } from "./Button";

const Line = styled.label`
  display: inline-flex;
  gap: 6px;
  align-items: center;
  color: var(--ink-2);
  input {
    background: none;
    border: 0;
    border-bottom: 2px solid var(--plum);
    font: inherit;
    color: var(--ink);
    height: 30px;
  }
`;

interface DayFieldProps {
  readonly label: string;
  /** A day as YYYY-MM-DD, or "". */
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly min?: string | undefined;
  readonly max?: string | undefined;
}

/** A day in a bar, with a way back to none. */
export const DayField = ({ label, value, onChange, min, max }: DayFieldProps) => (
  <span style={{ display: "inline-flex", alignItems: "center" }}>
    <Line>
      {label}{" "}
      <input
        type="date"
        value={value}
        min={min}
        max={max}
        onChange={(event) => onChange(event.target.value)}
      />
    </Line>
    {value && (
      <Button $small $icon aria-label="Back to now" onPress={() => onChange("")}>
        <X aria-hidden />
      </Button>
    )}
  </span>
);
