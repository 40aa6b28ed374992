"use client";
import { useEffect, useState } from "react";
import type { WorkUnit } from "@/core/definition";

/** What work can be counted in. */
export const UNITS: readonly (readonly [WorkUnit, string])[] = [
  ["points", "points"],
  ["count", "items"],
  ["remaining estimate", "remaining estimate"],
];
const KEY = "gt_sprint_unit";

/** What somebody counts work in, remembered in their browser. */
export function useWorkUnit(): [WorkUnit, (unit: WorkUnit) => void] {
  const [unit, setUnit] = useState<WorkUnit>("points");
  useEffect(() => {
    const kept = localStorage.getItem(KEY);
    if (UNITS.some(([id]) => id === kept)) setUnit(kept as WorkUnit);
  }, []);
  const choose = (next: WorkUnit) => {
    localStorage.setItem(KEY, next);
    setUnit(next);
  };
  return [unit, choose];
}
