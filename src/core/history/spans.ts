import type { Instant } from "../time";
import type { Stage } from "../catalog";

/** The fields whose every move is kept, in the order in which spans list them. Values are texts as kept (identities of things, numbers, instants in µs); null is not set. */
export const TRACKED = [
  "status",
  "priority",
  "assignee",
  "team",
  "project",
  "service",
  "sprint",
  "points",
  "remaining estimate",
  "due",
] as const;
export type TrackedField = (typeof TRACKED)[number];
export const isTracked = (field: string): field is TrackedField =>
  (TRACKED as readonly string[]).includes(field);

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
export interface StateFacts {
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
  /** How long promises had run when this state began: µs outside paused statuses, by the clock and of working time. */
  readonly ran: Elapsed;
  /** How long they had run at the first step out of the status it was created in; null before. */
  readonly responded: Elapsed | null;
  /** How long they had run when it was finished; null while it is not. */
  readonly resolved: Elapsed | null;
}

/** A stretch in µs: by the clock, and of working time. */
export interface Elapsed {
  readonly clock: number;
  readonly working: number;
}

/** A state that an item was in, from an instant (inside) to another (outside; null: until now). */
export interface Span extends StateFacts {
  readonly from: Instant;
  readonly to: Instant | null;
  readonly values: TrackedValues;
}

/** The stage of a status by its kept text; null for none. */
export type StageOf = (status: string | null) => Stage | null;

/** What a workspace's statuses and calendar make of moves. */
export interface HistoryRules {
  readonly stageOf: StageOf;
  /** Time in the status does not run for promises. */
  readonly isPaused: (status: string | null) => boolean;
  /** The place of an instant on the axis of working time, in µs. */
  readonly worked: (instant: Instant) => number;
}

/** The tracked fields at creation: the `from` of each field's first move, or its present value where it never moved. */
export function valuesAtCreation(now: TrackedValues, moves: readonly Move[]): TrackedValues {
  const values: { -readonly [F in TrackedField]: string | null } = { ...now };
  for (let i = moves.length - 1; i >= 0; i -= 1) values[moves[i].field] = moves[i].from;
  return values;
}

/**
 * The states of an item, oldest first: one for each step after which something differs.
 * Moves of one instant are one step, of which only the state after all of them counts (calculations, section 6).
 * @param all all moves of the item by instant, those of one instant in their order
 */
export function spansOf(life: ItemLife, all: readonly Move[], rules: HistoryRules): Span[] {
  let values = valuesAtCreation(life.now, all);
  // After a step at the instant of deletion nothing is there that it could have changed.
  const moves = all.filter((move) => life.deletedAt === null || move.at < life.deletedAt);
  let at = 0;
  while (at < moves.length && moves[at].at <= life.createdAt)
    values = { ...values, [moves[at].field]: moves[at++].to };
  let derived = derivedAtCreation(values, life.createdAt, rules);
  const spans: Span[] = [];
  let from = life.createdAt;
  while (at < moves.length) {
    const instant = moves[at].at;
    const next = { ...values };
    while (at < moves.length && moves[at].at === instant) next[moves[at].field] = moves[at++].to;
    if (TRACKED.every((field) => next[field] === values[field])) continue;
    spans.push({ from, to: instant, values, ...derived });
    derived = derivedAfter({ ...derived, from, values }, next, instant, rules);
    values = next;
    from = instant;
  }
  spans.push({ from, to: life.deletedAt, values, ...derived });
  return spans;
}

/** What can change from one state to the next, each a bit: every tracked field, whether the item is open, whether it is there. */
export const CHANGES = Object.fromEntries(
  [...TRACKED, "open", "there"].map((name, index) => [name, 1 << index]),
) as { readonly [F in TrackedField | "open" | "there"]: number };

/** Which of these differ between two states that follow on one another; there is none before creation and after deletion. */
export function changesBetween(before: Span | undefined, after: Span | undefined): number {
  if (!before || !after) return CHANGES.there;
  const open = before.isOpen === after.isOpen ? 0 : CHANGES.open;
  return TRACKED.reduce(
    (bits, field) => (before.values[field] === after.values[field] ? bits : bits | CHANGES[field]),
    open,
  );
}

const NOTHING: Elapsed = { clock: 0, working: 0 };

function derivedAtCreation(
  values: TrackedValues,
  createdAt: Instant,
  { stageOf }: HistoryRules,
): StateFacts {
  const stage = stageOf(values.status);
  return {
    isOpen: stage === "waiting" || stage === "under way",
    statusSince: createdAt,
    startedAt: stage === "under way" ? createdAt : null,
    finishedAt: stage === "finished" ? createdAt : null,
    reassigned: 0,
    reopened: 0,
    ran: NOTHING,
    responded: null,
    resolved: stage === "finished" ? NOTHING : null,
  };
}

function derivedAfter(
  before: StateFacts & Pick<Span, "from" | "values">,
  next: TrackedValues,
  at: Instant,
  rules: HistoryRules,
): StateFacts {
  const old = before.values;
  const was = rules.stageOf(old.status);
  const is = rules.stageOf(next.status);
  const hasMoved = old.status !== next.status;
  const ran = ranUntil(before, at, rules);
  return {
    isOpen: is === "waiting" || is === "under way",
    statusSince: hasMoved ? at : before.statusSince,
    startedAt: before.startedAt ?? (is === "under way" && hasMoved ? at : null),
    finishedAt: is !== "finished" ? null : was === "finished" ? before.finishedAt : at,
    reassigned:
      before.reassigned +
      (old.assignee !== next.assignee && old.assignee !== null && next.assignee !== null ? 1 : 0),
    reopened: before.reopened + (was === "finished" && is !== "finished" ? 1 : 0),
    ran,
    responded: before.responded ?? (hasMoved ? ran : null),
    resolved: is !== "finished" ? null : was === "finished" ? before.resolved : ran,
  };
}

/** How long promises have run at an instant inside a state. */
function ranUntil(
  { ran, from, values }: Pick<Span, "ran" | "from" | "values">,
  at: Instant,
  { isPaused, worked }: HistoryRules,
): Elapsed {
  return isPaused(values.status)
    ? ran
    : { clock: ran.clock + at - from, working: ran.working + worked(at) - worked(from) };
}
