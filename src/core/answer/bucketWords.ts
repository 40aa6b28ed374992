import type { Viewpoint } from "../relation";
import {
  clockText,
  dayText,
  localDay,
  longDayText,
  startOfDay,
  startOfUnit,
  unitText,
  type Bucket,
  type BucketGrain,
  type Instant,
} from "../time";

/** What a bucket is called by the unit that it is of. */
export const unitLabel = (
  { from }: Bucket,
  grain: BucketGrain,
  { calendar }: Pick<Viewpoint, "calendar">,
): string => unitText(startOfUnit(from, grain, calendar), grain, calendar);

/** What a flow is called: its unit, or where it begins if that is later: "from 25 May 2026". */
export function flowLabel(
  bucket: Bucket,
  grain: BucketGrain,
  view: Pick<Viewpoint, "calendar">,
): string {
  if (!bucket.partial) return unitLabel(bucket, grain, view);
  const { zone } = view.calendar;
  const isWholeDay = bucket.start === startOfDay(bucket.from, zone);
  const clock = isWholeDay ? "" : `, ${clockText(bucket.start, zone)}`;
  return `from ${dayText(bucket.from)}${clock}`;
}

export const momentText = (at: Instant, { calendar }: Viewpoint): string =>
  `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`;
/** The instant that the end of a bucket is, and the two between which it lies. */
export const endText = (bucket: Bucket, view: Viewpoint): string =>
  bucket.soFar ? `now, ${momentText(view.now, view)}` : momentText(bucket.end, view);
export const betweenText = (bucket: Bucket, view: Viewpoint): string =>
  `from ${momentText(bucket.start, view)} to ${endText(bucket, view)}`;
