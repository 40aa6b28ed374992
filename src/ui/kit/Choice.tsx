"use client";
import { useId } from "react";
import styled from "styled-components";

const SelectWrap = styled.label`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 30px;
  font-size: 13px;
  color: var(--ink-2);
  select {
    height: 28px;
    border: 0;
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
    border-radius: 3px 3px 0 0;
    padding: 0 6px;
    font-weight: 600;
    color: var(--ink);
    max-width: 190px;
  }
`;

/** A short choice between known words; the browser's own list, with its keys. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
}) {
  const id = useId();
  return (
    <SelectWrap htmlFor={id}>
      {!hideLabel && <span>{label}</span>}
      <select
        id={id}
        aria-label={hideLabel ? label : undefined}
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </SelectWrap>
  );
}
