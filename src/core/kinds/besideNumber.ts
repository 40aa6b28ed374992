import { allOfParts, leavesOf, topParts, type Condition } from "../filter";
import { findPlainMeasure, type SimpleMeasure } from "../definition";
import type { Catalog } from "../catalog";
import type { Period } from "../time";
import type { CountReport } from "./count/definition";
import type { LevelReport } from "./level/definition";
import type { Report } from "./registry";

/** Weeks that a trend beside a number goes back, where nothing else tells how far. */
export const TREND_WEEKS: Period = {
  kind: "rolling",
  way: "last",
  count: 12,
  unit: "week",
  toDate: true,
};

/**
 * The levels that a number comes from: one for a count or a sum, two for the ratio of such.
 * @returns null where it is no number of what there is: where its conditions mean something else as of another day, or it is an average
 */
export function levelsBeside(report: Report, catalog: Catalog): readonly LevelReport[] | null {
  if (report.kind !== "count" || report.subject.id !== "items" || report.stood) return null;
  if (report.by.length > 0 || report.split || report.period || report.measures.length !== 1)
    return null;
  // What a saved filter asks may go by dates.
  if (report.subject.filter !== undefined) return null;
  const plain = findPlainMeasure(report.measures[0], catalog);
  if (!plain) return null;
  const { per, ...first } = plain;
  const simples = per ? [first, per] : [first];
  if (!simples.every((one) => isAmount(one, catalog))) return null;
  if (
    ![report.where, ...simples.map(({ where }) => where)].every((one) => isOfAnyDay(one, catalog))
  )
    return null;
  return simples.map(({ where, ...measure }) => {
    const asked = allOfParts([...topParts(report.where), ...topParts(where)]);
    return {
      kind: "level",
      subject: report.subject,
      ...(measure.measure === "count" ? {} : { measure }),
      grain: "week",
      period: TREND_WEEKS,
      ...(asked ? { where: asked } : {}),
    };
  });
}

const isAmount = ({ measure, field }: SimpleMeasure, catalog: Catalog): boolean =>
  measure === "count" || (measure === "sum" && field !== undefined && isKept(field, catalog));

/**
 * Whether a condition asks the same as of any day: by what is kept of an item, and by no date, by nothing that it became and by
 * nothing that is worked out of its past, such as its age.
 */
const isOfAnyDay = (where: Condition | undefined, catalog: Catalog): boolean =>
  leavesOf(where).every(
    (leaf) =>
      leaf.kind === "test" &&
      leaf.asOf === undefined &&
      leaf.values.every((value) => value.kind !== "period") &&
      isKept(leaf.field, catalog),
  );

function isKept(field: readonly string[], catalog: Catalog): boolean {
  const last = catalog.findPath("items", field)?.at(-1);
  return last !== undefined && (last.source.kind !== "derived" || last.source.name === "stage");
}

/** The stretches that a trend beside a number can be made of. */
type Stretch = "day" | "week" | "month" | "quarter" | "year";

/** How far back a trend of what came goes, by the stretch that is asked for. */
const GOES_BACK: Readonly<Record<Stretch, number>> = {
  day: 14,
  week: 12,
  month: 12,
  quarter: 8,
  year: 5,
};

/**
 * What came or was done, stretch by stretch: of a number that asks for one stretch, such as "created during this month so far".
 * @returns null where it asks for none, or for a stretch of another sort
 */
export function flowBeside(report: Report): CountReport | null {
  if (report.kind !== "count" || report.by.length > 0 || report.split || report.stood) return null;
  if (report.measures.length !== 1) return null;
  const parts = topParts(report.where);
  const dated = parts.flatMap((part) => {
    if (part.kind !== "test" || part.operator !== "during" || part.asOf) return [];
    const [value] = part.values;
    const unit = value?.kind === "period" ? unitOf(value.period) : null;
    return unit ? [{ part, field: part.field, unit }] : [];
  });
  if (dated.length !== 1) return null;
  const [{ part, field, unit }] = dated;
  const where = allOfParts(parts.filter((one) => one !== part));
  const { where: _where, compared: _compared, shape: _shape, ...kept } = report;
  return {
    ...kept,
    ...(where ? { where } : {}),
    by: [{ field: [...field], grain: unit }],
    period: { kind: "rolling", way: "last", count: GOES_BACK[unit], unit, toDate: true },
  };
}

function unitOf(period: Period): Stretch | null {
  if (period.kind === "day") return period.which === "today" ? "day" : null;
  if (period.kind !== "unit" || period.which !== "this") return null;
  const { unit } = period;
  return unit === "fiscal quarter" || unit === "fiscal year" ? null : unit;
}
