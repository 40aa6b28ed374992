import type { BridgeParts, BurndownParts, CrossingsParts, LevelParts, VelocityParts } from "../plan";
import { daysText, startOfUnit, unitText, type Bucket, type BucketGrain, type Instant } from "../time";
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
  readonly rows: readonly { readonly bucket: Bucket; readonly label: string; readonly cell: Cell | null; readonly parts: readonly (Cell | null)[] }[];
  /** The first instant with any history. */
  readonly since: Instant | null;
  readonly asOf: Instant;
}

export interface CrossingsAnswer {
  readonly kind: "crossings";
  readonly which: "arrivals" | "departures" | "both";
  readonly measure: MeasureHead;
  readonly rows: readonly { readonly bucket: Bucket; readonly label: string; readonly crossing: Crossing | null }[];
  readonly asOf: Instant;
}

export interface BridgeAnswer {
  readonly kind: "bridge";
  readonly measure: MeasureHead;
  readonly from: Instant;
  readonly to: Instant;
  readonly levelFrom: string;
  readonly levelTo: string;
  readonly parts: readonly { readonly cause: string; readonly fields: readonly string[]; readonly amount: string; readonly count: number; readonly keys: readonly string[] }[];
  readonly asOf: Instant;
}

/** What a bucket is called: its unit, or its dates where it is only a part of one. */
const bucketLabel = (bucket: Bucket, grain: BucketGrain, { calendar }: Viewpoint): string => (bucket.partial ? daysText(bucket.from, bucket.to) : unitText(startOfUnit(bucket.from, grain, calendar), grain, calendar));

const COUNT = { measure: "count" } as const;

export function levelAnswer(parts: LevelParts): LevelAnswer {
  const { report, view, measure, tier, keys } = parts;
  const head = simpleHead(measure, report, view);
  const cell = (given: Cell): Cell => ({ ...given, value: given.value === null ? null : inUnit(given.value, head, view) });
  return {
    kind: "level",
    measure: head,
    split: tier ? keys.map((key) => headOf(key, tier, view, null)) : [],
    rows: parts.buckets.map((bucket, i) => {
      const level = parts.levels[i];
      return { bucket, label: bucketLabel(bucket, report.grain, view), cell: level && cell(level.all), parts: level ? level.parts.map(cell) : keys.map(() => null) };
    }),
    since: parts.since,
    asOf: view.now,
  };
}

export function crossingsAnswer({ report, view, buckets, crossings }: CrossingsParts): CrossingsAnswer {
  const head = simpleHead(report.measure ?? COUNT, report, view);
  const told = (value: string) => inUnit(value, head, view);
  const tell = (c: Crossing): Crossing => ({ ...c, levelStart: told(c.levelStart), arrived: told(c.arrived), departed: told(c.departed), revalued: told(c.revalued), levelEnd: told(c.levelEnd) });
  return { kind: "crossings", which: report.which, measure: head, rows: buckets.map((bucket, i) => ({ bucket, label: bucketLabel(bucket, report.grain, view), crossing: crossings[i] && tell(crossings[i]) })), asOf: view.now };
}

export function bridgeAnswer({ report, view, from, to, levelFrom, levelTo, parts }: BridgeParts): BridgeAnswer {
  const head = simpleHead(report.measure ?? COUNT, report, view);
  const told = (value: string) => inUnit(value, head, view);
  return { kind: "bridge", measure: head, from, to, levelFrom: told(levelFrom), levelTo: told(levelTo), parts: parts.map((part) => ({ cause: part.cause, fields: part.fields, amount: told(part.amount), count: part.items.length, keys: part.items.map(({ key }) => key) })), asOf: view.now };
}

export type BurndownAnswer = Pick<BurndownParts, "unit" | "name" | "sprint" | "span" | "burndown"> & { readonly kind: "burndown"; readonly asOf: Instant };
export const burndownAnswer = ({ unit, name, sprint, span, burndown, view }: BurndownParts): BurndownAnswer => ({ kind: "burndown", unit, name, sprint, span, burndown, asOf: view.now });

export type VelocityAnswer = Pick<VelocityParts, "unit" | "sprints"> & { readonly kind: "velocity"; readonly asOf: Instant };
export const velocityAnswer = ({ unit, sprints, view }: VelocityParts): VelocityAnswer => ({ kind: "velocity", unit, sprints, asOf: view.now });

export type HistoryAnswer = LevelAnswer | CrossingsAnswer | BridgeAnswer | BurndownAnswer | VelocityAnswer;
