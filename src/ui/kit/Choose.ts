"use client";
import type { ReactElement } from "react";
import { later } from "./later";

export interface Option<T> {
  readonly value: T;
  readonly label: string;
  readonly about?: string;
  readonly group?: string;
  readonly isDisabled?: boolean;
}

export interface ChooseProps<T> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly chosen: readonly T[];
  readonly many?: boolean;
  readonly onChoose: (value: T) => void;
  readonly same?: (a: T, b: T) => boolean;
  /** It stands among other fields, and does not take the focus when it appears. */
  readonly isBeside?: boolean;
  /** Looks elsewhere for more than is here. */
  readonly onFind?: (words: string) => void;
}

const Rows = later(() => import("./overlays/ChooseRows"), "ChooseRows");

/** A list to choose one or many from; its code comes when it is first opened. */
export const Choose = Rows as typeof Rows & (<T>(props: ChooseProps<T>) => ReactElement);
