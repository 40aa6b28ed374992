/** What work is measured in where it burns down. */
export const WORK_UNITS = ["count", "points", "remaining estimate"] as const;
export type WorkUnit = (typeof WORK_UNITS)[number];
