"use client";
import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import styled from "styled-components";
import type { DialogProps } from "../Dialog";

const Overlay = styled(ModalOverlay)<{ $wide?: boolean }>`
  position: fixed;
  inset: 0;
  background: rgba(28, 24, 38, 0.45);
  display: grid;
  place-items: start center;
  padding-top: ${(p) => (p.$wide ? "36px" : "12vh")};
  z-index: 50;
`;
const Box = styled(Modal)<{ $wide?: boolean }>`
  background: var(--salt);
  border-top: 3px solid var(--plum);
  box-shadow: var(--shade);
  width: min(${(p) => (p.$wide ? 1100 : 520)}px, calc(100vw - 32px));
  max-height: ${(p) => (p.$wide ? "calc(100vh - 72px)" : "76vh")};
  overflow: auto;
  outline: none;
`;
const Inner = styled(Dialog)`
  padding: 20px 24px 22px;
  outline: none;
  box-shadow: none !important;
  h2 {
    font: 560 24px/30px var(--serif);
    margin-bottom: 12px;
  }
`;

export function DialogBox({
  title,
  label,
  isWide = false,
  isOpen,
  onOpenChange,
  children,
}: DialogProps) {
  return (
    <Overlay isOpen={isOpen} onOpenChange={onOpenChange} isDismissable $wide={isWide}>
      <Box $wide={isWide}>
        <Inner aria-label={title ? undefined : label}>
          {title && <Heading slot="title">{title}</Heading>}
          {children}
        </Inner>
      </Box>
    </Overlay>
  );
}
