import { Exact } from "../../base";
import { accountOf, CAUSES, paceOf } from "../../history";
import { planned, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { instantText, type WorkCalendar } from "../../time";
import { signed } from "../addsUp";
import { definePlanned, type BodyOptions, type FigureTable } from "../definePlanned";
import { historyNotes } from "../historyNotes";
import { sheetNumber, toldNumber } from "../numbers";
import { listed, type Opened, type RecordSource } from "../opened";
import type { Dress } from "../../definition";
import { shownHistory } from "../past";
import type { ShownHistory } from "../shown";
import { burndownAnswer, type BurndownAnswer } from "./answer";
import type { BurndownReport } from "./definition";
import { paceShown } from "./pace";
import { burndownParts } from "./parts";
import { planBurndown } from "./planBurndown";
import { planForecast, type ShownForecast } from "./planForecast";
import { burndownTelling } from "./telling";

function* answer(report: BurndownReport, view: Viewpoint): Plan<BurndownAnswer> {
  return burndownAnswer(yield* planBurndown(report, view));
}

/** A burndown for the screen, with its guide lines. */
export const shownBurndown = (
  given: BurndownAnswer,
  report: BurndownReport,
  dress: Dress,
  view: Viewpoint,
): ShownHistory => ({
  ...shownHistory(given, report, dress, view, burndownTelling),
  ...paceShown(given, view.calendar),
});

function* source(
  report: BurndownReport,
  { path, split }: Opened,
  view: Viewpoint,
): Plan<RecordSource | null> {
  const part = path.length ? burndownParts.read(path[0]) : undefined;
  if (part === null || path.length > 1 || split !== undefined) return null;
  const { burndown, spans, reach } = yield* planBurndown(report, view);
  if (!burndown || !reach) return listed([], view);
  if (part?.kind === "step") {
    const step = burndown.steps[part.index];
    return step ? listed([step.item], view) : null;
  }
  const { lines } = accountOf(spans, reach);
  const entries = part ? lines[part.kind] : Object.values(lines).flat();
  return listed([...new Set(entries.map((entry) => entry.item))], view);
}

function datesBody({ span }: BurndownAnswer): object {
  return span
    ? {
        start: instantText(span.start),
        end: instantText(span.end),
        closed: span.closed === null ? null : instantText(span.closed),
      }
    : {};
}

function answerBody(given: BurndownAnswer, calendar: WorkCalendar): object {
  const { unit, name, burndown } = given;
  const told = { unit, name, ...datesBody(given) };
  if (!burndown) return { ...told, committed: null };
  const pace = (mode: "working" | "clock") =>
    paceOf(burndown.committed, burndown, mode, calendar).map((point) => ({
      t: instantText(point.t),
      pace: toldNumber(point.pace),
    }));
  return {
    ...told,
    committed: toldNumber(burndown.committed),
    ...Object.fromEntries(
      Object.entries(burndown.totals).map(([cause, amount]) => [cause, toldNumber(amount)]),
    ),
    remaining: toldNumber(burndown.remaining),
    notEstimated: burndown.notEstimated,
    steps: burndown.steps.map(({ at, key, cause, amount, remaining }) => ({
      at: instantText(at),
      key,
      cause,
      amount: toldNumber(amount),
      remaining: toldNumber(remaining),
    })),
    samples: burndown.samples.map(({ t, remaining }) => ({
      t: instantText(t),
      remaining: toldNumber(remaining),
    })),
    pace: { working: pace("working"), clock: pace("clock") },
  };
}

/** By when so many of the simulated runs are done, as local days; null where too few end within two years. What it lacks is said. */
function forecastBody({ why, forecast, days, withoutScope, drew }: ShownForecast): object {
  if (!forecast || !withoutScope || !drew) return { why };
  const by = (n: number | null) => (n === null ? null : (days[n] ?? null));
  const doneBy = ({ p50, p85, p95 }: typeof withoutScope) => ({
    p50: by(p50),
    p85: by(p85),
    p95: by(p95),
  });
  return {
    runs: forecast.runs,
    restsOnWorkingDays: forecast.rests,
    drawnFrom: { of: drew.of, from: drew.from, to: drew.to },
    doneBy: doneBy(forecast.days),
    withoutAddedScope: { doneBy: doneBy(withoutScope) },
  };
}

function* body(
  given: BurndownAnswer,
  report: BurndownReport,
  view: Viewpoint,
  { forecast }: BodyOptions,
): Plan<object> {
  const told = answerBody(given, view.calendar);
  return forecast ? { ...told, forecast: forecastBody(yield* planForecast(report, view)) } : told;
}

function table({ burndown }: BurndownAnswer): FigureTable {
  const columns = ["at", "item", "cause", "amount", "remaining"];
  if (!burndown) return { columns, rows: [] };
  const start = [
    instantText(burndown.start),
    null,
    "committed",
    null,
    sheetNumber(burndown.committed),
  ];
  const steps = burndown.steps.map(({ at, key, cause, amount, remaining }) => [
    instantText(at),
    key,
    cause,
    sheetNumber(amount),
    sheetNumber(remaining),
  ]);
  return { columns, rows: [start, ...steps] };
}

function addsUp({ burndown }: BurndownAnswer): string | null {
  if (!burndown) return null;
  const terms = CAUSES.map((cause) => {
    const total = burndown.totals[cause];
    const isLess = cause === "removed" || cause === "finished";
    return signed(isLess ? new Exact(total).neg().toFixed() : total, cause);
  });
  return `${burndown.committed} committed${terms.join("")} = ${burndown.remaining} remaining`;
}

export const burndownPlanned = definePlanned<BurndownReport, BurndownAnswer>({
  answer,
  *shown(report, dress, view) {
    return shownBurndown(yield* answer(report, view), report, dress, view);
  },
  body,
  table,
  addsUp,
  source,
  partNamed: (_report, group, split) =>
    planned(split === undefined ? { path: group.map(String) } : null),
  notes: historyNotes,
});
