import type { ThingType } from "../catalog";
import type { Group, Measure, ReportBase, SimpleMeasure } from "../definition";
import type { Condition } from "../filter";

/**
 * A place of a report where something of the catalog is named. Each kind of report lists its places once; whatever looks at
 * all that a report says goes by them (visit.ts).
 */
export type Place = PlaceBase &
  (
    | { readonly kind: "filter"; readonly filter: number }
    | { readonly kind: "condition"; readonly condition: Condition }
    | { readonly kind: "group"; readonly group: Group }
    | { readonly kind: "measure"; readonly measure: Measure }
    | { readonly kind: "field"; readonly field: readonly string[] }
    | { readonly kind: "thing"; readonly thing: ThingType; readonly id: number }
  );

interface PlaceBase {
  /** Where it is, for problems: "where", "by 2", "showing". */
  readonly path: string;
  /** The words that it follows in the sentence; "" for what is measured or counted. */
  readonly clause: string;
  /** The report without it; null where nothing can be asked without. */
  readonly without: ReportBase | null;
}

/** The saved filter that is counted, and the conditions. */
export function basePlaces(report: ReportBase): Place[] {
  const { where, subject } = report;
  const { filter, ...plain } = subject;
  return [
    ...(filter === undefined
      ? []
      : [
          {
            kind: "filter" as const,
            path: "subject",
            clause: "",
            filter,
            without: { ...report, subject: plain },
          },
        ]),
    ...(where
      ? [
          {
            kind: "condition" as const,
            path: "where",
            clause: "where",
            condition: where,
            without: withoutKey(report, "where"),
          },
        ]
      : []),
  ];
}

/** A group that a report may do without, under its key. */
export const groupPlace = <
  K extends string,
  R extends ReportBase & { readonly [key in K]?: Group },
>(
  report: R,
  key: K,
  clause: string,
): Place[] =>
  report[key]
    ? [
        {
          kind: "group",
          path: clause,
          clause,
          group: report[key] as Group,
          without: withoutKey(report, key as keyof R),
        },
      ]
    : [];

/** The measure of a report that counts where none is said. */
export const measurePlace = <R extends ReportBase & { measure?: SimpleMeasure }>(
  report: R,
): Place[] =>
  report.measure
    ? [
        {
          kind: "measure",
          path: "measure 1",
          clause: "",
          measure: report.measure,
          without: withoutKey(report, "measure"),
        },
      ]
    : [];

export function withoutKey<R extends object>(report: R, key: keyof R): R {
  const kept = { ...report };
  delete kept[key];
  return kept;
}

/** Everything but one of a list. */
export const withoutAt = <T>(list: readonly T[], index: number): T[] =>
  list.filter((_, at) => at !== index);
