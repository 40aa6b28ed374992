import { type Key, NONE, REST } from "../../definition";
import {
  historyBuckets,
  instant,
  isHidden,
  matchingSpans,
  planned,
  tierKey,
  tierOf,
  tierValue,
  type Plan,
} from "../../plan";
import type { Viewpoint } from "../../relation";
import { bind, joined, sql } from "../../sql";
import { definePlanned, type FigureTable, type NamedGroup } from "../definePlanned";
import { historyNotes } from "../historyNotes";
import { bucketPath } from "../namedBucket";
import { isNamedBy, sheetNumber, toldBucket, toldCell, toldGroup } from "../numbers";
import { among, listed, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { instantText } from "../../time";
import { levelAnswer, type LevelAnswer } from "./answer";
import type { LevelReport } from "./definition";
import { levelParts } from "./parts";
import { planLevel } from "./planLevel";
import { levelTelling } from "./telling";

function* answer(report: LevelReport, view: Viewpoint): Plan<LevelAnswer> {
  return levelAnswer(yield* planLevel(report, view));
}

/** The items that were there at the end of a bucket; of the last that has begun, where none is named. */
export function* levelSource(
  report: LevelReport,
  bucket: number | undefined,
  split: Key | undefined,
  view: Viewpoint,
): Plan<RecordSource | null> {
  const axis = historyBuckets(report.period, report.grain, view);
  const index = bucket ?? axis.begun - 1;
  if (bucket !== undefined && bucket >= axis.buckets.length) return null;
  if (index < 0 || index >= axis.begun) return listed([], view);
  const border = axis.borders[index];
  const { relation, tests } = matchingSpans(report, view);
  if (report.split) {
    const tier = tierOf(report.split, view, "items");
    const tops =
      tier.group.top && (split !== undefined || tier.group.withoutRest)
        ? (yield* planLevel(report, view)).keys.filter((key) => key !== REST && key !== NONE)
        : undefined;
    const value = tierValue(tier, relation);
    const hidden = isHidden(tier, value, view, tops);
    if (hidden) tests.push(sql`(${hidden}) IS NOT TRUE`);
    if (split !== undefined)
      tests.push(sql`${tierKey(tier, value, view, tops)} = ${bind(split, "text")}`);
  }
  const held = sql`s.valid_from < ${instant(border)} AND s.valid_to >= ${instant(border)}`;
  const items = sql`SELECT ${relation.id} FROM ${relation.from()} WHERE ${joined([...tests, relation.guard(), held], " AND ")}`;
  return among(items, { ...view, past: true, now: border - 1, asked: view.asked ?? view.now });
}

function* source(
  report: LevelReport,
  { path, split }: Opened,
  view: Viewpoint,
): Plan<RecordSource | null> {
  const part = path.length ? levelParts.read(path[0]) : undefined;
  if (part === null || path.length > 1 || (split !== undefined && !report.split)) return null;
  return yield* levelSource(report, part?.index, split, view);
}

/** A bucket by its key, and a part of the split as the answer names it or by its key. */
function* partNamed(
  report: LevelReport,
  group: readonly NamedGroup[],
  split: NamedGroup | undefined,
  view: Viewpoint,
): Plan<Opened | null> {
  const path = bucketPath(report, group, view);
  if (split === undefined) return { path };
  const heads = (yield* answer(report, view)).split;
  const head = heads.find((one) => isNamedBy(one, split)) ?? heads.find((one) => one.key === split);
  return head ? { path, split: head.key } : null;
}

const NOTHING = { value: null, records: null, empties: null };

function body({ measure, split, rows, begins }: LevelAnswer): object {
  return {
    columns: [{ role: "bucket" }, { role: "measure", name: measure.words, unit: measure.unit }],
    ...(split.length ? { names: split.map(toldGroup) } : {}),
    rows: rows.map(({ bucket, cell, parts }) => ({
      bucket: toldBucket(bucket),
      ...(cell ? toldCell(cell) : NOTHING),
      ...(split.length ? { parts: parts.map((part) => (part ? toldCell(part) : NOTHING)) } : {}),
    })),
    since: begins === null ? null : instantText(begins),
  };
}

const table = ({ measure, split, rows }: LevelAnswer): FigureTable => ({
  columns: ["from", "to", ...split.map((head) => head.label), measure.words],
  rows: rows.map(({ bucket, cell, parts }) => [
    bucket.from,
    bucket.to,
    ...parts.map((part) => sheetNumber(part?.value ?? null)),
    sheetNumber(cell?.value ?? null),
  ]),
});

export const levelPlanned = definePlanned<LevelReport, LevelAnswer>({
  answer,
  *shown(report, dress, view) {
    return shownHistory(yield* answer(report, view), report, dress, view, levelTelling);
  },
  body: (given) => planned(body(given)),
  table,
  addsUp: () => null,
  source,
  partNamed,
  notes: historyNotes,
});
