import {
  unitLabel,
  endText,
  headOf,
  inUnit,
  simpleHead,
  type Cell,
  type Head,
  type MeasureHead,
} from "../../answer";
import type { Bucket, Instant } from "../../time";
import type { LevelParts } from "./planLevel";

/** Levels at the ends of buckets, as they are shown and given to programs. */
export interface LevelAnswer {
  readonly kind: "level";
  readonly measure: MeasureHead;
  readonly split: readonly Head[];
  readonly rows: readonly {
    readonly bucket: Bucket;
    readonly label: string;
    readonly about: string;
    readonly cell: Cell | null;
    readonly parts: readonly (Cell | null)[];
  }[];
  /** The first instant with any history. */
  readonly begins: Instant | null;
  readonly asOf: Instant;
}

export function levelAnswer(parts: LevelParts): LevelAnswer {
  const { report, view, measure, tier, keys } = parts;
  const head = simpleHead(measure, report, view);
  const cell = (given: Cell): Cell => ({
    ...given,
    value: given.value === null ? null : inUnit(given.value, head, view),
  });
  return {
    kind: "level",
    measure: head,
    split: tier ? keys.map((key) => headOf(key, tier, view, null)) : [],
    rows: parts.buckets.map((bucket, i) => {
      const level = parts.levels[i];
      return {
        bucket,
        label: unitLabel(bucket, report.grain, view),
        about: `at ${endText(bucket, view)}`,
        cell: level && cell(level.all),
        parts: level ? level.parts.map(cell) : keys.map(() => null),
      };
    }),
    begins: parts.since,
    asOf: view.now,
  };
}
