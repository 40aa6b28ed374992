import { sql, bind } from "../sql";
import { defineMeasure, type MeasureKind } from "./defineMeasure";
import { sum } from "./sum";

/** Interpolates linearly between ranks, leaving empties out; only the records can tell it of a union. */
export const percentile = (words: string, share: number): MeasureKind =>
  defineMeasure({
    words,
    needsField: true,
    fits: sum.fits,
    needs: sum.needs,
    additive: false,
    toSql: (value) => [
      sql`percentile_cont(${bind(share, "numeric")}) WITHIN GROUP (ORDER BY (${value})::float8)`,
    ],
    finish: ([value = null]) => value,
  });
