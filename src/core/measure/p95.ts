import { percentile } from "./percentile";

export const p95 = percentile("p95");
