import { z } from "zod";
import { invariant } from "../base";
import type { Catalog } from "../catalog";
import { ConditionSchema, UnitSchema } from "../filter";
import { MEASURE_IDS, measures } from "../measure";

/** One measure: what is done with which field, in which unit, of which of the records. */
export const SimpleMeasureSchema = z.strictObject({
  measure: z.enum(MEASURE_IDS),
  field: z.array(z.string()).min(1).max(6).optional(),
  unit: UnitSchema.optional(),
  /** In working time: only of stretches of time. */
  working: z.literal(true).optional(),
  /** Only of records that this holds for, beside the report's own conditions. */
  where: ConditionSchema.optional(),
});
export type SimpleMeasure = z.infer<typeof SimpleMeasureSchema>;

/** A measure, or the ratio of two. */
export const PlainMeasureSchema = SimpleMeasureSchema.extend({
  per: SimpleMeasureSchema.optional(),
});
export type PlainMeasure = z.infer<typeof PlainMeasureSchema>;

/** A measure that the workspace has a name for. */
export const NamedMeasureSchema = z.strictObject({ named: z.int() });

export const MeasureSchema = z.union([PlainMeasureSchema, NamedMeasureSchema]);
export type Measure = z.infer<typeof MeasureSchema>;

export const isNamed = (measure: Measure): measure is z.infer<typeof NamedMeasureSchema> =>
  "named" in measure;

/** A count of all records: nothing more to say of it. */
export const isBareCount = (measure: Measure): boolean =>
  !isNamed(measure) && measure.measure === "count" && !measure.where && !measure.per;

/** What a measure comes to; undefined for a named one that is gone. */
export function findPlainMeasure(measure: Measure, catalog: Catalog): PlainMeasure | undefined {
  if (!isNamed(measure)) return measure;
  const read = PlainMeasureSchema.safeParse(catalog.findMeasure(measure.named)?.measure);
  return read.success ? read.data : undefined;
}

/**
 * What some measures measure, where each tells a value of one and the same field in one unit: then a record has a place beside
 * them. Counts and sums tell of many records, dates are no amounts.
 */
export function measuredValueOf(
  list: readonly Measure[],
  catalog: Catalog,
): SimpleMeasure | undefined {
  const plain = list.map((measure) => findPlainMeasure(measure, catalog));
  const [first] = plain;
  const isAlike = plain.every(
    (one) =>
      one?.field &&
      !one.per &&
      !one.where &&
      tellsValues(one.measure) &&
      JSON.stringify([one.field, one.unit, one.working]) ===
        JSON.stringify([first!.field, first!.unit, first!.working]),
  );
  return first && isAlike
    ? {
        measure: first.measure,
        ...(first.field ? { field: first.field } : {}),
        ...(first.unit ? { unit: first.unit } : {}),
        ...(first.working ? { working: first.working } : {}),
      }
    : undefined;
}

const tellsValues = (id: SimpleMeasure["measure"]): boolean =>
  !measures[id].additive && !("plain" in measures[id] && measures[id].plain);

/** The same of a checked report. */
export function plainMeasure(measure: Measure, catalog: Catalog): PlainMeasure {
  const plain = findPlainMeasure(measure, catalog);
  invariant(plain, "the measures of a checked report are known");
  return plain;
}
