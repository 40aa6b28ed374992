"use client";
import { ChevronDown } from "lucide-react";
import { useId } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import { later } from "./later";
import { useOpening } from "./Opens";

const ChoiceList = later(() => import("./overlays/ChoiceList"), "ChoiceList");

const Line = styled.div<{ $said: boolean }>`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 30px;
  font: ${(p) => (p.$said ? "470 17px/24px var(--serif)" : "400 13px/20px var(--sans)")};
  color: var(--ink-2);
  > button {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    height: ${(p) => (p.$said ? 32 : 28)}px;
    min-width: 0;
    max-width: 220px;
    padding: 0 6px 0 8px;
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
    border-radius: 3px 3px 0 0;
    font: inherit;
    font-weight: ${(p) => (p.$said ? 470 : 600)};
    color: var(--ink);
  }
  > button[data-hovered] {
    background: var(--mallow-2);
  }
  > button[data-disabled] {
    color: var(--ink-3);
  }
  .value {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  svg {
    width: 14px;
    height: 14px;
    flex: none;
    color: var(--plum);
  }
`;

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onChange: (value: T) => void;
  readonly hideLabel?: boolean;
  /** In the letters of a sentence. */
  readonly said?: boolean;
  readonly isDisabled?: boolean;
  /** Those of the options that cannot be chosen now. */
  readonly disabled?: readonly T[];
}

/** A short choice between known words; left and right go through them without opening the list. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel,
  said = false,
  isDisabled = false,
  disabled = [],
}: ChoiceProps<T>) {
  const id = useId();
  const { isOpen, setOpen, triggerRef, button } = useOpening("listbox", ChoiceList.fetch);
  const step = (by: number) => {
    const open = options.filter(([key]) => !disabled.includes(key));
    const next = open[open.findIndex(([key]) => key === value) + by];
    if (next) onChange(next[0]);
  };
  return (
    <Line $said={said}>
      <span id={`${id}-label`} hidden={hideLabel}>
        {label}
      </span>
      <Button
        {...button}
        ref={triggerRef}
        isDisabled={isDisabled}
        aria-labelledby={`${id}-label ${id}-value`}
        onKeyDown={(event) => {
          if (event.key === "ArrowRight") step(1);
          else if (event.key === "ArrowLeft") step(-1);
          else button.onKeyDown?.(event);
        }}
      >
        <span className="value" id={`${id}-value`}>
          {options.find(([key]) => key === value)?.[1]}
        </span>
        <ChevronDown aria-hidden />
      </Button>
      {isOpen && (
        <ChoiceList
          {...{ label, triggerRef, isOpen, value, options, disabled }}
          onOpenChange={setOpen}
          onChoose={(key) => {
            setOpen(false);
            if (key !== value) onChange(key as T);
          }}
        />
      )}
    </Line>
  );
}
