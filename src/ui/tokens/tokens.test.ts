import {
  differenceCiede2000,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  parse,
  type Color,
  wcagContrast,
  wcagLuminance,
} from "culori";
import { day, night } from "./tokens";

/** Contrast as WCAG 2.2 has it. */
const contrast = (a: string, b: string): number => wcagContrast(a, b);
const SIGHTS: Record<"normal" | "protan" | "deutan" | "tritan", (color: Color) => Color> = {
  normal: (color: Color) => color,
  protan: filterDeficiencyProt(1),
  deutan: filterDeficiencyDeuter(1),
  tritan: filterDeficiencyTrit(1),
};
const luminance = (hex: string): number => wcagLuminance(hex);
const apart = differenceCiede2000();

const SERIES = [1, 2, 3, 4, 5, 6, 7, 8] as const;

describe.each([
  ["day", day],
  ["night", night],
] as const)("the palette by %s", (_theme, tokens) => {
  test.each(Object.keys(SIGHTS) as (keyof typeof SIGHTS)[])(
    "its eight series colours are told apart with %s sight",
    (sight) => {
      for (const a of SERIES) {
        for (const b of SERIES) {
          if (a < b) {
            const [one, other] = [
              SIGHTS[sight](parse(tokens[`c${a}`])!),
              SIGHTS[sight](parse(tokens[`c${b}`])!),
            ];
            expect([`c${a}`, `c${b}`, apart(one, other) > 11.5]).toEqual([`c${a}`, `c${b}`, true]);
          }
        }
      }
    },
  );

  test.each(Object.keys(SIGHTS) as (keyof typeof SIGHTS)[])(
    "good, near and bad are told apart with %s sight, and none of them is a signal's red or green",
    (sight) => {
      const seen = (["g1", "g2", "g3"] as const).map((one) => SIGHTS[sight](parse(tokens[one])!));
      expect(apart(seen[0], seen[1])).toBeGreaterThan(15);
      expect(apart(seen[0], seen[2])).toBeGreaterThan(15);
      expect(apart(seen[1], seen[2])).toBeGreaterThan(15);
      for (const signal of ["#d32f2f", "#2e7d32", "#00a000", "#ff0000"])
        for (const one of ["g1", "g2", "g3"] as const)
          expect(apart(parse(tokens[one])!, parse(signal)!)).toBeGreaterThan(20);
    },
  );

  test("what is written on good, near and bad is readable, and they stand out", () => {
    for (const n of [1, 2, 3] as const) {
      expect([n, contrast(tokens[`g${n}`], tokens[`og${n}`]) >= 4.5]).toEqual([n, true]);
      expect([n, contrast(tokens[`g${n}`], tokens.salt) >= 3]).toEqual([n, true]);
    }
  });

  test("each series colour stands out on the ground of figures", () => {
    for (const n of SERIES)
      expect([n, contrast(tokens[`c${n}`], tokens.salt) >= 2.9]).toEqual([n, true]);
  });

  test("what is written on a series colour or a step of the ramp is readable", () => {
    for (const n of SERIES)
      expect([n, contrast(tokens[`c${n}`], tokens[`o${n}`]) >= 4.5]).toEqual([n, true]);
    for (const n of [1, 2, 3, 4] as const)
      expect([n, contrast(tokens[`r${n}`], tokens[`q${n}`]) >= 4.5]).toEqual([n, true]);
  });

  test.each(["paper", "salt", "tide", "tide-2", "sand", "mallow", "mallow-2"] as const)(
    "text is readable on %s",
    (ground) => {
      expect(contrast(tokens.ink, tokens[ground])).toBeGreaterThanOrEqual(7);
      expect(contrast(tokens["ink-2"], tokens[ground])).toBeGreaterThanOrEqual(4.5);
      expect(contrast(tokens.plum, tokens[ground])).toBeGreaterThanOrEqual(4.5);
    },
  );

  test("the steps of the ramp go one way", () => {
    const steps = ([1, 2, 3, 4] as const).map((n) => luminance(tokens[`r${n}`]));
    const rising = [...steps].sort((a, b) => a - b);
    expect([rising, [...rising].reverse()]).toContainEqual(steps);
  });

  test("plum acts readably, and words of alarm are read on the page", () => {
    expect(contrast(tokens.plum, tokens["on-plum"])).toBeGreaterThanOrEqual(7);
    expect(contrast(tokens.alarm, tokens.paper)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(tokens["brass-ink"], tokens.salt)).toBeGreaterThanOrEqual(4.5);
  });
});

test("day and night have the same tokens", () => {
  expect(Object.keys(night)).toEqual(Object.keys(day));
});
