import type { Instant } from "../time";
import type { Stage } from "../catalog";

/** The fields whose every move is kept, in the order in which spans list them. Values are texts as kept (identities of things, numbers, instants in µs); null is not set. */
export const TRACKED = ["status", "priority", "assignee", "team", "project", "service", "sprint", "points", "remaining estimate", "due"] as const;
export type TrackedField = (typeof TRACKED)[number];
export const isTracked = (field: string): field is TrackedField => (TRACKED as readonly string[]).includes(field);

export type TrackedValues = { readonly [F in TrackedField]: string | null };

/** One change of one tracked field. Moves at one instant apply in the order of the list. */
export interface Move {
  readonly at: Instant;
  readonly field: TrackedField;
  readonly from: string | null;
  readonly to: string | null;
}

export interface ItemLife {
  readonly createdAt: Instant;
  readonly deletedAt: Instant | null;
  /** The tracked fields as they are now. */
  readonly now: TrackedValues;
}

/** What follows from the steps up to an instant. */
export interface Derived {
  readonly isOpen: boolean;
  /** When its status last changed; creation, if it never did. */
  readonly statusSince: Instant;
  /** The first move into under way, or creation in it; null if it never started. */
  readonly startedAt: Instant | null;
  /** The last move from not finished to finished, while it is finished; null while it is not. */
  readonly finishedAt: Instant | null;
  /** Moves from one person to another. */
  readonly reassigned: number;
  /** Moves from finished to not finished. */
  readonly reopened: number;
}

/** A state that an item was in, from an instant (inside) to another (outside; null: until now). */
export interface Span extends Derived {
  readonly from: Instant;
  readonly to: Instant | null;
  readonly values: TrackedValues;
}

/** The stage of a status by its kept text; null for none. */
export type StageOf = (status: string | null) => Stage | null;

/** The tracked fields at creation: the `from` of each field's first move, or its present value where it never moved. */
export function valuesAtCreation(now: TrackedValues, moves: readonly Move[]): TrackedValues {
  const values: { -readonly [F in TrackedField]: string | null } = { ...now };
  for (let i = moves.length - 1; i >= 0; i -= 1) values[moves[i].field] = moves[i].from;
  return values;
}

/**
 * The states of an item, oldest first: one for each step after which something differs.
 * Moves of one instant are one step, of which only the state after all of them counts (calculations, section 6).
 * @param moves all moves of the item by instant, those of one instant in their order
 */
export function spansOf(life: ItemLife, moves: readonly Move[], stageOf: StageOf): Span[] {
  let values = valuesAtCreation(life.now, moves);
  let at = 0;
  while (at < moves.length && moves[at].at <= life.createdAt) values = { ...values, [moves[at].field]: moves[at++].to };
  let derived = derivedAtCreation(values, life.createdAt, stageOf);
  const spans: Span[] = [];
  let from = life.createdAt;
  while (at < moves.length) {
    const instant = moves[at].at;
    const next = { ...values };
    while (at < moves.length && moves[at].at === instant) next[moves[at].field] = moves[at++].to;
    if (TRACKED.every((field) => next[field] === values[field])) continue;
    spans.push({ from, to: instant, values, ...derived });
    derived = derivedAfter(derived, values, next, instant, stageOf);
    values = next;
    from = instant;
  }
  spans.push({ from, to: life.deletedAt, values, ...derived });
  return spans;
}

function derivedAtCreation(values: TrackedValues, createdAt: Instant, stageOf: StageOf): Derived {
  const stage = stageOf(values.status);
  return {
    isOpen: stage === "waiting" || stage === "under way",
    statusSince: createdAt,
    startedAt: stage === "under way" ? createdAt : null,
    finishedAt: stage === "finished" ? createdAt : null,
    reassigned: 0,
    reopened: 0,
  };
}

function derivedAfter(before: Derived, old: TrackedValues, next: TrackedValues, at: Instant, stageOf: StageOf): Derived {
  const was = stageOf(old.status);
  const is = stageOf(next.status);
  const changed = old.assignee !== next.assignee;
  return {
    isOpen: is === "waiting" || is === "under way",
    statusSince: old.status === next.status ? before.statusSince : at,
    startedAt: before.startedAt ?? (is === "under way" && old.status !== next.status ? at : null),
    finishedAt: is !== "finished" ? null : was === "finished" ? before.finishedAt : at,
    reassigned: before.reassigned + (changed && old.assignee !== null && next.assignee !== null ? 1 : 0),
    reopened: before.reopened + (was === "finished" && is !== "finished" ? 1 : 0),
  };
}
