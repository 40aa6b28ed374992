import type { Head } from "../answer";
import { Exact } from "../base";
import type { Dress, Rule } from "../definition";

/**
 * A token of the palette: a series colour, the same again with its texture ("c3x"), a step of the ramp, a meaning (g1 good,
 * g2 near, g3 bad), or the grounds of what has no value.
 */
export type Color = `c${number}` | `c${number}x` | `r${number}` | `g${number}` | "ghost" | "ink-3";

export const SERIES_COLORS = 8;

/** The colour that a value has in every report, unless its builder says otherwise. */
export function colorOf(head: Head): Color {
  if (head.kind === "none") return "ghost";
  if (head.kind === "rest" || head.tone === null) return "ink-3";
  return head.ranked ? `r${Math.min(head.tone, 3) + 1}` : `c${(head.tone % SERIES_COLORS) + 1}`;
}

/**
 * Colours for heads shown together: each keeps its own, but where two would look the same the later takes a free one. None
 * comes twice before all eight are used; after that they come again, with their textures.
 */
export function colorsOf(heads: readonly Head[]): Color[] {
  const taken = new Set<Color>();
  return heads.map((head) => {
    const own = colorOf(head);
    const color = own.startsWith("c") ? freeFrom(head.tone!, taken) : own;
    taken.add(color);
    return color;
  });
}

function freeFrom(tone: number, taken: ReadonlySet<Color>): Color {
  const round = Array.from(
    { length: SERIES_COLORS },
    (_, i): `c${number}` => `c${((tone + i) % SERIES_COLORS) + 1}`,
  );
  const textured = round.map((color): Color => `${color}x`);
  return [...round, ...textured].find((color) => !taken.has(color)) ?? round[0];
}

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
