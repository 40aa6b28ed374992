import type { ZodType } from "zod";

/** What an act is asked with (as it is sent, and as it is read) and what it answers. */
export interface ActContract<Sent, Asked, Answer> {
  readonly asks: ZodType<Asked, Sent>;
  /** Only a type: nothing is there at run time. */
  readonly answers?: Answer;
}

/** An act by what it asks; `answers` says what comes back. */
export const act = <Asked, Sent>(asks: ZodType<Asked, Sent>) => ({
  answers: <Answer>(): ActContract<Sent, Asked, Answer> => ({ asks }),
});

/** What may be sent may be kept by whoever sends it. */
export type Kept<T> = T extends (...args: never) => unknown
  ? T
  : T extends object
    ? { readonly [K in keyof T]: Kept<T[K]> }
    : T;
