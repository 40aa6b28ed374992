"use client";
import styled from "styled-components";
import { Dialog, shortcutLines } from "../kit";

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 7px 18px;
  margin: 0;
  dt {
    font-weight: 650;
    white-space: nowrap;
  }
  dd {
    margin: 0;
    color: var(--ink-2);
  }
`;
/** The keys of the room one is in, as they are registered. */
export function Keys({ onClose }: { onClose: () => void }) {
  return (
    <Dialog title="Keys" isOpen onOpenChange={onClose}>
      <List>
        {shortcutLines().map(({ keys, says }) => (
          <div key={keys} style={{ display: "contents" }}>
            <dt>{keys}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </List>
    </Dialog>
  );
}
