"use client";
import { usePathname } from "next/navigation";
import styled from "styled-components";
import { Dialog } from "../kit";

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
const EVERYWHERE = [
  ["Ctrl K", "say a sentence, or find an item, report or dashboard"],
  ["?", "these keys"],
  ["Tab", "goes through all that can be done, in the order it is seen"],
  ["Esc", "closes what is open"],
] as const;
const ROOMS: readonly (readonly [RegExp, readonly (readonly [string, string])[]])[] = [
  [
    /^\/reports\/./,
    [
      ["E", "type the sentence; Esc puts it back"],
      ["T", "the figure as a table, and back"],
      ["R", "the records"],
      ["W", "the workings"],
      ["C", "compare with another report, filter or keys"],
      ["Ctrl S", "save"],
      ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
      ["Enter on any figure", "opens its records"],
      ["Shift and a column head", "adds to the order of a list"],
      [
        "Arrows in the groups of conditions",
        "go from line to line; with Ctrl they move it, G makes a group, Delete takes it out",
      ],
    ],
  ],
  [
    /^\/dashboards\/./,
    [
      ["A", "arrange, and back"],
      ["Arrows on a tile", "move it, while arranging"],
      ["Shift and arrows", "make it larger or smaller"],
      ["Delete", "takes a tile out"],
      ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
      ["F5 or Refresh", "answers anew"],
    ],
  ],
];

/** The keys of the room one is in. */
export function Keys({
  isOpen,
  onOpenChange,
}: {
  isOpen: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const path = usePathname();
  const room = ROOMS.find(([test]) => test.test(path))?.[1] ?? [];
  return (
    <Dialog title="Keys" isOpen={isOpen} onOpenChange={onOpenChange}>
      <List>
        {[...room, ...EVERYWHERE].map(([keys, says]) => (
          <div key={keys} style={{ display: "contents" }}>
            <dt>{keys}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </List>
    </Dialog>
  );
}
