"use client";
import { useCallback, useEffect, useState } from "react";

/** How a state is written into one part of the address. */
export interface InAddress<T> {
  readonly name: string;
  /** What stands where the address says nothing. */
  readonly plain: T;
  /** @throws for a text that does not read; what is plain stands then, and `onWrong` hears of it */
  readonly read: (text: string) => T;
  /** null leaves it out of the address. */
  readonly write: (value: T) => string | null;
  readonly onWrong?: () => void;
}

/** A state that lives in the address, so that a link and a reload show the same; it begins plain until it is read. */
export function useAddress<T>(place: InAddress<T>): [T, (value: T) => void] {
  const { name, plain, read, write, onWrong } = place;
  const [value, setValue] = useState(plain);
  useEffect(() => {
    const given = new URLSearchParams(location.search).get(name);
    if (given === null) return;
    try {
      setValue(read(given));
    } catch {
      onWrong?.();
    }
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  const choose = useCallback(
    (next: T) => {
      setValue(next);
      const address = new URL(location.href);
      const text = write(next);
      if (text === null) address.searchParams.delete(name);
      else address.searchParams.set(name, text);
      window.history.replaceState(null, "", address.pathname + address.search);
    },
    [name, write],
  );
  return [value, choose];
}
