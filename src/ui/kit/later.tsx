"use client";
import { lazy, Suspense, useEffect, type ComponentProps, type ComponentType } from "react";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any component at all; its own props are kept
type AnyComponent = ComponentType<any>;

/** A component whose code comes when it is first drawn; until then its place is empty. */
export function later<N extends string, M extends { readonly [K in N]: AnyComponent }>(
  load: () => Promise<M>,
  name: N,
): ComponentType<ComponentProps<M[N]>> {
  const Lazy = lazy(async () => ({ default: (await load())[name] as AnyComponent }));
  return function Later(props) {
    return (
      <Suspense fallback={null}>
        <Lazy {...props} />
      </Suspense>
    );
  };
}

const QUIET_MS = 250;

/** Fetches code soon after the page is there, so that what it opens is at hand when keys call for it. */
export function useFetchAhead(...loads: readonly (() => Promise<unknown>)[]): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const load of loads) void load().catch(() => undefined);
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
}

const loadBox = () => import("./overlays/DialogBox");

/** The same for a dialog: no page carries it, and it is fetched soon after its page is there. */
export function laterDialog<N extends string, M extends { readonly [K in N]: AnyComponent }>(
  load: () => Promise<M>,
  name: N,
): ComponentType<ComponentProps<M[N]>> {
  const Opened = later(load, name) as AnyComponent;
  return function LaterDialog(props: { readonly isOpen: boolean }) {
    useFetchAhead(loadBox, load);
    return props.isOpen ? <Opened {...props} /> : null;
  } as AnyComponent;
}
