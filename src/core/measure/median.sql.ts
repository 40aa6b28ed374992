import { percentile } from "./percentile.sql";

export const median = percentile(0.5);
