"use client";
import { Check } from "lucide-react";
import type { ReactNode } from "react";
import { Checkbox as AriaCheckbox, type CheckboxProps } from "react-aria-components";
import styled from "styled-components";

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
