"use client";
import type { ReactNode, RefObject } from "react";
import { Dialog, Popover, type PopoverProps } from "react-aria-components";
import styled from "styled-components";

/** Hangs from what opened it, under a plum head. */
export const Hanging = styled(Popover)`
  background: var(--salt);
  box-shadow: var(--shade);
  border-top: 3px solid var(--plum);
  color: var(--ink);
  font: 400 13.5px/20px var(--sans);
  letter-spacing: 0;
  overflow: auto;
  max-width: calc(100vw - 16px);
  outline: none;
`;
const Inside = styled(Dialog)`
  outline: none;
  display: flex;
  flex-direction: column;
  min-height: 0;
  max-height: inherit;
  &:focus-visible {
    outline: none;
    box-shadow: none;
  }
`;

export interface HangingProps {
  readonly triggerRef: RefObject<HTMLElement | null>;
  readonly label: string;
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly placement?: PopoverProps["placement"];
  readonly maxHeight?: number;
}

/** What a button opens beside itself. */
export function Panel({
  label,
  children,
  ...hanging
}: HangingProps & { readonly children: ReactNode }) {
  return (
    <Hanging {...hanging}>
      <Inside aria-label={label}>{children}</Inside>
    </Hanging>
  );
}
