import type { Instant } from "@/core/time";

/** The one place where the server asks what time it is. */
export interface Clock {
  now(): Instant;
}

export const systemClock: Clock = {
  now: () => Math.round((performance.timeOrigin + performance.now()) * 1000),
};
