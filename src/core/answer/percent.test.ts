import fc from "fast-check";
import { Exact } from "../base";
import { largestRemainders, roundedShares } from ".";

describe("percentages", () => {
  test("three equal parts: the first takes what is missing", () =>
    expect(largestRemainders(["1", "1", "1"], 1)).toEqual(["33.4", "33.3", "33.3"]));
  test("the largest remainders are raised", () =>
    expect(largestRemainders(["4", "5", "20", "3", "4"], 0)).toEqual([
      "11",
      "14",
      "56",
      "8",
      "11",
    ]));
  test("a negative part, or nothing at all, has no percentages", () => {
    expect(largestRemainders(["-1", "3"], 0)).toBeNull();
    expect(largestRemainders(["0", "0"], 0)).toBeNull();
    expect(largestRemainders([], 0)).toBeNull();
  });
  test("what shares records is rounded half up for itself", () =>
    expect(roundedShares(["1", "7"], "8", 0)).toEqual(["13", "88"]));

  const parts = fc
    .array(
      fc.oneof(
        fc.nat(1000).map(String),
        fc.nat(9999).map((n) => (n / 100).toFixed(2)),
      ),
      { minLength: 1, maxLength: 20 },
    )
    .filter((values) => values.some((value) => Number(value) > 0));
  test("what is shown adds up to exactly 100, each within one unit of its share, larger parts never less", () => {
    fc.assert(
      fc.property(parts, fc.integer({ min: 0, max: 4 }), (values, decimals) => {
        const shown = largestRemainders(values, decimals)!;
        const sum = (list: readonly string[]) =>
          list.reduce((total, value) => total.plus(value), new Exact(0));
        expect(sum(shown).toNumber()).toBe(100);
        const whole = sum(values);
        shown.forEach((text, i) => {
          expect(text).toMatch(decimals ? new RegExp(`^\\d+\\.\\d{${decimals}}$`) : /^\d+$/);
          expect(
            new Exact(text)
              .minus(new Exact(values[i]).times(100).div(whole))
              .abs()
              .lt(new Exact(10).pow(-decimals)),
          ).toBe(true);
        });
        values.forEach((a, i) =>
          values.forEach(
            (b, j) =>
              new Exact(a).gt(b) &&
              expect(Number(shown[i])).toBeGreaterThanOrEqual(Number(shown[j])),
          ),
        );
      }),
      { numRuns: 200 },
    );
  });
});
