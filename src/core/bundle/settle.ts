import { type Move, type TrackedField, type TrackedValues, TRACKED } from "../history";
import type { Instant } from "../time";
import { sameNumber } from "./cells";

/** A move as a bundle or a workspace has it; values are names, numbers as texts and instants as texts of µs. */
export interface BundleMove extends Move {
  readonly by: string | null;
}

export interface StoredItem {
  readonly values: TrackedValues;
  /** By instant, those of one instant in their order. */
  readonly moves: readonly BundleMove[];
}

export interface Settled {
  /** All moves that the item has then, by instant. */
  readonly moves: readonly BundleMove[];
  /** Those that the workspace lacked. */
  readonly added: number;
}

export interface Unsettled {
  /** Place of the wrong move among those of the bundle; undefined when it is the item's row that is wrong. */
  readonly move?: number;
  readonly column: string;
  readonly reason: string;
}

const NUMBERS: readonly TrackedField[] = ["points", "remaining estimate"];
export const sameValue = (field: TrackedField, a: string | null, b: string | null): boolean =>
  NUMBERS.includes(field) ? sameNumber(a, b) : a === b;

/**
 * Joins the moves of a bundle with those a workspace has of the item, and checks that they tell one story: every
 * `from` is the value before it, the last `to` the present value, none before creation or after deletion.
 * A value that changed without a move of that field in the bundle becomes a move at the time of import.
 */
export function settleItem(
  item: {
    readonly createdAt: Instant;
    readonly deletedAt: Instant | null;
    readonly now: TrackedValues;
  },
  brought: readonly BundleMove[],
  stored: StoredItem | undefined,
  importedAt: Instant,
  importedBy: string | null,
): Settled | Unsettled {
  for (const [index, move] of brought.entries()) {
    if (move.at < item.createdAt)
      return { move: index, column: "at", reason: "it lies before the item was created" };
    if (item.deletedAt !== null && move.at > item.deletedAt)
      return { move: index, column: "at", reason: "it lies after the item was deleted" };
  }
  const lacking = movesLacking(brought, stored?.moves ?? []);
  const all = [...(stored?.moves ?? []), ...lacking.map((index) => brought[index])];
  if (stored)
    for (const field of TRACKED) {
      if (
        sameValue(field, stored.values[field], item.now[field]) ||
        brought.some((move) => move.field === field)
      )
        continue;
      all.push({
        at: Math.max(importedAt, item.createdAt),
        field,
        from: stored.values[field],
        to: item.now[field],
        by: importedBy,
      });
    }
  const moves = all
    .map((move, place) => ({ move, place }))
    .sort((a, b) => a.move.at - b.move.at || a.place - b.place)
    .map(({ move }) => move);
  const wrong = wrongStory(item.now, moves);
  if (!wrong) return { moves, added: moves.length - (stored?.moves.length ?? 0) };
  const place = wrong.move && brought.indexOf(wrong.move);
  return {
    ...(place !== undefined && place >= 0 ? { move: place } : {}),
    column: wrong.column,
    reason: wrong.reason,
  };
}

/** Which of the bundle's moves the workspace has not: known by instant, field, from, to and place among equals. */
function movesLacking(brought: readonly BundleMove[], stored: readonly BundleMove[]): number[] {
  const id = (move: Move) =>
    JSON.stringify([
      move.at,
      move.field,
      canonical(move.field, move.from),
      canonical(move.field, move.to),
    ]);
  const known = new Map<string, number>();
  for (const move of stored) known.set(id(move), (known.get(id(move)) ?? 0) + 1);
  return brought.flatMap((move, index) => {
    const left = known.get(id(move)) ?? 0;
    if (left > 0) known.set(id(move), left - 1);
    return left > 0 ? [] : [index];
  });
}

const canonical = (field: TrackedField, value: string | null): string | null =>
  value !== null && NUMBERS.includes(field) ? String(Number(value)) : value;

function wrongStory(
  now: TrackedValues,
  moves: readonly BundleMove[],
): { move?: BundleMove; column: string; reason: string } | null {
  const before = new Map<TrackedField, BundleMove>();
  for (const move of moves) {
    const last = before.get(move.field);
    if (last && !sameValue(move.field, last.to, move.from))
      return {
        move,
        column: "from",
        reason: `"${move.from ?? ""}" is not the value before it, which is "${last.to ?? ""}"`,
      };
    before.set(move.field, move);
  }
  for (const [field, move] of before)
    if (!sameValue(field, move.to, now[field]))
      return {
        move,
        column: "to",
        reason: `the last ${field} is "${move.to ?? ""}", but the item has "${now[field] ?? ""}"`,
      };
  return null;
}
