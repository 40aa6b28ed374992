"use client";
import {
  FieldError,
  Input as AriaInput,
  Label,
  TextField,
  type TextFieldProps,
} from "react-aria-components";
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
