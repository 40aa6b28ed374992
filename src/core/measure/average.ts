import { Exact } from "../base";
import { sql } from "../sql";
import { defineMeasure } from "./defineMeasure";
import { addParts } from "./merging";
import { sum } from "./sum";

/** Leaves empties out; the average of nothing is empty. */
export const average = defineMeasure({
  words: "average",
  needsField: true,
  fits: sum.fits,
  needs: sum.needs,
  additive: false,
  toSql: (value) => [sql`coalesce(sum(${value}), 0)`, sql`count(${value})`],
  merge: addParts,
  finish: ([total, n]) => (Number(n) ? new Exact(total ?? 0).div(n!).toFixed() : null),
});
