/**
 * What a person can mend, as plain data: returned, never thrown.
 * `at` points into the text that caused it (offsets of UTF-16 units, `to` outside); `path` into a document.
 */
export interface Problem {
  readonly code: string;
  readonly message: string;
  readonly hint?: string;
  /** Words to offer in place of the marked ones, nearest first. */
  readonly nearest?: readonly string[];
  readonly expected?: readonly string[];
  readonly at?: { readonly from: number; readonly to: number };
  readonly path?: string;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export const fine = <T>(value: T): Result<T> => ({ ok: true, value });
export const refused = (...problems: Problem[]): Result<never> => ({ ok: false, problems });

/** Our own bug, never a person's: logged, never shown raw. */
export class InvariantError extends Error {}

export function invariant(condition: unknown, message: string): asserts condition {
  if (!condition) throw new InvariantError(message);
}
