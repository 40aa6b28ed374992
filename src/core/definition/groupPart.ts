import { partCodec, type PartsOf } from "./partCodec";

/**
 * Which group of a grouping: that of a value (the identity of a thing, the first day of a stretch of time), a fold, a range or
 * a case by its place, the rest of a top N or of cases, or what is not set.
 */
export const groupParts = partCodec({
  rest: { sign: "r" },
  none: { sign: "n" },
  fold: { sign: "f", takes: "index" },
  range: { sign: "g", takes: "index" },
  case: { sign: "c", takes: "index" },
  value: { sign: "v", takes: "text" },
});
export type GroupPart = PartsOf<typeof groupParts>;

/** A group as a text: what answers, marks and requests tell it by. */
export type Key = string;
export const REST: Key = groupParts.write({ kind: "rest" });
export const NONE: Key = groupParts.write({ kind: "none" });
export const valueKey = (value: string | number): Key =>
  groupParts.write({ kind: "value", value: String(value) });
export const foldKey = (index: number): Key => groupParts.write({ kind: "fold", index });
export const rangeKey = (index: number): Key => groupParts.write({ kind: "range", index });
export const caseKey = (index: number): Key => groupParts.write({ kind: "case", index });
