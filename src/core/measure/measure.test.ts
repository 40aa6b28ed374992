import { measureSql } from "./sql";
import fc from "fast-check";
import { Exact } from "../base";
import { sampleContext } from "../../../tests/support/sample";
import { compile, sql } from "../sql";
import { measures, MEASURE_IDS, type MeasureKind, type Parts } from ".";
import { sumOf } from "./merging";

/** The parts that PostgreSQL would hand over for some values (null: empty). */
const partsOf: Record<string, (values: readonly (string | null)[]) => Parts> = {
  count: (values) => [String(values.length)],
  sum: (values) => [
    present(values)
      .reduce((sum, v) => sum.plus(v), new Exact(0))
      .toFixed(),
  ],
  average: (values) => [
    present(values)
      .reduce((sum, v) => sum.plus(v), new Exact(0))
      .toFixed(),
    String(present(values).length),
  ],
  lowest: (values) => [present(values).length ? Exact.min(...present(values)).toFixed() : null],
  highest: (values) => [present(values).length ? Exact.max(...present(values)).toFixed() : null],
};
const present = (values: readonly (string | null)[]): string[] =>
  values.filter((v): v is string => v !== null);
const values = fc.array(
  fc.oneof(
    fc.constant(null),
    fc.integer({ min: -9999, max: 9999 }).map((n) => (n / 100).toFixed(2)),
  ),
  { maxLength: 12 },
);

describe.each(MEASURE_IDS.filter((id) => "merge" in measures[id] && measures[id as "count"].merge))(
  "%s",
  (id) => {
    const kind = measures[id] as MeasureKind;
    test("merged from disjoint groups is what their union gives", () => {
      fc.assert(
        fc.property(fc.array(values, { minLength: 1, maxLength: 5 }), (groups) => {
          const merged = kind.finish(kind.merge!(groups.map(partsOf[id])));
          const whole = kind.finish(partsOf[id](groups.flat()));
          expect(merged === null ? null : new Exact(merged).toFixed()).toBe(
            whole === null ? null : new Exact(whole).toFixed(),
          );
        }),
      );
    });
  },
);

describe("of nothing", () => {
  test.each([
    ["count", "0"],
    ["sum", "0"],
    ["distinct", "0"],
    ["average", null],
    ["median", null],
    ["lowest", null],
    ["highest", null],
    ["p85", null],
  ] as const)("%s is %s", (id, value) => expect(measures[id].finish([])).toBe(value));
});

describe("every measure", () => {
  const fields = sampleContext().catalog.fieldsOf("items");
  test.each(MEASURE_IDS)(
    "%s asks the database for as many columns as it reads, and says what it needs",
    (id) => {
      const kind: MeasureKind = measures[id];
      expect(measureSql[id](sql`x`).length).toBeGreaterThan(0);
      expect(kind.needs).not.toBe("");
      expect(compile(measureSql[id](sql`x`)[0]).text).toMatch(/count|sum|min|max|percentile_cont/);
      if (kind.needsField) expect(fields.some(kind.fits)).toBe(true);
    },
  );
  test("texts cannot be summed, dates have a lowest", () => {
    const field = (name: string) => fields.find((one) => one.id === name)!;
    expect([
      measures.sum.fits(field("title")),
      measures.lowest.fits(field("created")),
      measures.average.fits(field("points")),
      measures.sum.fits(field("tags")),
    ]).toEqual([false, true, true, false]);
  });
});

describe("sums of texts", () => {
  const exactly = (values: readonly (string | null)[]) =>
    values.reduce((sum, value) => sum.plus(value ?? 0), new Exact(0)).toFixed();
  test.each([
    [[], "0"],
    [[null, null], "0"],
    [["1", null, "2"], "3"],
    [["0.1", "0.2"], "0.3"],
    [["-5", "5"], "0"],
    [["999999999999999", "999999999999999", "1"], "1999999999999999"],
    [["9007199254740993", "1"], "9007199254740994"],
    [["900000000000000", "0.25", "8999999999999999"], "9899999999999999.25"],
  ])("%j is %s", (values, sum) => expect(sumOf(values)).toBe(sum));

  test("are those of decimals, whatever stands in which place", () => {
    const value = fc.oneof(
      fc.constant(null),
      fc.integer().map(String),
      fc.bigInt({ min: -(10n ** 20n), max: 10n ** 20n }).map(String),
      fc
        .tuple(fc.integer({ min: -999_999, max: 999_999 }), fc.integer({ min: 0, max: 99 }))
        .map(([whole, part]) => `${whole}.${String(part).padStart(2, "0")}`),
    );
    fc.assert(
      fc.property(fc.array(value, { maxLength: 30 }), (values) => {
        expect(sumOf(values)).toBe(exactly(values));
      }),
    );
  });
});
