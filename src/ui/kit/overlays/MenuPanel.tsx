"use client";
import type { ReactNode } from "react";
import { Menu, MenuItem } from "react-aria-components";
import styled from "styled-components";
import type { MenuEntry } from "../MenuButton";
import { Hanging, type HangingProps } from "./Panel";

const Entries = styled(Menu)`
  padding: 6px 0;
  min-width: 180px;
  outline: none;
  box-shadow: none !important;
`;
const Entry = styled(MenuItem)`
  padding: 5px 14px;
  cursor: pointer;
  outline: none;
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--ink);
  &[data-focused] {
    background: var(--mallow);
    box-shadow: inset 3px 0 0 var(--plum) !important;
    outline: none;
  }
  svg {
    width: 16px;
    height: 16px;
    color: var(--plum);
  }
`;

interface MenuPanelProps extends HangingProps {
  readonly head?: ReactNode;
  readonly entries: readonly MenuEntry[];
}

/** The entries of a menu, under what stands above them. */
export function MenuPanel({ label, head, entries, ...hanging }: MenuPanelProps) {
  return (
    <Hanging {...hanging}>
      {head}
      <Entries aria-label={label} autoFocus="first" onClose={() => hanging.onOpenChange(false)}>
        {entries.map(({ id, words, icon, href, onAction }) => (
          <Entry key={id} id={id} href={href} textValue={words} onAction={onAction}>
            {icon}
            {words}
          </Entry>
        ))}
      </Entries>
    </Hanging>
  );
}
