import { Exact } from "../base";

/** A term of an identity: " + 63 created", " − 68 finished". */
export function signed(amount: string, what: string): string {
  const exact = new Exact(amount);
  return exact.isNegative()
    ? ` − ${exact.abs().toFixed()} ${what}`
    : ` + ${exact.toFixed()} ${what}`;
}
