import { Exact } from "../base";
import {
  endOfDay,
  isWorkingDay,
  localDay,
  startOfDay,
  addDays,
  type Instant,
  type WorkCalendar,
} from "../time";

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
  /** The items that were committed to; those of the scope at `until`, and those taken out of it. */
  readonly items: {
    readonly committed: readonly number[];
    readonly finished: readonly number[];
    readonly open: readonly number[];
    readonly out: readonly number[];
  };
}

export interface BurndownSpan {
  readonly start: Instant;
  readonly end: Instant;
  readonly closed: Instant | null;
}

interface Options {
  readonly now: Instant;
  readonly calendar: WorkCalendar;
  /** Leaving the scope by being finished is finishing: for scopes that finished items fall out of. */
  readonly finishedFirst?: boolean;
}

const zero = new Exact(0);
const weight = (span: WorkSpan | undefined): Exact =>
  span?.amount ? new Exact(span.amount) : zero;
const counts = (span: WorkSpan | undefined): boolean =>
  span !== undefined && span.isIn && span.isOpen;

/**
 * How the work of a scope went (calculations, section 8): what was committed at its start, and each later step until now
 * or its closing under one cause. Always: remaining = committed + added - removed - finished + reopened + re-estimated.
 * @param spans every state of every item that was ever in the scope, by item and time
 * @returns null for a scope that has not begun
 */
export function burndownOf(
  spans: readonly WorkSpan[],
  { start, end, closed }: BurndownSpan,
  options: Options,
): Burndown | null {
  if (start > options.now) return null;
  const until = Math.min(options.now, closed ?? options.now);
  const lives = livesOf(spans);
  const at = (life: readonly WorkSpan[], t: Instant) =>
    life.find((span) => span.from <= t && (span.to === null || t < span.to));
  const sum = (t: Instant) =>
    lives.reduce(
      (total, life) => (counts(at(life, t)) ? total.plus(weight(at(life, t))) : total),
      zero,
    );
  const committed = sum(start);
  const found = lives
    .flatMap((life) => stepsOf(life, start, until, options))
    .sort((a, b) => a.at - b.at || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
  const totals = Object.fromEntries(
    CAUSES.map((cause) => [
      cause,
      found
        .filter((step) => step.cause === cause)
        .reduce((total, step) => total.plus(step.amount), zero),
    ]),
  ) as { [C in Cause]: Exact };
  let running = committed;
  const steps = found.map(({ sign, ...step }): WorkStep => ({
    ...step,
    amount: step.amount.toFixed(),
    remaining: (running = running.plus(step.amount.times(sign))).toFixed(),
  }));
  const ending = lives.map((life) => ({ life, last: at(life, until) }));
  const now = (test: (span: WorkSpan | undefined, life: readonly WorkSpan[]) => boolean) =>
    ending.filter(({ last, life }) => test(last, life)).map(({ life }) => life[0].item);
  const wasIn = (life: readonly WorkSpan[]) =>
    life.some((span) => span.isIn && span.from <= until && (span.to === null || span.to > start));
  return {
    start,
    end,
    until,
    committed: committed.toFixed(),
    totals: Object.fromEntries(
      CAUSES.map((cause) => [cause, totals[cause].toFixed()]),
    ) as Burndown["totals"],
    remaining: sum(until).toFixed(),
    notEstimated: ending.filter(({ last }) => counts(last) && last!.amount === null).length,
    steps,
    // The state at a day's end is that before the moves of its last instant, midnight, which belongs to the next day.
    samples: sampleTimes(start, until, options.calendar).map((t) => ({
      t,
      remaining: sum(t === start || t === until ? t : t - 1).toFixed(),
    })),
    items: {
      committed: lives.filter((life) => counts(at(life, start))).map((life) => life[0].item),
      finished: now((span) => span !== undefined && span.isIn && !span.isOpen),
      open: now(counts),
      out: now((span, life) => wasIn(life) && !(span?.isIn ?? false)),
    },
  };
}

function livesOf(spans: readonly WorkSpan[]): readonly (readonly WorkSpan[])[] {
  const lives = new Map<number, WorkSpan[]>();
  for (const span of spans) {
    const life = lives.get(span.item);
    if (life) life.push(span);
    else lives.set(span.item, [span]);
  }
  return [...lives.values()];
}

type RawStep = Pick<WorkStep, "at" | "item" | "key" | "cause"> & {
  readonly amount: Exact;
  readonly sign: number;
};

/** The steps of one item after the start, each under its cause; what weighs nothing is left out. */
function stepsOf(
  life: readonly WorkSpan[],
  start: Instant,
  until: Instant,
  options: Options,
): RawStep[] {
  const steps: RawStep[] = [];
  const add = (at: Instant, cause: Cause, amount: Exact, sign: number) => {
    if (at > start && at <= until && !amount.isZero())
      steps.push({ at, item: life[0].item, key: life[0].key, cause, amount, sign });
  };
  life.forEach((span, index) => {
    const before = life[index - 1];
    step(before, span, span.from, add, options);
    if (span.to !== null && life[index + 1]?.from !== span.to)
      step(span, undefined, span.to, add, options);
  });
  return steps;
}

/** One step of one item, in the order of the rules. */
function step(
  before: WorkSpan | undefined,
  after: WorkSpan | undefined,
  at: Instant,
  add: (at: Instant, cause: Cause, amount: Exact, sign: number) => void,
  { finishedFirst }: Options,
): void {
  const wasIn = before?.isIn ?? false;
  const isIn = after?.isIn ?? false;
  const wasOpen = before?.isOpen ?? false;
  const isOpen = after?.isOpen ?? false;
  if (!wasIn && isIn)
    return void (
      isOpen &&
      add(at, finishedFirst && before && !wasOpen ? "reopened" : "added", weight(after), 1)
    );
  if (wasIn && !isIn)
    return void (
      wasOpen &&
      add(at, finishedFirst && after && !isOpen ? "finished" : "removed", weight(before), -1)
    );
  if (!isIn) return;
  if (wasOpen && !isOpen) return add(at, "finished", weight(before), -1);
  if (!wasOpen && isOpen) return add(at, "reopened", weight(after), 1);
  if (isOpen) add(at, "re-estimated", weight(after).minus(weight(before)), 1);
}

/** The start, each local day's end inside, and the end of what is known. */
export function sampleTimes(
  start: Instant,
  until: Instant,
  { zone }: Pick<WorkCalendar, "zone">,
): Instant[] {
  const times = [start];
  for (let day = localDay(start, zone); ; day = addDays(day, 1)) {
    const end = endOfDay(day, zone);
    if (end >= until) break;
    times.push(end);
  }
  if (until > start) times.push(until);
  return times;
}

/**
 * The guide line: from what was committed at the start to 0 at the planned end. In working days it falls by the share of
 * each working day that lies inside (a whole one weighs 1, however long it is); by the clock, and where no working day lies
 * inside, evenly.
 */
export function paceOf(
  committed: string,
  { start, end }: Pick<BurndownSpan, "start" | "end">,
  mode: "working" | "clock",
  calendar: WorkCalendar,
): { t: Instant; pace: string }[] {
  const times = sampleTimes(start, end, calendar);
  const whole = passedUntil(end, start, end, calendar);
  const byClock = mode === "clock" || whole.isZero();
  return times.map((t) => {
    const passed = byClock
      ? new Exact(t - start).div(Math.max(end - start, 1))
      : passedUntil(t, start, end, calendar).div(whole);
    return {
      t,
      pace: new Exact(committed).times(new Exact(1).minus(passed)).toDecimalPlaces(12).toFixed(),
    };
  });
}

/** Working days passed between the start and an instant, as shares of days. */
function passedUntil(t: Instant, start: Instant, end: Instant, calendar: WorkCalendar): Exact {
  let passed = zero;
  for (
    let day = localDay(start, calendar.zone);
    startOfDay(day, calendar.zone) < Math.min(t, end);
    day = addDays(day, 1)
  ) {
    if (!isWorkingDay(day, calendar)) continue;
    const [from, to] = [startOfDay(day, calendar.zone), endOfDay(day, calendar.zone)];
    const inside = Math.min(to, t, end) - Math.max(from, start);
    if (inside > 0) passed = passed.plus(new Exact(inside).div(to - from));
  }
  return passed;
}
