import type { Instant } from "@/core/time";

/** The one place where the server asks what time it is. */
export interface Clock {
  now(): Instant;
}

/** When the process began, in ms: as the system says, or as GRAND_TALLY_NOW does (tests, whose "this month" is always the same). */
const began = process.env.GRAND_TALLY_NOW
  ? Date.parse(process.env.GRAND_TALLY_NOW)
  : performance.timeOrigin;

export const systemClock: Clock = {
  now: () => Math.round((began + performance.now()) * 1000),
};
