import type { Measure, NamedMeasure } from "./measure.schema";

export const isNamed = (measure: Measure): measure is NamedMeasure => "named" in measure;

/** A count of all records: nothing more to say of it. */
export const isBareCount = (measure: Measure): boolean =>
  !isNamed(measure) && measure.measure === "count" && !measure.where && !measure.per;
