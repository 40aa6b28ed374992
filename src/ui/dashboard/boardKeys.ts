"use client";
import { type Shortcut } from "../kit";

/** What the tiles themselves see to. */
export const BOARD_KEYS: readonly Shortcut[] = [
  { keys: "arrows", shown: "Arrows on a tile", says: "move it, while arranging" },
  { keys: "shift+arrows", shown: "Shift and arrows", says: "make it larger or smaller" },
  { keys: "delete", says: "takes a tile out" },
  { keys: "f5", shown: "F5 or Refresh", says: "answers anew" },
];

/** The key to arranging, and back. */
export const arrangeKey = (run: () => void): Shortcut => ({
  keys: "a",
  says: "arrange, and back",
  run,
});

/** Where what is being arranged is kept on this device until it is saved. */
export const arrangedKey = (id: number): string => `gt_arranged_${id}`;
