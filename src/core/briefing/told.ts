import { Exact } from "../base";
import { NOT_YOURS } from "../catalog";
import type { Day } from "../time";

/** A cell: as it is kept, and in words. */
export interface ToldCell {
  readonly value: string | null;
  readonly words: string | null;
}

/** One record of a list, by the words of its columns. */
export class ToldRow {
  constructor(
    private readonly cells: Readonly<Record<string, ToldCell>>,
    readonly key: string | null = null,
    readonly id = 0,
  ) {}

  /** In words; null where it is not set or not the reader's to see. */
  words(column: string): string | null {
    return this.isHidden(column) ? null : this.cellOf(column).words;
  }

  value(column: string): string | null {
    return this.isHidden(column) ? null : this.cellOf(column).value;
  }

  number(column: string): Exact | null {
    const value = this.value(column);
    return value === null ? null : new Exact(value);
  }

  day(column: string): Day | null {
    return this.value(column)?.slice(0, 10) ?? null;
  }

  isHidden(column: string): boolean {
    return this.cellOf(column).value === NOT_YOURS;
  }

  get hidesMoney(): boolean {
    return Object.values(this.cells).some((cell) => cell.value === NOT_YOURS);
  }

  private cellOf(column: string): ToldCell {
    return this.cells[column] ?? { value: null, words: null };
  }
}

/** A group of a count: null where its value is not set. */
export interface ToldGroup {
  readonly name: string | null;
  readonly value: Exact;
  readonly records: number;
}

/** What a sentence came to, as far as a text needs it. */
export interface Told {
  readonly says: string;
  readonly rows: readonly ToldRow[];
  /** Of a list how many there are, of a count what it comes to; null for empty. */
  readonly total: Exact | null;
  readonly records: number;
  readonly groups: readonly ToldGroup[];
  /** Among listed items, which holds up which, by their keys. */
  readonly holds: readonly (readonly [string, string])[];
  /** It is of money that the reader does not see. */
  readonly isHidden: boolean;
  /** The figure in words, as it stands in a text. */
  readonly words: string;
  /** Why it cannot be asked (any more). */
  readonly gone: string | null;
}

export type Answers = Readonly<Record<string, Told>>;
