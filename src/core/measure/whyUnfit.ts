import { kindWords, type Field } from "../catalog";
import type { MeasureKind } from "./defineMeasure";

/** Why a measure cannot be taken of a field; null where it can. @param called the field as the sentence has it */
export function whyUnfit(measure: MeasureKind, field: Field, called = field.words): string | null {
  if (measure.fits(field)) return null;
  return (
    measure.unfit?.(field) ??
    `${called} is ${kindWords(field)}; ${measure.words.replace(" of", "")} needs ${measure.needs}`
  );
}
