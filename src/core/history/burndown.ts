import { Exact } from "../base";
import type { Instant, WorkCalendar } from "../time";
import { sampleTimes } from "./pace";
import {
  byTime,
  CAUSES,
  isCounted,
  livesOf,
  standingOf,
  stateAt,
  stepsOf,
  weightOf,
  type BurndownSpan,
  type Cause,
  type RawStep,
  type Reach,
  type WorkSpan,
} from "./workSteps";

export interface WorkStep {
  readonly at: Instant;
  readonly item: number;
  readonly key: string;
  readonly cause: Cause;
  /** How much; of a re-estimate, signed. Never 0. */
  readonly amount: string;
  /** What remains after it. */
  readonly remaining: string;
}

export interface Burndown {
  readonly start: Instant;
  readonly end: Instant;
  /** How far it is drawn: now, or when it was closed. */
  readonly until: Instant;
  readonly committed: string;
  readonly totals: { readonly [C in Cause]: string };
  readonly remaining: string;
  /** Items that remain and have no estimate. */
  readonly notEstimated: number;
  readonly steps: readonly WorkStep[];
  /** What remained at the start, at each local day's end and at `until`. */
  readonly samples: readonly { readonly t: Instant; readonly remaining: string }[];
  /** How many items were ever in it. */
  readonly items: number;
}

export interface BurndownOptions {
  readonly now: Instant;
  readonly calendar: WorkCalendar;
  readonly finishedFirst?: boolean;
}

const zero = new Exact(0);

/** How far an account goes; null for what has not begun. */
export function reachOf(
  span: BurndownSpan,
  { now, finishedFirst }: Pick<BurndownOptions, "now" | "finishedFirst">,
): Reach | null {
  if (span.start > now) return null;
  const until = Math.min(now, span.closed ?? now);
  return { ...span, until, ...(finishedFirst ? { finishedFirst } : {}) };
}

/**
 * How the work of a scope went (calculations, section 8): what was committed at its start, and each later step until now
 * or its closing under one cause. Always: remaining = committed + added - removed - finished + reopened + re-estimated.
 * @param spans every state of every item that was ever in the scope, by item and time
 * @returns null for a scope that has not begun
 */
export function burndownOf(
  spans: readonly WorkSpan[],
  span: BurndownSpan,
  options: BurndownOptions,
): Burndown | null {
  const reach = reachOf(span, options);
  if (!reach) return null;
  const { start, end, until } = reach;
  const lives = livesOf(spans);
  const sum = (states: readonly (WorkSpan | undefined)[]) =>
    states.reduce((total, state) => (isCounted(state) ? total.plus(weightOf(state)) : total), zero);
  const at = (t: Instant) => sum(lives.map((life) => stateAt(life, t)));
  const committed = at(start);
  const found = lives
    .flatMap((life) => stepsOf(life, reach))
    .filter((step) => !step.amount.isZero())
    .sort(byTime);
  const ending = lives.map((life) => standingOf(life, reach).state);
  const remaining = sum(ending).toFixed();
  return {
    start,
    end,
    until,
    committed: committed.toFixed(),
    totals: totalsOf(found),
    remaining,
    notEstimated: ending.filter((last) => isCounted(last) && last.amount === null).length,
    steps: runningFrom(committed, found),
    samples: sampleTimes(start, until, options.calendar).map((t) => ({
      t,
      remaining: t === until ? remaining : at(t === start ? t : justBefore(t)).toFixed(),
    })),
    items: lives.filter((life) =>
      life.some((state) => state.isIn && state.from <= until && (state.to ?? until) >= start),
    ).length,
  };
}

/** The state at a day's end is that before the moves of its last instant, midnight, which belongs to the next day. */
const justBefore = (t: Instant): Instant => t - 1;

const totalsOf = (steps: readonly RawStep[]): Burndown["totals"] =>
  Object.fromEntries(
    CAUSES.map((cause) => [
      cause,
      steps
        .filter((step) => step.cause === cause)
        .reduce((total, step) => total.plus(step.amount), zero)
        .toFixed(),
    ]),
  ) as Burndown["totals"];

/** Each step with what remains after it. */
function runningFrom(committed: Exact, steps: readonly RawStep[]): WorkStep[] {
  let running = committed;
  return steps.map(({ at, item, key, cause, amount, sign }) => {
    running = running.plus(amount.times(sign));
    return { at, item, key, cause, amount: amount.toFixed(), remaining: running.toFixed() };
  });
}
