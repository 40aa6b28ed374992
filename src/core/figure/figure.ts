import type { Color } from "./color";

/** What is drawn for one group: a bar, a point, a slice; or a part of one. */
export interface Mark {
  /** Keys that open its records. */
  readonly path: readonly string[];
  readonly split?: string;
  /** Which measure it is of, where that has records of its own. */
  readonly measure?: number;
  /** It is of what the report is compared with. */
  readonly before?: true;
  /** It is of one record, by its identity. */
  readonly record?: number;
  readonly label: string;
  /** null: nothing to show, not 0. */
  readonly value: number | null;
  /** The value in words, with its unit. */
  readonly words: string;
  readonly percent: string | null;
  /** What the builder wants written at it; "" for nothing. */
  readonly written: string;
  readonly color: Color;
  readonly soFar: boolean;
  /** Its stretch begins late, or ends early: it is not the whole of its unit. */
  readonly isClipped?: true;
  /** How it compares, in words, where the report compares. */
  readonly change?: string;
  /** The instant that it is of, or the two that it lies between, in words. */
  readonly about?: string;
}

export interface FigureRow extends Mark {
  /** In the order of the series. */
  readonly parts: readonly Mark[];
  /** One for each measure. */
  readonly measures: readonly Mark[];
  /** What it is compared with. */
  readonly then?: Mark;
  /** In the order of the lines beside the series. */
  readonly lines?: readonly Mark[];
}

export interface Series {
  readonly key: string;
  readonly label: string;
  readonly color: Color;
  readonly total: string;
  /** How its line is drawn, where that means something: a plan is dashed, what is still to come is dotted. */
  readonly line?: "solid" | "dashed" | "dotted";
}

/** A line that stands beside the series; on an axis of its own where its size is another. */
export interface SideLine extends Series {
  readonly hasOwnAxis: boolean;
}

/** What a shape draws: rows in display order, named and coloured; series where the answer is split or has several measures. */
export interface Figure {
  readonly rows: readonly FigureRow[];
  readonly series: readonly Series[];
  readonly lines?: readonly SideLine[];
  /** What the axes count, where that needs saying: that of the series, and that of the lines. */
  readonly axes?: { readonly series: string | null; readonly lines: string | null };
  /** The rest, where it stands beside the drawing as a line of its own and is none of the rows. */
  readonly aside?: FigureRow;
  readonly total: Mark;
  /** What each measure is called, and what it comes to in all. */
  readonly measures: readonly Mark[];
  readonly then: Mark | null;
  readonly unit: string | null;
  /** It is a share, told in percent. */
  readonly isRatio?: true;
  readonly isTime: boolean;
  /** How many groups are not drawn one by one, because there are more than can be drawn. */
  readonly cut: number;
  /** Why the shape is a poor choice here. */
  readonly poor: string | null;
}

/** Every row of a figure's table: those that are drawn, and what stands aside. */
export const tableRows = ({ rows, aside }: Figure): readonly FigureRow[] =>
  aside ? [...rows, aside] : rows;

/** Under which key a dress keeps a name or a colour: the same key means another value in another tier or in the split. */
export const nameKey = (place: number | "split" | "measure", key: string): string =>
  `${place}/${key}`;
export const keyOfPath = (path: readonly string[]): string => path.join("/");
