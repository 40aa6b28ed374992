"use client";
import { useCallback, useReducer } from "react";

const MOST_STEPS = 99;

/** What was, is and may be again. */
export interface Steps<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
}

export type StepEvent<T> =
  { readonly kind: "changed"; readonly to: T } | { readonly kind: "undone" | "redone" };

export function step<T>(steps: Steps<T>, event: StepEvent<T>): Steps<T> {
  const { past, now, future } = steps;
  switch (event.kind) {
    case "changed":
      return { past: [...past.slice(-MOST_STEPS), now], now: event.to, future: [] };
    case "undone":
      return past.length
        ? { past: past.slice(0, -1), now: past[past.length - 1], future: [now, ...future] }
        : steps;
    case "redone":
      return future.length
        ? { past: [...past, now], now: future[0], future: future.slice(1) }
        : steps;
  }
}

export interface Undoable<T> {
  readonly now: T;
  readonly isChanged: boolean;
  /** How many changes can be undone. */
  readonly changes: number;
  readonly set: (to: T) => void;
  /** null where there is nothing to go back to. */
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** A state with undo and redo; `first` may begin with a past. */
export function useUndo<T>(first: () => Pick<Steps<T>, "past" | "now">): Undoable<T> {
  const [{ past, now, future }, send] = useReducer(step<T>, undefined, () => ({
    ...first(),
    future: [] as readonly T[],
  }));
  const undo = useCallback(() => send({ kind: "undone" }), []);
  const redo = useCallback(() => send({ kind: "redone" }), []);
  return {
    now,
    isChanged: past.length > 0,
    changes: past.length,
    set: useCallback((to: T) => send({ kind: "changed", to }), []),
    undo: past.length ? undo : null,
    redo: future.length ? redo : null,
  };
}

const SHOWN = "Ctrl Z, Ctrl Shift Z";

/** The keys of undo and redo, for the register. */
export const undoKeys = ({ undo, redo }: Pick<Undoable<unknown>, "undo" | "redo">) => [
  { keys: "ctrl+z", shown: SHOWN, says: "undo, redo", run: () => undo?.() },
  { keys: "ctrl+shift+z", shown: SHOWN, says: "undo, redo", run: () => redo?.() },
];
