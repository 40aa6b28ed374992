"use client";
import { useEffect, useRef } from "react";
import type { ShownFilter } from "@/contract/dashboards";
import type { AskContext } from "@/core/catalog";
import { valueText } from "@/core/sentence";
import { ask, tell } from "../../kit";
import { sameValue } from "../../report";
import { saidBy, withChosen, type Narrowed } from "./narrowed";
import { filterName, offeredAmong, readSaid, withValues } from "./said";

/** Operators whose values are one of those that are offered. */
const OF_OFFERED: ReadonlySet<string> = new Set(["is", "isAnyOf", "include", "includeAnyOf"]);

/** Of more values than this only some are offered: one that is not among them may fit all the same. */
const MOST_OFFERED = 200;

/** When a filter changes, those that depend on it let go of values that no longer fit, and say so with the way back. */
export function useLettingGo(
  filters: readonly ShownFilter[],
  now: Narrowed,
  onChange: (next: Narrowed) => void,
) {
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  }, [now]);
  return async (changed: ShownFilter, next: Narrowed, context: AskContext): Promise<void> => {
    latest.current = next;
    for (const child of filters.filter((one) => one.dependsOn === changed.id && !one.isLocked)) {
      const says = saidBy(child, latest.current);
      const test = says === null ? null : readSaid(says, child.subject, context);
      if (test?.kind !== "test" || !OF_OFFERED.has(test.operator)) continue;
      const among = offeredAmong(child, filters, latest.current, context);
      if (!among.where) continue;
      const offered = await ask("values", { definition: among, field: [...child.field] });
      if (offered.length >= MOST_OFFERED) continue;
      const fits = test.values.filter((value) =>
        offered.some((line) => sameValue(line.value, value)),
      );
      if (fits.length === test.values.length) continue;
      const gone = test.values
        .filter((value) => !fits.includes(value))
        .map((value) => valueText(value, context.catalog));
      onChange(
        withChosen(latest.current, child.id, withValues(test, fits, context, child.subject)),
      );
      tell(
        `${filterName(child, context)} let go of ${gone.join(", ")}: none of ${filterName(changed, context)} has it.`,
        {
          words: "Put back",
          run: () => onChange(withChosen(latest.current, child.id, says)),
        },
      );
    }
  };
}
