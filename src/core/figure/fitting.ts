import type { Color } from "./color";

/** Values named after colours or health, and the palette's colour that reads like them; never red and green as opposites. */
const NAMED: readonly (readonly [RegExp, Color])[] = [
  [/^(blue|navy)$/i, "c1"],
  [/^(sky|light blue|cyan)$/i, "c2"],
  [/^(yellow|amber|sand|gold)$/i, "c3"],
  [/^(red|pink|rose)$/i, "c4"],
  [/^(green|teal)$/i, "c5"],
  [/^(good|fine|well|healthy|on track|steady|met|in time|passed|ok)$/i, "g1"],
  [/^(near|at risk|worried|careful|due soon|warning)$/i, "g2"],
  [/^(bad|critical|off track|alarm|missed|late|overdue|failed|breached)$/i, "g3"],
  [/^(brown|orange|rust)$/i, "c6"],
  [/^(purple|violet|lilac)$/i, "c7"],
  [/^(black|grey|gray|dark|unknown)$/i, "c8"],
];

/** A colour that fits the name of a value; undefined where the name says nothing of one. */
export const fittingColor = (label: string): Color | undefined =>
  NAMED.find(([words]) => words.test(label.trim()))?.[1];
