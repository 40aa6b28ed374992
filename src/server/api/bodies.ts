import {
  percentagesOf,
  type AnswerRow,
  type BridgeAnswer,
  type BurndownAnswer,
  type Cell,
  type CountAnswer,
  type CrossingsAnswer,
  type DotsAnswer,
  type Head,
  type HistoryAnswer,
  type LevelAnswer,
  type VelocityAnswer,
} from "@/core/answer";
import { decimalText } from "@/core/base";
import { lastOf, type ThingType } from "@/core/catalog";
import type { CountReport, Report } from "@/core/definition";
import { paceOf } from "@/core/history";
import type { DecidingStep, RecordRow, RecordsAnswer } from "@/core/plan";
import { instantText, type Bucket } from "@/core/time";
import type { GroupValue } from "@/contract/api";
import type { ShownForecast } from "@/contract/room";
import type { Desk } from "../viewer/viewpoint";

const nameOf = (head: Head): GroupValue => (head.kind === "rest" ? { rest: true } : head.name);
const numberOf = (value: string | null): string | number | null => {
  if (value === null || !/^-?\d+(\.\d+)?(e[+-]?\d+)?$/i.test(value)) return value;
  const text = decimalText(value);
  return /^-?\d{1,15}$/.test(text) ? Number(text) : text;
};
const cellBody = (cell: Cell) => ({
  value: numberOf(cell.value),
  records: cell.records,
  empties: cell.empties,
});
const measured = (cells: readonly Cell[]) => ({
  ...cellBody(cells[0]),
  ...(cells.length > 1 ? { cells: cells.map(cellBody) } : {}),
});

/** A count: its columns, rows, subtotals and totals. */
export function countBody(
  answer: CountAnswer,
  report: CountReport,
  percent: { base: "all" | "shown" | "own row" | "own column"; decimals: number } | undefined,
): object {
  const shares = percent && percentagesOf(answer, percent.base, percent.decimals);
  const share = (value: string | null | undefined) =>
    shares && value !== undefined && value !== null ? { percent: value } : {};
  const rowBody = (row: AnswerRow, index: number) => ({
    group: row.path.map(nameOf),
    ...measured(row.cells),
    ...share(shares?.rows[index]),
    ...(row.running ? { running: numberOf(row.running[0]) } : {}),
    ...(row.before === undefined ? {} : { before: row.before && measured(row.before) }),
    ...bucketBody(row),
    ...(report.split
      ? {
          parts: answer.split.map((head, i) => ({
            group: nameOf(head),
            ...measured(row.parts[i]),
            ...share(shares?.cells[index]?.[i]),
          })),
        }
      : {}),
  });
  const groups = report.by.map((group, i) => ({
    role: "group",
    name: group.field.join("'s "),
    tier: i + 1,
    ...(group.grain ? { grain: group.grain } : {}),
  }));
  return {
    columns: [
      ...groups,
      ...(report.split ? [{ role: "split", name: report.split.field.join("'s ") }] : []),
      ...answer.measures.map((measure) => ({
        role: "measure",
        name: measure.words,
        unit: measure.unit,
      })),
    ],
    rows: answer.rows.map(rowBody),
    ...(answer.tiers.length
      ? {
          subtotals: answer.tiers.map((rows) =>
            rows.map((row) => ({ group: row.path.map(nameOf), ...measured(row.cells) })),
          ),
        }
      : {}),
    ...(report.split
      ? {
          columnTotals: answer.split.map((head, i) => ({
            group: nameOf(head),
            ...measured(answer.columnTotals[i]),
          })),
        }
      : {}),
    total: measured(answer.total),
    ...(answer.before ? { before: measured(answer.before) } : {}),
  };
}

/** What history has to say: levels, flows, bridges, burndowns and velocities. */
export function historyBody(answer: HistoryAnswer, desk: Desk): object {
  switch (answer.kind) {
    case "level":
      return levelBody(answer);
    case "crossings":
      return crossingsBody(answer);
    case "bridge":
      return bridgeBody(answer);
    case "burndown":
      return burndownBody(answer, desk);
    case "velocity":
      return velocityBody(answer);
  }
}

/** Of a bucket that has not begun. */
const NOTHING = { value: null, records: null, empties: null };

function levelBody({ measure, split, rows, begins }: LevelAnswer): object {
  return {
    columns: [{ role: "bucket" }, { role: "measure", name: measure.words, unit: measure.unit }],
    ...(split.length ? { names: split.map(nameOf) } : {}),
    rows: rows.map(({ bucket, cell, parts }) => ({
      bucket: toldBucket(bucket),
      ...(cell ? cellBody(cell) : NOTHING),
      ...(split.length ? { parts: parts.map((part) => (part ? cellBody(part) : NOTHING)) } : {}),
    })),
    since: begins === null ? null : instantText(begins),
  };
}

function crossingsBody({ measure, rows }: CrossingsAnswer): object {
  const running = (since: CrossingsAnswer["rows"][number]["since"]) =>
    since === undefined
      ? {}
      : {
          running: since && {
            arrived: numberOf(since.arrived),
            departed: numberOf(since.departed),
          },
        };
  const told = (c: NonNullable<CrossingsAnswer["rows"][number]["crossing"]>) => ({
    levelStart: numberOf(c.levelStart),
    arrived: numberOf(c.arrived),
    departed: numberOf(c.departed),
    revalued: numberOf(c.revalued),
    levelEnd: numberOf(c.levelEnd),
  });
  return {
    columns: [{ role: "bucket" }, { role: "measure", name: measure.words, unit: measure.unit }],
    rows: rows.map(({ bucket, crossing, since }) => ({
      bucket: toldBucket(bucket),
      ...(crossing
        ? told(crossing)
        : { levelStart: null, arrived: null, departed: null, revalued: null, levelEnd: null }),
      ...running(since),
    })),
  };
}

const bridgeBody = ({ levelFrom, levelTo, parts }: BridgeAnswer): object => ({
  levelFrom: numberOf(levelFrom),
  levelTo: numberOf(levelTo),
  parts: parts.map(({ cause, fields, amount, keys }) => ({
    cause,
    ...(fields.length ? { fields } : {}),
    amount: numberOf(amount),
    keys,
  })),
});

function burndownBody({ unit, name, span, burndown }: BurndownAnswer, desk: Desk): object {
  const dates = span
    ? {
        start: instantText(span.start),
        end: instantText(span.end),
        closed: span.closed === null ? null : instantText(span.closed),
      }
    : {};
  if (!burndown) return { unit, name, ...dates, committed: null };
  const { totals } = burndown;
  return {
    unit,
    name,
    ...dates,
    committed: numberOf(burndown.committed),
    ...Object.fromEntries(
      Object.entries(totals).map(([cause, amount]) => [cause, numberOf(amount)]),
    ),
    remaining: numberOf(burndown.remaining),
    notEstimated: burndown.notEstimated,
    steps: burndown.steps.map((step) => ({
      at: instantText(step.at),
      key: step.key,
      cause: step.cause,
      amount: numberOf(step.amount),
      remaining: numberOf(step.remaining),
    })),
    samples: burndown.samples.map(({ t, remaining }) => ({
      t: instantText(t),
      remaining: numberOf(remaining),
    })),
    pace: Object.fromEntries(
      (["working", "clock"] as const).map((mode) => [
        mode,
        paceOf(burndown.committed, burndown, mode, desk.view.calendar).map(({ t, pace }) => ({
          t: instantText(t),
          pace: numberOf(pace),
        })),
      ]),
    ),
  };
}

const velocityBody = ({ unit, sprints }: VelocityAnswer): object => ({
  unit,
  sprints: sprints.map(({ name, committed, finished, closed }) => ({
    sprint: name,
    committed: numberOf(committed),
    finished: numberOf(finished),
    closedAt: instantText(closed),
  })),
});

function bucketBody(row: AnswerRow): object {
  const bucket = row.path.find((head) => head.bucket)?.bucket;
  return bucket ? { bucket: toldBucket(bucket) } : {};
}

const toldBucket = ({ from, to, start, end, soFar, partial }: Bucket) => ({
  from,
  to,
  start: instantText(start),
  end: instantText(end),
  soFar,
  partial,
});

/** By when so many of the simulated runs are done, as local days; null for not within two years. What it lacks is said. */
export function forecastBody({ why, forecast, days }: ShownForecast): object {
  if (!forecast) return { why };
  const by = (n: number | null) => (n === null ? null : (days[n] ?? null));
  return {
    runs: forecast.runs,
    restsOnWorkingDays: forecast.rests,
    doneBy: { p50: by(forecast.days.p50), p85: by(forecast.days.p85), p95: by(forecast.days.p95) },
  };
}

/** Records one by one, of a report as dots. */
export const dotsBody = ({ of, dots }: DotsAnswer): object => ({
  dots: dots.map(({ key, at, value }) => ({ key, at: instantText(at), value: numberOf(value) })),
  dotsOf: of,
});

/** Values as kept: things by their names, people by login, lists as lists. */
export function listBody(records: RecordsAnswer, report: Report, desk: Desk): object {
  const { catalog } = desk.view;
  const fields = records.showing.map((ids) => lastOf(catalog.findPath(report.subject.id, ids)!));
  const kept = (value: string, thing: ThingType | undefined) =>
    thing ? (catalog.names.find(thing, Number(value))?.name ?? null) : value;
  const values = (row: RecordRow) =>
    row.values.map((value, i) =>
      value === null
        ? null
        : typeof value === "string"
          ? kept(value, fields[i].thing)
          : value.map((one) => kept(one, fields[i].thing)),
    );
  return {
    columns: records.showing.map((ids) => ({ role: "field", name: ids.join("'s ") })),
    rows: records.rows.map((row) => ({
      key: row.key,
      values: values(row),
      ...(row.decided ? { decided: decidedBody(row.decided, desk) } : {}),
    })),
    total: { value: records.count, records: records.count, empties: 0 },
  };
}

/** The step that brought a record into a part: things by their names, people by login. */
function decidedBody({ at, kind, moves }: DecidingStep, { view: { catalog } }: Desk): object {
  const kept = (field: string, value: string | null) => {
    const thing = lastOf(catalog.findPath("items", [field])!).thing;
    return value !== null && thing
      ? (catalog.names.find(thing, Number(value))?.name ?? null)
      : value;
  };
  return {
    at: instantText(at),
    kind,
    moves: moves.map(({ field, from, to, by }) => ({
      field,
      from: kept(field, from),
      to: kept(field, to),
      by: by === null ? null : (catalog.names.find("person", by)?.name ?? null),
    })),
  };
}
