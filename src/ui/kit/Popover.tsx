"use client";
import {
  Popover as AriaPopover,
  Dialog as AriaDialog,
  Modal,
  ModalOverlay,
  Heading,
  Menu as AriaMenu,
  MenuItem as AriaMenuItem,
} from "react-aria-components";
import type { ReactNode } from "react";
import styled from "styled-components";

/** Hangs from what opened it, under a plum head. */
export const Popover = styled(AriaPopover)`
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
export const PopoverDialog = styled(AriaDialog)`
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

export const Menu = styled(AriaMenu)`
  padding: 6px 0;
  min-width: 180px;
  outline: none;
  box-shadow: none !important;
`;
export const MenuItem = styled(AriaMenuItem)`
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

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgba(28, 24, 38, 0.45);
  display: grid;
  place-items: start center;
  padding-top: 12vh;
  z-index: 50;
`;
const Box = styled(Modal)`
  background: var(--salt);
  border-top: 3px solid var(--plum);
  box-shadow: var(--shade);
  width: min(520px, calc(100vw - 32px));
  max-height: 76vh;
  overflow: auto;
  outline: none;
`;
const Inner = styled(AriaDialog)`
  padding: 20px 24px 22px;
  outline: none;
  box-shadow: none !important;
  h2 {
    font: 560 24px/30px var(--serif);
    margin-bottom: 12px;
  }
`;

/** A question that has to be answered before going on. */
export function Dialog({
  title,
  isOpen,
  onOpenChange,
  children,
  label,
}: {
  title?: string;
  label?: string;
  isOpen: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
}) {
  return (
    <Overlay isOpen={isOpen} onOpenChange={onOpenChange} isDismissable>
      <Box>
        <Inner aria-label={title ? undefined : label}>
          {title && <Heading slot="title">{title}</Heading>}
          {children}
        </Inner>
      </Box>
    </Overlay>
  );
}
