import type { Viewpoint } from "../relation";
import {
  clockText,
  daysText,
  localDay,
  longDayText,
  startOfUnit,
  unitText,
  type Bucket,
  type BucketGrain,
  type Instant,
} from "../time";

/** What a bucket is called: its unit, or its dates where it is only a part of one. */
export const bucketLabel = (bucket: Bucket, grain: BucketGrain, { calendar }: Viewpoint): string =>
  bucket.partial
    ? daysText(bucket.from, bucket.to)
    : unitText(startOfUnit(bucket.from, grain, calendar), grain, calendar);

export const momentText = (at: Instant, { calendar }: Viewpoint): string =>
  `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`;
/** The instant that the end of a bucket is, and the two between which it lies. */
export const endText = (bucket: Bucket, view: Viewpoint): string =>
  bucket.soFar ? `now, ${momentText(view.now, view)}` : momentText(bucket.end, view);
export const betweenText = (bucket: Bucket, view: Viewpoint): string =>
  `from ${momentText(bucket.start, view)} to ${endText(bucket, view)}`;
