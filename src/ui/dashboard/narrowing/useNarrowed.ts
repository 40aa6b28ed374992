"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { ChosenFilters, ShownFilter } from "@/contract/dashboards";
import { ask, tell, useAddress, type InAddress } from "../../kit";
import { NOT_NARROWED, readNarrowed, writeNarrowed, type Narrowed } from "./narrowed";

const IN_ADDRESS: InAddress<Narrowed | null> = {
  name: "f",
  plain: null,
  read: readNarrowed,
  write: (now) => (now === null ? null : writeNarrowed(now)),
  onWrong: () =>
    tell("What narrows in this address does not read; the dashboard is as you left it."),
};

const KEEP_AFTER_MS = 500;

/**
 * What narrows a dashboard: as the address says, or else as this viewer left it. What they choose is kept for them and stands
 * in the address; what an address brought is not kept over it.
 */
export function useNarrowed(
  board: number,
  filters: readonly ShownFilter[],
  kept: ChosenFilters,
): readonly [Narrowed, (next: Narrowed) => void] {
  const [own] = useState<Narrowed>(() => ({ ...NOT_NARROWED, chosen: known(kept, filters) }));
  const [given, setGiven] = useAddress(IN_ADDRESS);
  const [isChosen, setChosen] = useState(false);
  const waits = useRef<ReturnType<typeof setTimeout> | null>(null);
  const isForeign = given !== null && !isChosen && !isSame(given.chosen, own.chosen);
  const change = useCallback(
    (next: Narrowed) => {
      setGiven(next);
      if (isForeign) return;
      setChosen(true);
      if (waits.current) clearTimeout(waits.current);
      waits.current = setTimeout(() => {
        const chosen = Object.fromEntries(
          Object.entries(next.chosen).filter(([id]) =>
            filters.some((one) => one.id === id && !one.forgets),
          ),
        );
        void ask("keepChosen", { id: board, chosen }).catch(() => undefined);
      }, KEEP_AFTER_MS);
    },
    [board, filters, isForeign, setGiven],
  );
  useEffect(() => {
    const hasAddress = new URLSearchParams(location.search).has(IN_ADDRESS.name);
    if (!hasAddress && Object.keys(own.chosen).length)
      tell("The dashboard is narrowed as you left it.");
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  return [given ?? own, change];
}

const isSame = (some: ChosenFilters, others: ChosenFilters): boolean =>
  writeNarrowed({ ...NOT_NARROWED, chosen: some }) ===
  writeNarrowed({ ...NOT_NARROWED, chosen: others });

/** What was kept of filters that are still there. */
const known = (kept: ChosenFilters, filters: readonly ShownFilter[]): ChosenFilters =>
  Object.fromEntries(
    Object.entries(kept).filter(([id]) => filters.some((one) => one.id === id && !one.forgets)),
  );
