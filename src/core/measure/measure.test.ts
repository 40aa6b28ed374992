import { measureSql } from "./sql";
import fc from "fast-check";
import { Exact } from "../base";
import { sampleContext } from "../../../tests/support/sample";
import { compile, sql } from "../sql";
import { measures, MEASURE_IDS, type MeasureKind, type Parts } from ".";

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
