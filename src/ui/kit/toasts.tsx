"use client";
import { useSyncExternalStore } from "react";
import styled from "styled-components";
import { later, useFetchAhead } from "./later";

/** What is said for a moment, with an act such as undo. */
export interface Message {
  readonly text: string;
  readonly act?: { readonly words: string; readonly run: () => void };
}

const load = () => import("./ToastRegion");
const Region = later(load, "Region");

interface Told {
  /** There is something to show, and the place to show it. */
  readonly isShown: boolean;
  /** What has to be said although its place cannot be fetched. */
  readonly bare: string | null;
}
const NOTHING: Told = { isShown: false, bare: null };

let told = NOTHING;
const listeners = new Set<() => void>();
const become = (next: Told) => {
  told = next;
  for (const listener of listeners) listener();
};

/** Says what happened, for a moment; with an act (such as undo) longer. */
export function tell(text: string, act?: Message["act"]): void {
  load().then(
    ({ show }) => {
      show(act ? { text, act } : { text });
      become({ isShown: true, bare: null });
    },
    () => become({ ...told, bare: text }),
  );
}

const Bare = styled.p`
  position: fixed;
  right: 20px;
  bottom: 20px;
  z-index: 60;
  padding: 10px 16px;
  background: var(--ink);
  color: var(--paper);
`;

const listen = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The place of messages, once there is one. */
export function Toasts() {
  useFetchAhead(Region);
  const { isShown, bare } = useSyncExternalStore(
    listen,
    () => told,
    () => NOTHING,
  );
  return (
    <>
      {bare && <Bare role="alert">{bare}</Bare>}
      {isShown && <Region />}
    </>
  );
}
