import type { Bucket, Instant } from "../../time";
import type { Curve } from "./definition";

/** The lines of each kind of curve, in the order in which they are told. */
export const LINES = {
  cost: ["planned", "actual", "projected"],
  progress: ["planned", "actual"],
  "earned value": ["plannedValue", "earnedValue", "actualCost"],
} as const satisfies Record<Curve, readonly string[]>;
export type LineKey = (typeof LINES)[Curve][number];

export const LINE_WORDS: Readonly<Record<LineKey, string>> = {
  planned: "planned",
  actual: "actual",
  projected: "projected",
  plannedValue: "planned value",
  earnedValue: "earned value",
  actualCost: "actual cost",
};

/** Values at the end of a stretch: decimal texts; null where nothing is drawn. */
export type LineValues = { readonly [K in LineKey]?: string | null };

export interface SCurveAnswer {
  readonly kind: "sCurve";
  readonly of: Curve;
  /** How many projects take part, and how many were asked for. */
  readonly projects: number;
  readonly asked: number;
  /** Only those whose money the viewer sees take part. */
  readonly isNarrowed: boolean;
  readonly rows: readonly {
    readonly bucket: Bucket;
    readonly label: string;
    readonly at: LineValues;
    /** Within the stretch, of cost. */
    readonly within?: LineValues;
  }[];
  readonly asOf: Instant;
}
