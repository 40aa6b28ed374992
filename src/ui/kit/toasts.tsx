"use client";
import { useSyncExternalStore } from "react";
import { later, useFetchAhead } from "./later";

/** What is said for a moment, with an act such as undo. */
export interface Message {
  readonly text: string;
  readonly act?: { readonly words: string; readonly run: () => void };
}

const load = () => import("./ToastRegion");
const Region = later(load, "Region");

let isTold = false;
const listeners = new Set<() => void>();

/** Says what happened, for a moment; with an act (such as undo) longer. */
export function tell(text: string, act?: Message["act"]): void {
  void load().then(({ show }) => show(act ? { text, act } : { text }));
  isTold = true;
  for (const listener of listeners) listener();
}

const listen = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The place of messages, once there is one. */
export function Toasts() {
  // Also that the server cannot be reached has to be said.
  useFetchAhead(Region);
  const isShown = useSyncExternalStore(
    listen,
    () => isTold,
    () => false,
  );
  return isShown ? <Region /> : null;
}
