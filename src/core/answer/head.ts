import type { Viewpoint } from "../relation";
import { type Key, groupParts } from "../definition";
import { numberText } from "../base";
import { WEEKDAYS, isBucketGrain, unitText, type Bucket } from "../time";

import { firstOfFold, type Tier } from "../plan";
import { flowLabel } from "./bucketWords";

/** A group as it is shown and as programs get it. */
export interface Head {
  readonly key: Key;
  readonly kind: "value" | "fold" | "range" | "case" | "rest" | "none";
  /** As kept: people by login, stretches of time by their first day; null for not set and for the rest. */
  readonly name: string | null;
  readonly label: string;
  /** Which colour it always has: its place among the values of its field; null for not set and the rest. */
  readonly tone: number | null;
  /** It is one of an order of ranks, and takes the ramp. */
  readonly ranked?: true;
  readonly bucket?: Bucket;
}

/** What the key of a tier stands for. */
export function headOf(
  key: Key,
  tier: Tier,
  view: Viewpoint,
  buckets: ReadonlyMap<Key, Bucket> | null,
): Head {
  const part = groupParts.read(key) ?? { kind: "none" };
  switch (part.kind) {
    case "none":
      return { key, kind: "none", name: null, label: "not set", tone: null };
    case "rest":
      return { key, kind: "rest", name: null, label: "rest", tone: null };
    case "fold": {
      const { name } = tier.group.folds![part.index];
      const tone = toneOf(firstOfFold(tier, part.index, view), tier, view);
      return { key, kind: "fold", name, label: name, tone };
    }
    case "case": {
      const { name } = tier.group.cases![part.index];
      return { key, kind: "case", name, label: name, tone: part.index };
    }
    case "range":
      return {
        key,
        kind: "range",
        name: rangeText(tier, part.index, false),
        label: rangeText(tier, part.index, true),
        tone: part.index,
      };
    case "value":
      return valueHead(key, part.value, tier, view, buckets);
  }
}

function valueHead(
  key: Key,
  value: string,
  tier: Tier,
  view: Viewpoint,
  buckets: ReadonlyMap<Key, Bucket> | null,
): Head {
  const bucket = tier.group.grain ? buckets?.get(key) : undefined;
  return {
    key,
    kind: "value",
    ...namesOfValue(value, tier, view, bucket),
    tone: toneOf(value, tier, view),
    ...(tier.field.thing === "priority" ? { ranked: true as const } : {}),
    ...(bucket ? { bucket } : {}),
  };
}

/** "under 2 d", "2 to 7 d", "7 d and over"; plain numbers for programs. */
function rangeText({ group, field }: Tier, index: number, forPeople: boolean): string {
  const unit =
    forPeople && field.type === "duration"
      ? ` ${{ minutes: "min", hours: "h", days: "d" }[field.unit ?? "minutes"]}`
      : "";
  const number = (text: string) => (forPeople ? numberText(text) : text);
  const [from, to] = [group.ranges![index - 1], group.ranges![index]];
  return from === undefined
    ? `under ${number(to)}${unit}`
    : to === undefined
      ? `${number(from)}${unit} and over`
      : `${number(from)} to ${number(to)}${unit}`;
}

/** A value keeps its colour in every report: things and choices by their place, texts by their letters. */
function toneOf(value: string, tier: Tier, view: Viewpoint): number {
  const { field, group } = tier;
  if (group.grain) return 0;
  if (field.thing)
    return Math.min(view.catalog.names.orderOf(field.thing, Number(value)), 1_000_000);
  if (field.choices?.includes(value)) return field.choices.indexOf(value);
  return [...value].reduce((sum, letter) => (sum * 31 + letter.codePointAt(0)!) % 9973, 7);
}

function namesOfValue(
  value: string,
  tier: Tier,
  view: Viewpoint,
  bucket?: Bucket,
): { name: string; label: string } {
  const { field, group } = tier;
  if (group.grain === "weekday")
    return { name: WEEKDAYS[Number(value) - 1], label: WEEKDAYS[Number(value) - 1] };
  if (group.grain === "hour") return { name: value, label: `${value.padStart(2, "0")}:00` };
  if (group.grain && isBucketGrain(group.grain)) {
    const label = bucket
      ? flowLabel(bucket, group.grain, view)
      : unitText(value, group.grain, view.calendar);
    return { name: bucket?.from ?? value, label };
  }
  if (field.thing) {
    const thing = view.catalog.names.find(field.thing, Number(value));
    return {
      name: thing?.name ?? value,
      label: thing ? view.catalog.names.printed(field.thing, thing) : value,
    };
  }
  if (field.type === "yesNo")
    return { name: value === "true" ? "yes" : "no", label: value === "true" ? "yes" : "no" };
  return {
    name: value,
    label: field.type === "text" || field.type === "choice" ? value : numberText(value),
  };
}
