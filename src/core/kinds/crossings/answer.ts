import { betweenText, flowLabel, inUnit, simpleHead, type MeasureHead } from "../../answer";
import { Exact } from "../../base";
import type { Bucket, Instant } from "../../time";
import type { Beside } from "./definition";
import type { Crossing, CrossingsParts } from "./planCrossings";

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

const COUNT = { measure: "count" } as const;

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
      label: flowLabel(bucket, report.grain, view),
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
