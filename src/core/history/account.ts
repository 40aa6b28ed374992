import type { Instant } from "../time";
import {
  byTime,
  CAUSES,
  isCounted,
  livesOf,
  standingOf,
  stateAt,
  stepsOf,
  type Cause,
  type Reach,
  type WorkSpan,
} from "./workSteps";

/** The lines of an account of work, from what was committed to what remains; and apart from it, what was finished before. */
export type AccountLine = "committed" | Cause | "remaining" | "finished before";

/** An item on a line. One that was finished twice stands twice among what was finished. */
export interface AccountEntry {
  readonly item: number;
  readonly key: string;
  /** When the step was; null on the lines that are states. */
  readonly at: Instant | null;
  /** Exact, signed for re-estimates; null where it is not estimated. */
  readonly amount: string | null;
}

export interface Account {
  readonly lines: { readonly [L in AccountLine]: readonly AccountEntry[] };
  /** Items among those that remain that left the sprint at its closing. */
  readonly carried: readonly number[];
}

/**
 * The items of each line of a burndown: on each line their amounts add up to the line's own (calculations, section 8).
 * What was finished when it began, or came in finished, is no part of the account and stands apart.
 */
export function accountOf(spans: readonly WorkSpan[], reach: Reach): Account {
  const lives = livesOf(spans).map((life) => ({
    steps: stepsOf(life, reach),
    first: stateAt(life, reach.start),
    ...standingOf(life, reach),
  }));
  const states = (
    of: (life: (typeof lives)[number]) => WorkSpan | undefined | false,
  ): AccountEntry[] =>
    lives
      .flatMap((life): AccountEntry[] => {
        const state = of(life);
        if (!state) return [];
        const { item, key, amount } = state;
        return [{ item, key, at: null, amount }];
      })
      .sort((a, b) => Number(b.amount ?? 0) - Number(a.amount ?? 0) || (a.key < b.key ? -1 : 1));
  const steps = lives.flatMap((life) => life.steps).sort(byTime);
  const causes = CAUSES.map((cause): [Cause, AccountEntry[]] => [
    cause,
    steps
      .filter((step) => step.cause === cause)
      .map(({ item, key, at, amount, isEstimated }) => ({
        item,
        key,
        at,
        amount: isEstimated || !amount.isZero() ? amount.toFixed() : null,
      })),
  ]);
  return {
    lines: {
      ...(Object.fromEntries(causes) as { [C in Cause]: AccountEntry[] }),
      committed: states(({ first }) => isCounted(first) && first),
      remaining: states(({ state }) => isCounted(state) && state),
      "finished before": states(
        ({ state, steps: own }) =>
          state?.isIn && !state.isOpen && !own.some((step) => step.cause === "finished") && state,
      ),
    },
    carried: lives.flatMap(({ isCarried, state }) => (isCarried && state ? [state.item] : [])),
  };
}
