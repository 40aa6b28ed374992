import { percentile } from "./percentile";

export const median = percentile("median");
