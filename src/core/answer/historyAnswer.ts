import { Exact } from "../base";
import type { Beside } from "../definition";
import type {
  BridgeParts,
  BurndownParts,
  CrossingsParts,
  LevelParts,
  VelocityParts,
} from "../plan";
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
import type { Viewpoint } from "../sql";
import type { Crossing } from "../plan";
import { headOf, type Head } from "./head";
import { inUnit, simpleHead, type MeasureHead } from "./measureHead";
import type { Cell } from "./countAnswer";

/** Levels at the ends of buckets, as they are shown and given to programs. */
export interface LevelAnswer {
  readonly kind: "level";
  readonly measure: MeasureHead;
  readonly split: readonly Head[];
  readonly rows: readonly {
    readonly bucket: Bucket;
    readonly label: string;
    readonly about: string;
    readonly cell: Cell | null;
    readonly parts: readonly (Cell | null)[];
  }[];
  /** The first instant with any history. */
  readonly begins: Instant | null;
  readonly asOf: Instant;
}

export interface CrossingsAnswer {
  readonly kind: "crossings";
  readonly which: "arrivals" | "departures" | "both";
  readonly measure: MeasureHead;
  /** Each row is told with all that came and went since the first, too. */
  readonly isRunning: boolean;
  readonly beside: readonly Beside[];
  readonly rows: readonly {
    readonly bucket: Bucket;
    readonly label: string;
    readonly about: string;
    readonly crossing: Crossing | null;
    readonly since?: Since | null;
  }[];
  /** The first instant with any history. */
  readonly begins: Instant | null;
  readonly asOf: Instant;
}

/** What came and went since the start of the period. */
export interface Since {
  readonly arrived: string;
  readonly departed: string;
}

export interface BridgeAnswer {
  readonly kind: "bridge";
  readonly measure: MeasureHead;
  readonly from: Instant;
  readonly to: Instant;
  readonly levelFrom: string;
  readonly levelTo: string;
  /** The first instant with any history. */
  readonly begins: Instant | null;
  readonly parts: readonly {
    readonly cause: string;
    readonly fields: readonly string[];
    readonly amount: string;
    readonly count: number;
    readonly keys: readonly string[];
  }[];
  readonly asOf: Instant;
}

/** What a bucket is called: its unit, or its dates where it is only a part of one. */
const bucketLabel = (bucket: Bucket, grain: BucketGrain, { calendar }: Viewpoint): string =>
  bucket.partial
    ? daysText(bucket.from, bucket.to)
    : unitText(startOfUnit(bucket.from, grain, calendar), grain, calendar);

const momentText = (at: Instant, { calendar }: Viewpoint): string =>
  `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`;
/** The instant that the end of a bucket is, and the two between which it lies. */
const endText = (bucket: Bucket, view: Viewpoint): string =>
  bucket.soFar ? `now, ${momentText(view.now, view)}` : momentText(bucket.end, view);
const betweenText = (bucket: Bucket, view: Viewpoint): string =>
  `from ${momentText(bucket.start, view)} to ${endText(bucket, view)}`;

const COUNT = { measure: "count" } as const;

export function levelAnswer(parts: LevelParts): LevelAnswer {
  const { report, view, measure, tier, keys } = parts;
  const head = simpleHead(measure, report, view);
  const cell = (given: Cell): Cell => ({
    ...given,
    value: given.value === null ? null : inUnit(given.value, head, view),
  });
  return {
    kind: "level",
    measure: head,
    split: tier ? keys.map((key) => headOf(key, tier, view, null)) : [],
    rows: parts.buckets.map((bucket, i) => {
      const level = parts.levels[i];
      return {
        bucket,
        label: bucketLabel(bucket, report.grain, view),
        about: `at ${endText(bucket, view)}`,
        cell: level && cell(level.all),
        parts: level ? level.parts.map(cell) : keys.map(() => null),
      };
    }),
    begins: parts.since,
    asOf: view.now,
  };
}

export function crossingsAnswer({
  report,
  view,
  buckets,
  crossings,
  since: begins,
}: CrossingsParts): CrossingsAnswer {
  const head = simpleHead(report.measure ?? COUNT, report, view);
  const told = (value: string) => inUnit(value, head, view);
  const tell = (c: Crossing): Crossing => ({
    ...c,
    levelStart: told(c.levelStart),
    arrived: told(c.arrived),
    departed: told(c.departed),
    revalued: told(c.revalued),
    levelEnd: told(c.levelEnd),
  });
  let since: Since = { arrived: "0", departed: "0" };
  const rows = buckets.map((bucket, i) => {
    const crossing = crossings[i] && tell(crossings[i]);
    if (crossing)
      since = {
        arrived: new Exact(since.arrived).plus(crossing.arrived).toFixed(),
        departed: new Exact(since.departed).plus(crossing.departed).toFixed(),
      };
    return {
      bucket,
      label: bucketLabel(bucket, report.grain, view),
      about: betweenText(bucket, view),
      crossing,
      ...(report.runningTotal ? { since: crossing && since } : {}),
    };
  });
  return {
    kind: "crossings",
    which: report.which,
    measure: head,
    isRunning: report.runningTotal === true,
    beside: report.beside ?? [],
    rows,
    begins,
    asOf: view.now,
  };
}

export function bridgeAnswer({
  report,
  view,
  from,
  to,
  levelFrom,
  levelTo,
  since,
  parts,
}: BridgeParts): BridgeAnswer {
  const head = simpleHead(report.measure ?? COUNT, report, view);
  const told = (value: string) => inUnit(value, head, view);
  return {
    kind: "bridge",
    measure: head,
    from,
    to,
    levelFrom: told(levelFrom),
    levelTo: told(levelTo),
    begins: since,
    parts: parts.map((part) => ({
      cause: part.cause,
      fields: part.fields,
      amount: told(part.amount),
      count: part.count,
      keys: part.items.flatMap(({ key }) => key ?? []),
    })),
    asOf: view.now,
  };
}

export type BurndownAnswer = Pick<
  BurndownParts,
  "unit" | "name" | "sprint" | "span" | "burndown"
> & { readonly kind: "burndown"; readonly asOf: Instant };
export const burndownAnswer = ({
  unit,
  name,
  sprint,
  span,
  burndown,
  view,
}: BurndownParts): BurndownAnswer => ({
  kind: "burndown",
  unit,
  name,
  sprint,
  span,
  burndown,
  asOf: view.now,
});

export type VelocityAnswer = Pick<VelocityParts, "unit" | "sprints"> & {
  readonly kind: "velocity";
  readonly asOf: Instant;
};
export const velocityAnswer = ({ unit, sprints, view }: VelocityParts): VelocityAnswer => ({
  kind: "velocity",
  unit,
  sprints,
  asOf: view.now,
});

export type HistoryAnswer =
  LevelAnswer | CrossingsAnswer | BridgeAnswer | BurndownAnswer | VelocityAnswer;
