import { numberText } from "../base";

/** Groups times parts times measures that one answer may have: what it holds is counted before it is made. */
export const MOST_CELLS = 400_000;

/** An answer that would be larger than anybody reads, and than a server should hold. */
export class TooLarge extends Error {
  constructor(cells: number) {
    super(
      `This would have ${numberText(cells)} cells; ${numberText(MOST_CELLS)} can be told at once. Take only the largest groups (top 20), fewer groups, or a longer stretch of time.`,
    );
  }
}

/** @throws TooLarge */
export function checkSize(...sides: readonly number[]): void {
  const cells = sides.reduce((product, side) => product * Math.max(side, 1), 1);
  if (cells > MOST_CELLS) throw new TooLarge(cells);
}
