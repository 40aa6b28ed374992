import { Exact } from "../../base";
import { historyBuckets, instant, planned, stretchOf, type Plan, type Stretch } from "../../plan";
import type { Viewpoint } from "../../relation";
import { sql, type Fragment } from "../../sql";
import { signed } from "../addsUp";
import { definePlanned, type FigureTable } from "../definePlanned";
import { historyNotes } from "../historyNotes";
import { bucketPath } from "../namedBucket";
import type { LevelReport } from "../level/definition";
import { levelSource } from "../level/planned";
import { sheetNumber, toldBucket, toldNumber } from "../numbers";
import { listed, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { stepsAt } from "../planDeciding";
import { crossingsAnswer, type CrossingsAnswer } from "./answer";
import type { CrossingsReport } from "./definition";
import { crossingParts, wayParts } from "./parts";
import { planCrossings, staysSql } from "./planCrossings";
import { crossingsTelling } from "./telling";

type Row = CrossingsAnswer["rows"][number];

function* answer(report: CrossingsReport, view: Viewpoint): Plan<CrossingsAnswer> {
  return crossingsAnswer(yield* planCrossings(report, view));
}

/** The level at the ends of the buckets of a flow. */
function levelBeside(report: CrossingsReport): LevelReport {
  const { measure, grain, period, subject, where, stood } = report;
  return {
    kind: "level",
    ...(measure ? { measure } : {}),
    grain,
    period,
    subject,
    ...(where ? { where } : {}),
    ...(stood ? { stood } : {}),
  };
}

/** What a part names: a stretch with the way of its crossings, or the level at the end of a bucket; null for none such. */
function partOf(report: CrossingsReport, { path, split }: Opened, view: Viewpoint) {
  const part = path.length ? crossingParts.read(path[0]) : undefined;
  const way = path.length > 1 ? wayParts.read(path[1]) : undefined;
  if (part === null || way === null || path.length > 2 || split !== undefined) return null;
  const axis = historyBuckets(report.period, report.grain, view);
  if (part && part.index >= axis.buckets.length) return null;
  if (part?.kind === "level") return way ? null : { levelAt: part.index };
  const asked = part && { index: part.index, isFromFirst: part.kind === "upTo" };
  return { stretch: stretchOf(axis, asked), way: way?.kind };
}

type Way = "arrived" | "departed" | "revalued";

/** Those that came or went in a stretch, or changed their value in it: once for each time they did. */
function crossed(
  report: CrossingsReport,
  { first, last }: Stretch,
  way: Way | undefined,
  view: Viewpoint,
): RecordSource {
  const stays = sql`(${staysSql(report, view, first)}) stays`;
  const stepsOf = (test: Fragment, at: Fragment) =>
    sql`SELECT id, ${at} AS at FROM ${stays} WHERE ${test} AND ${at} >= ${instant(first)} AND ${at} < ${instant(last)}`;
  const steps = {
    arrived: () => stepsOf(sql`came`, sql`a`),
    departed: () => stepsOf(sql`went`, sql`z`),
    revalued: () => stepsOf(sql`change <> 0`, sql`a`),
  };
  return {
    view: { ...view, deletedToo: true },
    tests: () => [],
    steps: way ? steps[way]() : sql`${steps.arrived()} UNION ALL ${steps.departed()}`,
  };
}

function* source(
  report: CrossingsReport,
  opened: Opened,
  view: Viewpoint,
): Plan<RecordSource | null> {
  const part = partOf(report, opened, view);
  if (!part) return null;
  if (part.levelAt !== undefined)
    return yield* levelSource(levelBeside(report), part.levelAt, undefined, view);
  return part.stretch ? crossed(report, part.stretch, part.way, view) : listed([], view);
}

function body({ measure, rows }: CrossingsAnswer): object {
  const running = (since: Row["since"]) =>
    since === undefined
      ? {}
      : {
          running: since && {
            arrived: toldNumber(since.arrived),
            departed: toldNumber(since.departed),
          },
        };
  return {
    columns: [{ role: "bucket" }, { role: "measure", name: measure.words, unit: measure.unit }],
    rows: rows.map(({ bucket, crossing, since }) => ({
      bucket: toldBucket(bucket),
      levelStart: toldNumber(crossing?.levelStart ?? null),
      arrived: toldNumber(crossing?.arrived ?? null),
      departed: toldNumber(crossing?.departed ?? null),
      revalued: toldNumber(crossing?.revalued ?? null),
      levelEnd: toldNumber(crossing?.levelEnd ?? null),
      ...running(since),
    })),
  };
}

function table({ rows, isRunning }: CrossingsAnswer): FigureTable {
  const since = ["arrivals since the start", "departures since the start"];
  return {
    columns: [
      "from",
      "to",
      "level at the start",
      "arrivals",
      "departures",
      "revalued",
      "level at the end",
      ...(isRunning ? since : []),
    ],
    rows: rows.map(({ bucket, crossing: c, since: run }) =>
      [
        bucket.from,
        bucket.to,
        ...[c?.levelStart, c?.arrived, c?.departed, c?.revalued, c?.levelEnd],
        ...(isRunning ? [run?.arrived, run?.departed] : []),
      ].map((value) => sheetNumber(value ?? null)),
    ),
  };
}

function addsUp({ rows, measure }: CrossingsAnswer): string | null {
  const known = rows.flatMap(({ crossing }) => crossing ?? []);
  if (known.length === 0) return null;
  const sum = (pick: "arrived" | "departed" | "revalued") =>
    known.reduce((all, one) => all.plus(one[pick]), new Exact(0)).toFixed();
  const revalued = measure.words === "count" ? "" : signed(sum("revalued"), "revalued");
  return `${known[0].levelStart} at the start + ${sum("arrived")} arrived − ${sum("departed")} departed${revalued} = ${known[known.length - 1].levelEnd} at the end; in each stretch, too`;
}

export const crossingsPlanned = definePlanned<CrossingsReport, CrossingsAnswer>({
  answer,
  *shown(report, dress, view) {
    return shownHistory(yield* answer(report, view), report, dress, view, crossingsTelling);
  },
  body: (given) => planned(body(given)),
  table,
  addsUp,
  source,
  partNamed: (report, group, split, view) =>
    planned(split === undefined ? { path: bucketPath(report, group, view) } : null),
  *deciding(report, _opened, rows, view) {
    const stepped = rows.flatMap(({ id, at }) => (at === undefined ? [] : [{ id, at }]));
    return yield* stepsAt(report, stepped, view);
  },
  notes: historyNotes,
});
