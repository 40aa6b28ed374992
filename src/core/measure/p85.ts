import { percentile } from "./percentile";

export const p85 = percentile("p85");
