"use client";
import { ListBox, ListBoxItem } from "react-aria-components";
import styled from "styled-components";
import { Hanging, type HangingProps } from "./Panel";

const Rows = styled(ListBox)`
  padding: 6px 0;
  max-height: 320px;
  min-width: max(140px, var(--trigger-width));
  overflow: auto;
  outline: none;
  box-shadow: none !important;
`;
const Row = styled(ListBoxItem)`
  padding: 4px 14px;
  cursor: pointer;
  outline: none;
  color: var(--ink);
  &[data-focused] {
    background: var(--mallow);
    box-shadow: inset 3px 0 0 var(--plum) !important;
  }
  &[data-selected] {
    font-weight: 650;
  }
  &[data-disabled] {
    color: var(--ink-3);
    cursor: default;
  }
`;

interface ChoiceListProps extends HangingProps {
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly disabled: readonly string[];
  readonly onChoose: (key: string) => void;
}

/** The words of a choice, by arrows or by typing their first letters. */
export function ChoiceList({
  label,
  value,
  options,
  disabled,
  onChoose,
  ...hanging
}: ChoiceListProps) {
  return (
    <Hanging {...hanging} placement="bottom start">
      <Rows
        aria-label={label}
        autoFocus
        selectionMode="single"
        selectedKeys={[value]}
        disabledKeys={disabled}
        onSelectionChange={(keys) => {
          // The chosen one taken again is chosen still.
          const [key] = keys === "all" ? [] : [...keys];
          onChoose(String(key ?? value));
        }}
      >
        {options.map(([key, words]) => (
          <Row key={key} id={key} textValue={words}>
            {words}
          </Row>
        ))}
      </Rows>
    </Hanging>
  );
}
