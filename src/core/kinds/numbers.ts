import { decimalText } from "../base";
import type { Cell, Head } from "../answer";
import { instantText, type Bucket } from "../time";
import type { NamedGroup, TableCell } from "./definePlanned";

/** A decimal text as programs get it: a number where none of it is lost, else the text. */
export function toldNumber(value: string | null): string | number | null {
  if (value === null || !/^-?\d+(\.\d+)?(e[+-]?\d+)?$/i.test(value)) return value;
  const text = decimalText(value);
  return /^-?\d{1,15}$/.test(text) ? Number(text) : text;
}

/** A decimal text as a sheet takes it. */
export const sheetNumber = (value: string | null): TableCell =>
  value !== null && /^-?\d+(\.\d+)?$/.test(value) ? Number(value) : value;

export const toldCell = (cell: Cell) => ({
  value: toldNumber(cell.value),
  records: cell.records,
  empties: cell.empties,
});

export const toldGroup = (head: Head): NamedGroup =>
  head.kind === "rest" ? { rest: true } : head.name;

/** Whether a group is the one that a program names. */
export function isNamedBy(head: Head, name: NamedGroup): boolean {
  if (name === null) return head.kind === "none";
  if (typeof name === "object") return head.kind === "rest";
  return head.kind !== "none" && head.kind !== "rest" && head.name === String(name);
}

export const toldBucket = ({ from, to, start, end, soFar, partial }: Bucket) => ({
  from,
  to,
  start: instantText(start),
  end: instantText(end),
  soFar,
  partial,
});
