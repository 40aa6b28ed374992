export type { SCurveReport } from "./schema";

/** What of projects grows along a curve. */
export const CURVES = ["cost", "progress", "earned value"] as const;
export type Curve = (typeof CURVES)[number];
