import type { DotsParts } from "./planDots";
import { measuredValueOf } from "../../definition";

import type { Instant } from "../../time";
import { inUnit, simpleHead } from "../../answer";

/** Records by date and value, in the unit of the measures; of more than can be drawn some are picked evenly. */
export interface DotsAnswer {
  /** How many records have a value, drawn or not. */
  readonly of: number;
  readonly dots: readonly {
    readonly id: number;
    readonly key: string | null;
    readonly at: Instant;
    readonly value: string;
  }[];
}

export function dotsAnswer({ report, view, of, dots }: DotsParts): DotsAnswer {
  const head = simpleHead(measuredValueOf(report.measures, view.catalog)!, report, view);
  return { of, dots: dots.map((dot) => ({ ...dot, value: inUnit(dot.value, head, view) })) };
}
