"use client";
import { useId, type ReactNode } from "react";
import {
  FieldError,
  Input as AriaInput,
  Label,
  TextField,
  Checkbox as AriaCheckbox,
  type CheckboxProps,
  type TextFieldProps,
} from "react-aria-components";
import { Check } from "lucide-react";
import styled from "styled-components";

export const Input = styled(AriaInput)`
  display: block;
  width: 100%;
  height: 32px;
  padding: 0 10px;
  background: var(--salt);
  border: 0;
  box-shadow: inset 0 -2px 0 var(--plum);
  border-radius: 3px 3px 0 0;
  color: var(--ink);
  &::placeholder {
    color: var(--ink-3);
  }
  &[data-invalid] {
    box-shadow: inset 0 -2px 0 var(--alarm);
  }
`;
const Wrap = styled(TextField)`
  display: block;
  label {
    display: block;
    font-size: 12.5px;
    color: var(--ink-2);
    margin-bottom: 3px;
  }
  .error {
    display: block;
    color: var(--alarm);
    font-size: 12.5px;
    line-height: 17px;
    margin-top: 3px;
  }
`;

/** One line of text with its label, and what is wrong with it at its place. */
export function Field({
  label,
  placeholder,
  error,
  hideLabel,
  ...props
}: TextFieldProps & {
  label: string;
  placeholder?: string;
  error?: string | null;
  hideLabel?: boolean;
}) {
  return (
    <Wrap
      {...props}
      validationBehavior="aria"
      isInvalid={Boolean(error)}
      {...(hideLabel ? { "aria-label": label } : {})}
    >
      {!hideLabel && <Label>{label}</Label>}
      <Input placeholder={placeholder} />
      <FieldError className="error">{error}</FieldError>
    </Wrap>
  );
}

const CheckWrap = styled(AriaCheckbox)`
  display: inline-flex;
  align-items: center;
  gap: 8px;
  cursor: pointer;
  min-height: 26px;
  .box {
    width: 15px;
    height: 15px;
    box-shadow: inset 0 0 0 1.5px var(--plum);
    border-radius: 2px;
    display: inline-grid;
    place-items: center;
    flex: none;
  }
  .box svg {
    width: 12px;
    height: 12px;
    visibility: hidden;
  }
  &[data-selected] .box {
    background: var(--plum);
    color: var(--on-plum);
  }
  &[data-selected] .box svg {
    visibility: visible;
  }
  &[data-focus-visible] {
    outline: none;
    box-shadow: none;
  }
  &[data-focus-visible] .box {
    outline: 3px solid var(--plum);
    outline-offset: 2px;
  }
  &[data-disabled] {
    color: var(--ink-3);
    cursor: default;
  }
`;

export function Checkbox({
  children,
  ...props
}: Omit<CheckboxProps, "children"> & { children?: ReactNode }) {
  return (
    <CheckWrap {...props}>
      <span className="box">
        <Check strokeWidth={3} aria-hidden />
      </span>
      {children}
    </CheckWrap>
  );
}

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
