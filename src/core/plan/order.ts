import { idsOf } from "../filter";

import type { Viewpoint } from "../relation";
import { compareTexts } from "../base";
import type { Field } from "../catalog";

import { less } from "../measure";

import { groupParts, NONE, REST, type Key } from "../definition";
import type { Tier } from "./tier";

/** Natural order of a tier's keys: by rank, workflow, definition, time, size or locale; the rest and not set come last. */
export function naturalOrder(tier: Tier, view: Viewpoint): (a: Key, b: Key) => number {
  const place = (key: Key): number => (key === NONE ? 2 : key === REST ? 1 : 0);
  const first = (key: Key): string => sortedBy(key, tier, view);
  const compare = compareValues(tier.field, tier, view);
  return (a, b) =>
    place(a) - place(b) ||
    (place(a) ? 0 : compare(first(a), first(b)) || (a < b ? -1 : a > b ? 1 : 0));
}

/** The value that a group stands at: its own, or the first of a fold; ranges and cases by their place. */
function sortedBy(key: Key, tier: Tier, view: Viewpoint): string {
  const part = groupParts.read(key);
  if (part?.kind === "fold") return firstOfFold(tier, part.index, view);
  if (part?.kind === "range" || part?.kind === "case") return String(part.index);
  return part?.kind === "value" ? part.value : "";
}

/** The value that comes first of those in a fold; "not set" alone comes after all values. */
export function firstOfFold(tier: Tier, index: number, view: Viewpoint): string {
  const compare = compareValues(tier.field, tier, view);
  const values = tier.group.folds![index].values.flatMap((value) =>
    value.kind === "text"
      ? [value.text]
      : value.kind === "number"
        ? [value.number]
        : value.kind === "flag"
          ? [String(value.yes)]
          : value.kind === "stage" && !tier.field.thing
            ? [value.stage]
            : idsOf([value], view).map(String),
  );
  return values.sort(compare)[0] ?? "\uffff";
}

function compareValues(
  field: Field,
  tier: Tier,
  view: Viewpoint,
): (a: string, b: string) => number {
  if (tier.group.cases || tier.group.ranges) return (a, b) => Number(a) - Number(b);
  if (tier.group.grain === "weekday" && view.calendar.weekStarts === "Sun")
    return (a, b) => (Number(a) % 7) - (Number(b) % 7);
  if (tier.group.grain === "hour" || tier.group.grain === "weekday")
    return (a, b) => Number(a) - Number(b);
  if (tier.group.grain) return (a, b) => (a < b ? -1 : a > b ? 1 : 0);
  if (field.thing)
    return (a, b) =>
      view.catalog.names.orderOf(field.thing!, Number(a)) -
      view.catalog.names.orderOf(field.thing!, Number(b));
  if (field.type === "yesNo") return (a, b) => (a === b ? 0 : a === "true" ? -1 : 1);
  if (field.choices) {
    const at = (value: string) =>
      field.choices!.includes(value) ? field.choices!.indexOf(value) : Number.MAX_SAFE_INTEGER;
    return (a, b) => at(a) - at(b) || compareTexts(a, b, view.calendar.locale);
  }
  if (field.type === "text") return (a, b) => compareTexts(a, b, view.calendar.locale);
  return (a, b) => Number(a) - Number(b);
}

export function rankValues(
  rows: readonly { readonly key: Key; readonly value: string | null }[],
  tier: Tier,
  view: Viewpoint,
): Key[] {
  const natural = naturalOrder(tier, view);
  return rows
    .filter(({ key }) => key !== NONE && key !== REST)
    .sort(
      (a, b) =>
        (a.value === null || b.value === null
          ? Number(a.value === null) - Number(b.value === null)
          : less(b.value, a.value)
            ? -1
            : less(a.value, b.value)
              ? 1
              : 0) || natural(a.key, b.key),
    )
    .map(({ key }) => key);
}

/** The order of a top N: as they were ranked, then the rest, then what is not set. */
export function topOrder(tops: readonly Key[]): (a: Key, b: Key) => number {
  const place = (key: Key) =>
    key === NONE ? tops.length + 1 : key === REST ? tops.length : tops.indexOf(key);
  return (a, b) => place(a) - place(b);
}
