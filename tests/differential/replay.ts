import type { Viewpoint } from "@/core/relation";
import type { Condition } from "@/core/filter";

import type { Bucket, Instant } from "@/core/time";
import { holds } from "./plain";
import { existsAt, recordAt, type Timeline } from "./timeline";

type Asked = { readonly where?: Condition; readonly subject?: { readonly kind?: number } };

/** An item that goes into a filter or out of it, or whose value changes while it is in. */
export interface ReplayStep {
  readonly key: string;
  readonly at: Instant;
  readonly was: number | null;
  readonly is: number | null;
}

/** The past as moves tell it, step by step, without any state that was computed from them. */
export class Replay {
  constructor(
    readonly lines: readonly Timeline[],
    readonly view: Viewpoint,
  ) {}

  /** The last instant of a bucket: what holds at its end is what held just before. */
  lastOf = (bucket: Pick<Bucket, "end" | "soFar">): Instant =>
    bucket.soFar ? this.view.now : bucket.end - 1;

  isIn({ where, subject }: Asked, line: Timeline, at: Instant): boolean {
    if (!existsAt(line, at) || (subject?.kind !== undefined && line.record.kind !== subject.kind))
      return false;
    return !where || holds(where, recordAt(line, at, this.view), this.view, line);
  }

  thereAt = (report: Asked, at: Instant): Timeline[] =>
    this.lines.filter((line) => this.isIn(report, line, at));
  levelAt = (report: Asked, at: Instant): number => this.thereAt(report, at).length;

  /** The values of a field of those that are in; null where it is not set. */
  valuesAt = (report: Asked, field: string, at: Instant): (number | null)[] =>
    this.thereAt(report, at).map((line) => numberOf(recordAt(line, at, this.view)[field]));

  /** Every step of every item: what it weighed before and what it does after, null while it is out. Nothing where nothing changed. */
  stepsOf(report: Asked, field?: string): ReplayStep[] {
    return this.lines.flatMap((line) => {
      const instants = [
        ...new Set([
          line.createdAt,
          ...line.moves.map((move) => move.at),
          ...(line.deletedAt === null ? [] : [line.deletedAt]),
        ]),
      ]
        .filter((at) => at <= this.view.now)
        .sort((a, b) => a - b);
      let was: number | null = null;
      return instants.flatMap((at) => {
        const is = this.isIn(report, line, at)
          ? field
            ? (numberOf(recordAt(line, at, this.view)[field]) ?? 0)
            : 1
          : null;
        const step = { key: line.key, at, was, is };
        was = is;
        return step.was === step.is ? [] : [step];
      });
    });
  }
}

const numberOf = (value: unknown): number | null =>
  value === null || value === undefined ? null : Number(value);
export const sum = (values: readonly (number | null)[]): number =>
  values.reduce<number>((total, value) => total + (value ?? 0), 0);
