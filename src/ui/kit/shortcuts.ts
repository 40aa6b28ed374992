"use client";
import { useEffect, useRef } from "react";

/** A key, or keys held together, and what they do in the room one is in. */
export interface Shortcut {
  /** As pressed: a lower-case `KeyboardEvent.key`, after `ctrl+` and `shift+` where they are held. */
  readonly keys: string;
  /** What it does, in the words of the page of keys. */
  readonly says: string;
  /** How the keys are written where that is not what is pressed; the same words join several on one line. */
  readonly shown?: string;
  /** What is to be run; where it is missing the place that has the focus sees to the key itself. */
  readonly run?: () => void;
  /** It works while one is typing, too. */
  readonly whileTyping?: boolean;
}

type Place = "room" | "everywhere";
type Registered = { readonly current: readonly Shortcut[] };
const registered: Readonly<Record<Place, Set<Registered>>> = {
  room: new Set(),
  everywhere: new Set(),
};

/** What is registered now, the room's before what works everywhere. */
const shortcutsNow = (): (readonly Shortcut[])[] =>
  [...registered.room, ...registered.everywhere].map(({ current }) => current);

const TYPING = "input, textarea, select, [contenteditable], [role=dialog]";

/** How the keys of an event are written in a register; Command counts as Ctrl. */
export function keysOf(event: Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "shiftKey">) {
  const key = event.key.toLowerCase();
  const isSign = key.length === 1 && key === event.key.toUpperCase();
  return [
    event.ctrlKey || event.metaKey ? "ctrl+" : "",
    event.shiftKey && !isSign ? "shift+" : "",
    key,
  ].join("");
}

/** The shortcut that an event runs, of the first list that has one. */
export function shortcutFor(
  event: Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "shiftKey" | "altKey">,
  isTyping: boolean,
  lists: readonly (readonly Shortcut[])[],
): Shortcut | undefined {
  if (event.altKey) return undefined;
  const keys = keysOf(event);
  return lists.flat().find((one) => one.keys === keys && one.run && (!isTyping || one.whileTyping));
}

function onKeyDown(event: KeyboardEvent): void {
  const isTyping = (event.target as HTMLElement).closest?.(TYPING) != null;
  const found = shortcutFor(event, isTyping, shortcutsNow());
  if (!found) return;
  event.preventDefault();
  found.run!();
}

/** Registers the keys of a room for as long as it is shown; the page of keys is made from the register. */
export function useShortcuts(shortcuts: readonly Shortcut[], place: Place = "room"): void {
  const kept = useRef(shortcuts);
  useEffect(() => {
    kept.current = shortcuts;
  });
  useEffect(() => {
    if (shortcutsNow().length === 0) window.addEventListener("keydown", onKeyDown);
    registered[place].add(kept);
    return () => {
      registered[place].delete(kept);
      if (shortcutsNow().length === 0) window.removeEventListener("keydown", onKeyDown);
    };
  }, [place]);
}

const NAMES: Readonly<Record<string, string>> = { escape: "Esc", delete: "Delete" };

const keyWords = (keys: string): string =>
  keys
    .split("+")
    .map((key) => NAMES[key] ?? key.charAt(0).toUpperCase() + key.slice(1))
    .join(" ");

/** The lines of the page of keys: each once, in the order of the register. */
export function shortcutLines(
  lists: readonly (readonly Shortcut[])[] = shortcutsNow(),
): readonly { readonly keys: string; readonly says: string }[] {
  const lines = new Map<string, string>();
  for (const { keys, shown, says } of lists.flat()) lines.set(shown ?? keyWords(keys), says);
  return [...lines].map(([keys, says]) => ({ keys, says }));
}
