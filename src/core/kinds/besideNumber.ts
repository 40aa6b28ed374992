import { allOfParts, leavesOf, topParts, type Condition } from "../filter";
import { findPlainMeasure, type SimpleMeasure } from "../definition";
import type { Catalog } from "../catalog";
import { isBucketGrain, type BucketGrain, type Period } from "../time";
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
 * @returns null where it is no number of what there is: where its conditions go by dates, or it is an average
 */
export function levelsOf(report: Report, catalog: Catalog): readonly LevelReport[] | null {
  if (report.kind !== "count" || report.subject.id !== "items" || report.stood) return null;
  if (report.by.length > 0 || report.split || report.period || report.measures.length !== 1)
    return null;
  const plain = findPlainMeasure(report.measures[0], catalog);
  if (!plain) return null;
  const { per, ...first } = plain;
  const simples = per ? [first, per] : [first];
  if (!simples.every(isAmount) || hasDates(report.where)) return null;
  if (simples.some(({ where }) => hasDates(where))) return null;
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

const isAmount = ({ measure }: SimpleMeasure): boolean => measure === "count" || measure === "sum";

/** Whether a condition goes by a date, or by what became of a record: as of another day it would mean another one. */
const hasDates = (where: Condition | undefined): boolean =>
  leavesOf(where).some(
    (leaf) =>
      leaf.kind !== "test" ||
      leaf.asOf !== undefined ||
      leaf.values.some((value) => value.kind === "period"),
  );

/** How far back a trend of what came goes, by the stretch that is asked for. */
const GOES_BACK: Readonly<Partial<Record<BucketGrain, number>>> = {
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
export function flowOf(report: Report): CountReport | null {
  if (report.kind !== "count" || report.by.length > 0 || report.split || report.stood) return null;
  if (report.measures.length !== 1) return null;
  const parts = topParts(report.where);
  const dated = parts.flatMap((part) => {
    if (part.kind !== "test" || part.operator !== "during" || part.asOf) return [];
    const [value] = part.values;
    const unit = value?.kind === "period" ? unitOf(value.period) : null;
    return unit ? [{ part, unit }] : [];
  });
  if (dated.length !== 1) return null;
  const [{ part, unit }] = dated;
  const count = GOES_BACK[unit];
  if (count === undefined || part.kind !== "test" || !isBucketGrain(unit)) return null;
  const where = allOfParts(parts.filter((one) => one !== part));
  const { where: _where, compared: _compared, shape: _shape, ...kept } = report;
  return {
    ...kept,
    ...(where ? { where } : {}),
    by: [{ field: [...part.field], grain: unit }],
    period: { kind: "rolling", way: "last", count, unit: unit as "month", toDate: true },
  };
}

function unitOf(period: Period): BucketGrain | null {
  if (period.kind === "day") return period.which === "today" ? "day" : null;
  return period.kind === "unit" && period.which === "this" ? period.unit : null;
}
