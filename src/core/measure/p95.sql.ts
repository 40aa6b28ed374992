import { percentile } from "./percentile.sql";

export const p95 = percentile(0.95);
