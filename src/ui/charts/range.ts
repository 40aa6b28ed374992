import type { Zone } from "@/core/definition";
import type { Color } from "@/core/figure";

/** The zone that a value lies in; one on a border belongs to the upper of the two. */
export const zoneAt = (zones: readonly Zone[], value: number): Zone | undefined =>
  zones.find((one) => one.to === null || value < one.to) ?? zones[zones.length - 1];

/** The colour of a zone; zones are kept with tokens of the palette. */
export const colorOf = (zone: Zone): Color => (zone.color ?? "c2") as Color;

/** "on target", "12 under the target of 50", of ratios "5 percentage points over the target of 85 %". */
export function targetSaid(value: number, target: number, told: (value: number) => string): string {
  if (value === target) return "on target";
  const way = value > target ? "over" : "under";
  // What two percentages differ by is no percentage of either.
  const apart = told(Math.abs(value - target)).replace(/\s%$/, " percentage points");
  return `${apart} ${way} the target of ${told(target)}`;
}
