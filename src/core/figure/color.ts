import type { Head } from "../answer";
import { Exact } from "../base";
import type { Dress, Rule } from "../definition";

/** A token of the palette: a series colour, a step of the ramp, or the grounds of what has no value. */
export type Color = `c${number}` | `r${number}` | "ghost" | "ink-3";

export const SERIES_COLORS = 8;

/** The colour that a value has in every report, unless its builder says otherwise. */
export function colorOf(head: Head): Color {
  if (head.kind === "none") return "ghost";
  if (head.kind === "rest" || head.tone === null) return "ink-3";
  return head.ranked ? `r${Math.min(head.tone, 3) + 1}` : `c${(head.tone % SERIES_COLORS) + 1}`;
}

/** Colours for heads shown together: each keeps its own, but where two would look the same the later takes a free one. */
export function colorsOf(heads: readonly Head[]): Color[] {
  const taken = new Set<Color>();
  return heads.map((head) => {
    let color = colorOf(head);
    if (color.startsWith("c")) {
      const free = Array.from(
        { length: SERIES_COLORS },
        (_, i): Color => `c${((head.tone! + i) % SERIES_COLORS) + 1}`,
      ).find((one) => !taken.has(one));
      color = free ?? color;
    }
    taken.add(color);
    return color;
  });
}

/** Values named after colours or health, and the palette's colour that reads like them; never red and green as opposites. */
const NAMED: readonly (readonly [RegExp, Color])[] = [
  [/^(blue|navy|calm|cold)$/i, "c1"],
  [/^(sky|light blue|cyan)$/i, "c2"],
  [/^(yellow|amber|sand|gold|at risk|worried|careful)$/i, "c3"],
  [/^(red|pink|rose|bad|critical|storm|off track|alarm)$/i, "c4"],
  [/^(green|teal|good|fine|well|healthy|on track|steady)$/i, "c5"],
  [/^(brown|orange|rust)$/i, "c6"],
  [/^(purple|violet|lilac)$/i, "c7"],
  [/^(black|grey|gray|dark|unknown|none)$/i, "c8"],
];

/** A colour that fits the name of a value; undefined where the name says nothing of one. */
export const fittingColor = (label: string): Color | undefined =>
  NAMED.find(([words]) => words.test(label.trim()))?.[1];

/** Which rule a value falls under, the first that fits; `share` is its place among the values shown, 0 for the largest. */
export function ruleOf(
  value: string | null,
  rules: readonly Rule[],
  share: number,
  measure = 0,
): Rule | undefined {
  if (value === null || !/^-?\d/.test(value)) return undefined;
  return rules.find(
    (rule) =>
      rule.measure === measure &&
      (rule.kind === "over"
        ? new Exact(value).gt(rule.value)
        : rule.kind === "under"
          ? new Exact(value).lt(rule.value)
          : share * 100 < rule.value),
  );
}

/** For each value its place from the largest (0) to the smallest (1), for rules of the top share. */
export function shareRanks(values: readonly (string | null)[]): number[] {
  const sorted = values
    .map((value, index) => ({ index, value: value === null ? null : Number(value) }))
    .sort((a, b) => (b.value ?? -Infinity) - (a.value ?? -Infinity));
  const ranks: number[] = [];
  sorted.forEach(({ index }, place) => (ranks[index] = place / Math.max(values.length, 1)));
  return ranks;
}

export const ownColor = (dress: Dress, key: string): Color | undefined =>
  dress.colors[key] as Color | undefined;
