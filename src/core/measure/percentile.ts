import { defineMeasure, type MeasureKind } from "./defineMeasure";
import { sum } from "./sum";

/** Interpolates linearly between ranks, leaving empties out; only the records can tell it of a union. */
export const percentile = (words: string): MeasureKind =>
  defineMeasure({
    words,
    needsField: true,
    fits: sum.fits,
    needs: sum.needs,
    additive: false,
    finish: ([value = null]) => value,
  });
