import type { Viewpoint } from "../relation";
import { Exact } from "../base";
import { lastOf, MINUTES_IN, pathWords, type Unit } from "../catalog";
import type { Measure, ReportBase, SimpleMeasure } from "../definition";
import { measures } from "../measure";
import type { Slot } from "../plan";
import { conditionText } from "../sentence";

import { instantText, parseInstant, workingDayMinutes } from "../time";

/** What a measure is called, and how its values are told. */
export interface MeasureHead {
  readonly words: string;
  readonly unit: Unit | null;
  /** Values are working time: a day has the hours of a working day. */
  readonly working?: true;
  readonly additive: boolean;
  readonly isDate: boolean;
  /** The zone in which an instant is told as a day. */
  readonly zone?: string;
  /** A ratio of like to like, told as a percentage. */
  readonly isRatio?: true;
  /** The minutes in the units of the two parts of a ratio. */
  readonly minutes?: { readonly top: number; readonly bottom: number };
  /** One line that says what it means, of a named measure. */
  readonly means?: string;
  /** It has conditions of its own, so its records are its own. */
  readonly hasOwnRecords?: true;
}

export function measureHead(
  { measure, bottom, ofAll }: Slot,
  report: Pick<ReportBase, "subject"> & { readonly measures: readonly Measure[] },
  view: Viewpoint,
  index: number,
): MeasureHead {
  const given = report.measures[index];
  const named = given && "named" in given ? view.catalog.findMeasure(given.named) : undefined;
  const head = simpleHead(measure, report, view);
  const extra = {
    ...(named ? { words: named.name, means: named.means } : {}),
    ...(!ofAll && (measure.where || bottom !== undefined) ? { hasOwnRecords: true as const } : {}),
  };
  if (bottom === undefined || !measure.per) return { ...head, ...extra };
  const per = simpleHead(measure.per, report, view);
  const isOfOneUnit = head.unit === per.unit;
  const isOfOneKind =
    head.unit !== null ||
    (isMoneyOf(measure, report, view) && isMoneyOf(measure.per, report, view)) ||
    (measure.measure === measure.per.measure &&
      JSON.stringify(measure.field) === JSON.stringify(measure.per.field));
  return {
    words: `${head.words} per ${per.words}`,
    unit: isOfOneUnit ? null : head.unit,
    additive: false,
    isDate: false,
    ...(isOfOneUnit && isOfOneKind && !named?.isIndex ? { isRatio: true as const } : {}),
    minutes: { top: minutesIn(head, view), bottom: minutesIn(per, view) },
    ...extra,
  };
}

const isMoneyOf = (
  { field }: SimpleMeasure,
  { subject }: Pick<ReportBase, "subject">,
  { catalog }: Viewpoint,
): boolean => {
  const path = field && catalog.findPath(subject.id, field);
  return path !== undefined && lastOf(path).type === "money";
};

/** The minutes in a unit; 1 for what is not told in one. */
const minutesIn = ({ unit, working }: MeasureHead, view: Viewpoint): number =>
  unit === null
    ? 1
    : unit === "days" && working
      ? workingDayMinutes(view.calendar)
      : MINUTES_IN[unit];

/** The same of a measure that is no ratio. */
export function simpleHead(
  measure: SimpleMeasure,
  report: Pick<ReportBase, "subject">,
  view: Viewpoint,
): MeasureHead {
  const kind = measures[measure.measure];
  const own = measure.where
    ? ` where ${conditionText(measure.where, view.catalog, report.subject.id)}`
    : "";
  const path = measure.field && view.catalog.findPath(report.subject.id, measure.field);
  if (!path) return { words: kind.words + own, unit: null, additive: kind.additive, isDate: false };
  const field = lastOf(path);
  const plain = "plain" in kind && kind.plain;
  const unit =
    field.type === "duration" && !plain ? (measure.unit ?? field.unit ?? "minutes") : null;
  return {
    words: `${kind.words} ${pathWords(path)}${unit ? ` in ${measure.working ? "working " : ""}${unit}` : ""}${own}`,
    unit,
    ...(measure.working ? { working: true as const } : {}),
    additive: kind.additive,
    isDate: !plain && (field.type === "date" || field.type === "instant"),
    ...(!plain && field.type === "instant" ? { zone: view.calendar.zone } : {}),
  };
}

/** Durations are kept in minutes and told in the unit asked for; instants in one ISO form. */
export function inUnit(value: string, head: MeasureHead, view: Viewpoint): string {
  if (head.isDate) {
    const instant = parseInstant(value.replace(" ", "T").replace(/([+-]\d\d)$/, "$1:00"));
    return instant === null ? value : instantText(instant);
  }
  const { top, bottom } = head.minutes ?? { top: minutesIn(head, view), bottom: 1 };
  return top === bottom
    ? new Exact(value).toFixed()
    : new Exact(value).times(bottom).div(top).toFixed();
}
