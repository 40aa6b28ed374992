import type { LevelAnswer } from "@/core/kinds";

import { numberOfDay } from "@/core/time";

/** A status of a cumulative flow, measured between two points. */
export interface FlowWidth {
  readonly label: string;
  /** How many were in it at each point. */
  readonly first: number;
  readonly second: number;
  /** Along time, in days from the first point: until as many had gone beyond the status as had come to it by then; null where that was not before the second. */
  readonly days: number | null;
}

/**
 * Measures each status of a flow up and down at two points, and along time from the first of them. Statuses are in the
 * order of the workflow; what has come to one is all that is in it or beyond it.
 */
export function flowWidths(answer: LevelAnswer, from: number, to: number): FlowWidth[] {
  const at = (place: number, status: number) =>
    Number(answer.rows[place]?.parts[status]?.value ?? 0);
  const beyond = (place: number, status: number) =>
    answer.split.reduce((sum, _, i) => (i >= status ? sum + at(place, i) : sum), 0);
  const day = (place: number) => numberOfDay(answer.rows[place].bucket.to);
  return answer.split.map((head, status): FlowWidth => {
    const come = beyond(from, status);
    const isLast = status === answer.split.length - 1;
    let left: number | null = null;
    for (let place = from; !isLast && left === null && place <= to; place += 1)
      if (beyond(place, status + 1) >= come) left = place;
    return {
      label: head.label,
      first: at(from, status),
      second: at(to, status),
      days: left === null ? null : day(left) - day(from),
    };
  });
}
