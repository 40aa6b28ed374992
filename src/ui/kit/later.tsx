"use client";
import { lazy, Suspense, type ComponentProps, type ComponentType } from "react";

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

/** The same for a dialog: it is fetched when it is first opened. */
export function laterDialog<N extends string, M extends { readonly [K in N]: AnyComponent }>(
  load: () => Promise<M>,
  name: N,
): ComponentType<ComponentProps<M[N]>> {
  const Opened = later(load, name) as AnyComponent;
  return function LaterDialog(props: { readonly isOpen: boolean }) {
    return props.isOpen ? <Opened {...props} /> : null;
  } as AnyComponent;
}
