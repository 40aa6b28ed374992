import { Exact } from "../base";
import type { Instant } from "../time";

/** A state of an item as far as a burndown asks: whether it is in the scope, whether it is open, how much it weighs. */
export interface WorkSpan {
  readonly item: number;
  readonly key: string;
  readonly from: Instant;
  /** null: until now. */
  readonly to: Instant | null;
  readonly isIn: boolean;
  readonly isOpen: boolean;
  /** Exact decimal text; null where it is not estimated. */
  readonly amount: string | null;
  readonly by?: number | null;
}

export const CAUSES = ["added", "removed", "finished", "reopened", "re-estimated"] as const;
export type Cause = (typeof CAUSES)[number];

export interface BurndownSpan {
  readonly start: Instant;
  readonly end: Instant;
  readonly closed: Instant | null;
}

/** A step of one item with all that it weighs; 0 where the item is not estimated. */
export interface RawStep {
  readonly at: Instant;
  readonly item: number;
  readonly key: string;
  readonly cause: Cause;
  /** How much; of a re-estimate, signed. */
  readonly amount: Exact;
  /** Whether it takes from what remains. */
  readonly sign: 1 | -1;
  /** Whether the state it weighs has an estimate. */
  readonly isEstimated: boolean;
}

/** The states of one item, by time. */
export type Life = readonly WorkSpan[];

/** How far an account goes, and how it reads what leaves. */
export interface Reach extends BurndownSpan {
  /** Now, or when it was closed. */
  readonly until: Instant;
  /** Leaving the scope by being finished is finishing: for scopes that finished items fall out of. */
  readonly finishedFirst?: boolean;
}

export const weightOf = (span: WorkSpan | undefined): Exact => new Exact(span?.amount ?? 0);
export const isCounted = (span: WorkSpan | undefined): span is WorkSpan =>
  span !== undefined && span.isIn && span.isOpen;

export const stateAt = (life: Life, t: Instant): WorkSpan | undefined =>
  life.find((span) => span.from <= t && (span.to === null || t < span.to));

export function livesOf(spans: readonly WorkSpan[]): readonly Life[] {
  const lives = new Map<number, WorkSpan[]>();
  for (const span of spans) {
    const life = lives.get(span.item);
    if (life) life.push(span);
    else lives.set(span.item, [span]);
  }
  return [...lives.values()];
}

/**
 * The state in which an item ends an account. What leaves open at the closing instant was carried over: it ends as it was
 * before that step (calculations, section 8).
 */
export function standingOf(
  life: Life,
  { until, closed }: Reach,
): { readonly state: WorkSpan | undefined; readonly isCarried: boolean } {
  const state = stateAt(life, until);
  const before = life[life.indexOf(state!) - 1];
  const isCarried = until === closed && state?.from === closed && !state.isIn && isCounted(before);
  return { state: isCarried ? before : state, isCarried };
}

/** The steps of one item after the start, each under its cause. */
export function stepsOf(life: Life, reach: Reach): RawStep[] {
  const { start, until } = reach;
  return life.flatMap((span, index): RawStep[] => {
    const came = stepOf(life[index - 1], span, span.from, reach);
    const isLast = span.to !== null && life[index + 1]?.from !== span.to;
    const went = isLast ? stepOf(span, undefined, span.to, reach) : null;
    return [came, went].filter(
      (step) => step !== null && step.at > start && step.at <= until,
    ) as RawStep[];
  });
}

/** One step of one item, in the order of the rules. */
function stepOf(
  before: WorkSpan | undefined,
  after: WorkSpan | undefined,
  at: Instant,
  { closed, finishedFirst }: Reach,
): RawStep | null {
  const { item, key } = (after ?? before)!;
  const step = (cause: Cause, state: WorkSpan | undefined, sign: 1 | -1): RawStep => ({
    at,
    item,
    key,
    cause,
    amount: weightOf(state),
    sign,
    isEstimated: state?.amount != null,
  });
  const wasIn = before?.isIn ?? false;
  const isIn = after?.isIn ?? false;
  const wasOpen = before?.isOpen ?? false;
  const isOpen = after?.isOpen ?? false;
  if (!wasIn && isIn) {
    if (!isOpen) return null;
    return step(finishedFirst && before && !wasOpen ? "reopened" : "added", after, 1);
  }
  if (wasIn && !isIn) {
    if (!wasOpen || (after && at === closed)) return null;
    return step(finishedFirst && after && !isOpen ? "finished" : "removed", before, -1);
  }
  if (!isIn) return null;
  if (wasOpen && !isOpen) return step("finished", before, -1);
  if (!wasOpen && isOpen) return step("reopened", after, 1);
  const amount = weightOf(after).minus(weightOf(before));
  return isOpen && !amount.isZero() ? { ...step("re-estimated", after, 1), amount } : null;
}

/** By time, and by key within one instant. */
export const byTime = (a: Pick<RawStep, "at" | "key">, b: Pick<RawStep, "at" | "key">): number =>
  a.at - b.at || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
