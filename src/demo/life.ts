import {
  addDays,
  endOfDay,
  instantText,
  localDay,
  startOfDay,
  weekdayOf,
  type Instant,
} from "@/core/time";
import { ZONE } from "./cast";
import type { Random } from "./random";

export const HOUR = 3_600_000_000;
export const DAY = 24 * HOUR;

/** An item on its way through the world: its columns as texts, and every move it makes. */
export class Life {
  readonly moves: string[][] = [];
  private last: Instant;

  constructor(
    readonly row: Record<string, string>,
    readonly createdAt: Instant,
    private readonly end: Instant,
  ) {
    this.last = createdAt;
    row.created_at = instantText(createdAt);
  }

  get now(): Instant {
    return this.last;
  }

  get isOver(): boolean {
    return this.last >= this.end;
  }

  wait(span: number): this {
    this.last += Math.max(1_000_000, Math.round(span / 1_000_000) * 1_000_000);
    return this;
  }

  /** Goes back to an instant, as long as nothing moved since. */
  rewind(to: Instant): this {
    const moved = this.moves.at(-1)?.[1];
    if (moved === undefined || moved < instantText(to)) this.last = Math.min(this.last, to);
    return this;
  }

  /** Moves a field, unless the world ends first or nothing would change. */
  move(field: string, to: string, by: string): this {
    if (this.isOver || (this.row[field] ?? "") === to) return this;
    this.moves.push([this.row.key, instantText(this.last), field, this.row[field] ?? "", to, by]);
    this.row[field] = to;
    return this;
  }

  /** Sets a field whose moves are not kept, unless the world ends first. */
  set(field: string, to: string): this {
    if (!this.isOver) this.row[field] = to;
    return this;
  }
}

/** An instant on a day in which people write things down: mostly in working hours, rarely at night. */
export function somewhen(day: string, random: Random): Instant {
  const start = startOfDay(day, ZONE);
  const hours = random.chance(0.88)
    ? 7.5 + random.next() * 10.5
    : random.next() * ((endOfDay(day, ZONE) - start) / HOUR - 0.1);
  return start + Math.round(hours * 3600) * 1_000_000;
}

/** The next working morning or afternoon after an instant. */
export function workTime(after: Instant, random: Random): Instant {
  let day = localDay(after, ZONE);
  const sameDay = startOfDay(day, ZONE) + Math.round((9 + random.next() * 8) * 3600) * 1_000_000;
  if (weekdayOf(day) <= 5 && sameDay > after) return sameDay;
  do day = addDays(day, 1);
  while (weekdayOf(day) > 5);
  return startOfDay(day, ZONE) + Math.round((9 + random.next() * 8) * 3600) * 1_000_000;
}

/** The instant itself where people are at work, else the next working morning. */
export function atWork(after: Instant, random: Random): Instant {
  let day = localDay(after, ZONE);
  const hour = (after - startOfDay(day, ZONE)) / HOUR;
  if (weekdayOf(day) <= 5 && hour >= 9 && hour < 17) return after;
  if (hour >= 9) day = addDays(day, 1);
  while (weekdayOf(day) > 5) day = addDays(day, 1);
  return startOfDay(day, ZONE) + Math.round((9 + random.next() * 1.5) * 3600) * 1_000_000;
}
