import { TooLarge } from "@/core/kinds/planned";
import type { Problem, Result } from "@/core/base";

/** Thrown by acts for what a person can mend; the door through which they came tells it. */
export class Refused extends Error {
  constructor(
    readonly problems: readonly Problem[],
    readonly status = 422,
  ) {
    super(problems[0]?.message);
  }
}

/** Nothing is there, or nothing that one may know of: both are told alike. */
export const nothingHere = (): Refused =>
  new Refused([{ code: "none", message: "There is nothing here." }], 404);

/** A part that a report does not have. */
export const noSuchPart = (): Refused =>
  new Refused([{ code: "part.none", message: "This figure has no such part." }], 400);

/** What came out, or what is wrong thrown for the door to tell. */
export function settled<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  const isTwoAtOnce = result.problems[0].code.endsWith(".version");
  throw new Refused(result.problems, isTwoAtOnce ? 409 : 422);
}

/** What a failure is told as, where a person can mend it: an answer that would be too large is asked for otherwise. */
export const asRefused = (error: unknown): unknown =>
  error instanceof TooLarge
    ? new Refused([{ code: "answer.size", message: error.message }])
    : error;
