import { Exact } from "../base";

/**
 * Percentages that add up to exactly 100: the largest remainder method. Each share is rounded down in units of
 * 10^-decimals percent and the missing units go to the largest remainders, ties in the order given.
 * @param values exact decimals, one for each part; the last ones may be parts that are not shown
 * @returns one text for each value with exactly `decimals` decimals; null where a part is negative or all are 0
 */
export function largestRemainders(values: readonly string[], decimals: number): string[] | null {
  const exact = values.map((value) => new Exact(value));
  const base = exact.reduce((sum, value) => sum.plus(value), new Exact(0));
  if (base.lte(0) || exact.some((value) => value.lt(0))) return null;
  const whole = new Exact(100).times(new Exact(10).pow(decimals));
  const shares = exact.map((value) => value.times(whole).div(base));
  const units = shares.map((share) => share.floor());
  const missing = whole.minus(units.reduce((sum, unit) => sum.plus(unit), new Exact(0))).toNumber();
  const byRemainder = shares
    .map((share, index) => ({
      index,
      remainder: remainderOf(exact[index], whole, base, share.floor()),
    }))
    .sort((a, b) => b.remainder.cmp(a.remainder) || a.index - b.index);
  for (const { index } of byRemainder.slice(0, missing)) units[index] = units[index].plus(1);
  return units.map((unit) => unit.div(new Exact(10).pow(decimals)).toFixed(decimals));
}

/** value * whole - floor * base: the remainder without a division, so that equal ones are exactly equal. */
const remainderOf = (value: Exact, whole: Exact, base: Exact, floor: Exact): Exact =>
  value.times(whole).minus(floor.times(base));

/** Each share rounded half up for itself: for parts that share records, which need not add up. */
export function roundedShares(
  values: readonly string[],
  base: string,
  decimals: number,
): string[] | null {
  const whole = new Exact(base);
  if (whole.lte(0) || values.some((value) => new Exact(value).lt(0))) return null;
  return values.map((value) =>
    new Exact(value)
      .times(100)
      .div(whole)
      .toDecimalPlaces(decimals, Exact.ROUND_HALF_UP)
      .toFixed(decimals),
  );
}
