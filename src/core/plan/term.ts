import type { Aggregate, Measured } from "./aggregate";
import { Exact } from "../base";
import { isReadyMeasure, lastOf, type Catalog, type SubjectId } from "../catalog";
import {
  isNamed,
  plainMeasure,
  type Measure,
  type PlainMeasure,
  type SimpleMeasure,
} from "../definition";
import { measures } from "../measure";

/** Where the parts of a measure are among the terms of an aggregate: a ratio has two. */
export interface Slot {
  readonly measure: PlainMeasure;
  readonly top: number;
  readonly bottom?: number;
  /** Its records are all of the group, whatever its own conditions leave out. */
  readonly ofAll?: true;
}

/** The measures of a report taken apart: each term is measured once, each slot says how they come together. */
export interface Terms {
  readonly terms: readonly SimpleMeasure[];
  readonly slots: readonly Slot[];
  /** Groups are those of all records, also of such as no measure counts. */
  readonly keepsAll?: true;
}

export function termsOf(list: readonly Measure[], catalog: Catalog): Terms {
  const terms: SimpleMeasure[] = [];
  const add = (term: SimpleMeasure): number => {
    const key = JSON.stringify(term);
    const known = terms.findIndex((one) => JSON.stringify(one) === key);
    return known >= 0 ? known : terms.push(term) - 1;
  };
  const slots = list.map((given): Slot => {
    const { per, ...top } = plainMeasure(given, catalog);
    return {
      measure: { ...top, ...(per ? { per } : {}) },
      top: add(top),
      ...(per ? { bottom: add(per) } : {}),
      ...(isReady(given) ? { ofAll: true as const } : {}),
    };
  });
  return { terms, slots, ...(list.some(isReady) ? { keepsAll: true as const } : {}) };
}

const isReady = (given: Measure): boolean => isNamed(given) && isReadyMeasure(given.named);

export interface MeasuredValue {
  /** Exact decimal text in the kept unit, or a date; null for empty. */
  readonly value: string | null;
  /** Of how many records, and how many of them have nothing to measure. */
  readonly records: number;
  readonly empties: number;
}

const NOTHING: Measured = { records: 0, filled: null, parts: [] };

/** What a slot comes to in a row; of a ratio, the records and empties are those it is measured per. */
export function slotValue(
  slot: Slot,
  terms: readonly SimpleMeasure[],
  row: Aggregate | undefined,
): MeasuredValue {
  const read = (index: number): MeasuredValue => {
    const { records, filled, parts } = row?.measures[index] ?? NOTHING;
    return {
      value: measures[terms[index].measure].finish(parts),
      records,
      empties: filled === null ? 0 : records - filled,
    };
  };
  const top = read(slot.top);
  if (slot.bottom === undefined) return top;
  const bottom = read(slot.bottom);
  const isNothing = top.value === null || bottom.value === null || new Exact(bottom.value).isZero();
  return {
    ...(slot.ofAll ? { records: row?.records ?? 0, empties: 0 } : bottom),
    value: isNothing ? null : new Exact(top.value!).div(bottom.value!).toFixed(),
  };
}

/** Whether every part of a term can be merged from those of disjoint groups. */
export const isMergeable = (terms: readonly SimpleMeasure[]): boolean =>
  terms.every((term) => measures[term.measure].merge);

/** Whether a term measures a list field. */
export const isOfList = (term: SimpleMeasure, subject: SubjectId, catalog: Catalog): boolean => {
  const path = term.field && catalog.findPath(subject, term.field);
  return path ? lastOf(path).many === true : false;
};
