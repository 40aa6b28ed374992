"use client";
const taken = new WeakSet<Promise<unknown>>();

/** What was begun with the page, once: asked again it is null, and has to be asked anew. */
export async function takeBegun<T>(begun: Promise<T | null> | undefined): Promise<T | null> {
  if (!begun || taken.has(begun)) return null;
  taken.add(begun);
  return begun.catch(() => null);
}
