"use client";
import {
  lazy,
  Suspense,
  useEffect,
  useState,
  type ComponentProps,
  type ComponentType,
} from "react";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any component at all; its own props are kept
export type AnyComponent = ComponentType<any>;

/** A component whose code comes when it is first drawn, or ahead of that by `fetch`. */
export type LaterComponent<P> = ComponentType<P> & { readonly fetch: () => Promise<unknown> };

/** A component whose code comes when it is first drawn; until then its place is empty. */
export function later<N extends string, M extends { readonly [K in N]: AnyComponent }>(
  load: () => Promise<M>,
  name: N,
): LaterComponent<ComponentProps<M[N]>> {
  let ready: AnyComponent | null = null;
  const fetch = async () => {
    const component: AnyComponent = (await load())[name];
    // The server always sends the boundary that the browser expects to find.
    if (typeof window !== "undefined") ready = component;
    return { default: component };
  };
  let Lazy = lazy(fetchOrForget);
  /** What could not be fetched once is tried again when it is next drawn. */
  async function fetchOrForget() {
    try {
      return await fetch();
    } catch (error) {
      Lazy = lazy(fetchOrForget);
      throw error;
    }
  }
  const Waiting: AnyComponent = (props) => (
    <Suspense fallback={null}>
      <Lazy {...props} />
    </Suspense>
  );
  function Later(props: ComponentProps<M[N]>) {
    // What is at hand is drawn at once: waiting, even for nothing, takes moments in which keys are lost.
    const [Drawn] = useState<AnyComponent>(() => ready ?? Waiting);
    return <Drawn {...props} />;
  }
  return Object.assign(Later, { fetch });
}

const QUIET_MS = 250;

/** Fetches components soon after the page is there, so that they are at hand when keys call for them. */
export function useFetchAhead(
  ...components: readonly { readonly fetch: () => Promise<unknown> }[]
): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const { fetch } of components) void fetch().catch(() => undefined);
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
}
