"use client";
import { Button as AriaButton } from "react-aria-components";
import styled, { css } from "styled-components";

const look = css<{ $look?: "plain" | "line" | "solid"; $small?: boolean; $icon?: boolean }>`
  display: inline-flex;
  align-items: center;
  justify-content: ${(p) => (p.$icon ? "center" : "flex-start")};
  gap: 7px;
  height: ${(p) => (p.$small ? 26 : 32)}px;
  ${(p) => p.$icon && `width: ${p.$small ? 26 : 32}px;`} padding: 0 ${(p) => (p.$icon ? 0 : p.$look === "solid" ? 15 : p.$small ? 8 : 11)}px;
  font-weight: 600;
  font-size: ${(p) => (p.$small ? 13 : 13.5)}px;
  color: ${(p) => (p.$look === "solid" ? "var(--on-plum)" : "var(--plum)")};
  white-space: nowrap;
  border-radius: 3px;
  flex: none;
  background: ${(p) => (p.$look === "solid" ? "var(--plum)" : "none")};
  ${(p) => p.$look === "line" && "box-shadow: inset 0 0 0 1.5px var(--plum);"}
  svg {
    width: 16px;
    height: 16px;
    flex: none;
  }
  &[data-hovered] {
    background: ${(p) => (p.$look === "solid" ? "var(--plum-hi)" : "var(--mallow-2)")};
  }
  &[data-disabled] {
    color: var(--ink-3);
    font-weight: 500;
    cursor: default;
    ${(p) => p.$look === "solid" && "background: var(--mallow-2);"} ${(p) => p.$look === "line" && "box-shadow: inset 0 0 0 1.5px var(--line);"}
  }
  &[data-selected] {
    background: var(--mallow-2);
  }
`;

/** A button is a verb: plain by default, `line` for the next best, `solid` for the one of the room. */
export const Button = styled(AriaButton)<{
  $look?: "plain" | "line" | "solid";
  $small?: boolean;
  $icon?: boolean;
}>`
  ${look}
`;
