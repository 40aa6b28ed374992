import { percentile } from "./percentile.sql";

export const p85 = percentile(0.85);
