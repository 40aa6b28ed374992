import type { TimelinePart } from "@/contract/projects";
import { addDays, dayText, type Day } from "@/core/time";

type Stretch = readonly [from: Day, to: Day];

/** What is drawn of a part: an item as a bar, a milestone as a diamond. Stretches include both ends. */
export interface Bar {
  /** From its beginning until it was done, or until today. */
  readonly done: Stretch | null;
  /** From today until it is due. */
  readonly rest: Stretch | null;
  /** What of it lies past the first date. */
  readonly past: Stretch | null;
  /** The line of the plan under it. */
  readonly plan: Stretch | null;
  /** Where a milestone lies, and where it was first to lie. */
  readonly at: Day | null;
  readonly was: Day | null;
  readonly words: string;
  readonly wordsAt: Day;
}

const NOTHING = { done: null, rest: null, past: null, plan: null, at: null, was: null };

/**
 * @param days by which it is being moved
 * @param waitsUntil when what holds it up is due: it cannot begin before
 */
export function barOf(
  part: TimelinePart,
  today: Day,
  days = 0,
  waitsUntil: Day | null = null,
): Bar {
  const due = part.due === null ? null : addDays(part.due, days);
  const end = part.done ?? due;
  if (part.kind === "milestone") {
    const isMoved = part.plan !== null && part.plan !== end;
    const words = end
      ? `${part.title}, ${short(end)}${isMoved ? `, was ${short(part.plan)}` : ""}`
      : "";
    return { ...NOTHING, at: end, was: isMoved ? part.plan : null, words, wordsAt: end ?? today };
  }
  // What has not begun begins today at the earliest, or when nothing holds it up any more.
  const from = part.from ?? later(today, waitsUntil === null ? today : addDays(waitsUntil, 1));
  const begins = end !== null && from > end ? end : from;
  const last = end ?? today;
  const { plan } = part;
  const isPast = plan !== null && last > plan;
  const solidEnd = part.done ?? (today < last ? today : last);
  const calm = isPast && plan > begins ? plan : last;
  return {
    ...NOTHING,
    done: begins <= solidEnd ? [begins, solidEnd] : null,
    rest:
      part.done === null && solidEnd < calm ? [later(begins, addDays(solidEnd, 1)), calm] : null,
    past: isPast ? [later(begins, addDays(plan, 1)), last] : null,
    plan: plan !== null && begins <= plan ? [begins, plan] : null,
    words: isPast ? `${short(last)}, was ${short(plan)}` : "",
    wordsAt: last,
  };
}

const later = (a: Day, b: Day): Day => (a > b ? a : b);
const short = (day: Day): string => dayText(day).slice(0, -5);
