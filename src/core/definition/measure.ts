import { invariant } from "../base";
import type { Catalog } from "../catalog";
import { measures } from "../measure";
import { isNamed } from "./bareCount";
import type { Measure, PlainMeasure, SimpleMeasure } from "./measure.schema";

export type { Measure, PlainMeasure, SimpleMeasure } from "./measure.schema";

/** What a measure comes to; undefined for a named one that is gone. */
export function findPlainMeasure(measure: Measure, catalog: Catalog): PlainMeasure | undefined {
  if (!isNamed(measure)) return measure;
  // It was checked when it got its name; one that names a measure of another version counts as gone.
  const plain = catalog.findMeasure(measure.named)?.measure as PlainMeasure | undefined;
  return plain && plain.measure in measures ? plain : undefined;
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
