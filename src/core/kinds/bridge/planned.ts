import { borderOf, instant, planned, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { compile, sql, type Fragment } from "../../sql";
import { localDay, type WorkCalendar } from "../../time";
import { signed } from "../addsUp";
import { definePlanned, type FigureTable } from "../definePlanned";
import { historyNotes } from "../historyNotes";
import { sheetNumber, toldNumber } from "../numbers";
import { listed, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { lastSteps } from "../planDeciding";
import { bridgeAnswer, type BridgeAnswer } from "./answer";
import type { BridgeReport } from "./definition";
import { bridgeParts } from "./parts";
import { planBridge, type BridgeParts } from "./planBridge";
import { staysSql } from "../crossings/planCrossings";
import { causeWords } from "./causeWords";
import { bridgeTelling } from "./telling";

function* answer(report: BridgeReport, view: Viewpoint): Plan<BridgeAnswer> {
  return bridgeAnswer(yield* planBridge(report, view));
}

function* source(
  report: BridgeReport,
  { path, split }: Opened,
  view: Viewpoint,
): Plan<RecordSource | null> {
  const part = path.length ? bridgeParts.read(path[0]) : undefined;
  if (part === null || path.length > 1 || split !== undefined) return null;
  const { parts } = yield* planBridge(report, view, "ids");
  if (part && part.index >= parts.length) return null;
  const asked = part ? [parts[part.index]] : parts;
  return listed(
    asked.flatMap(({ items }) => items.map(({ id }) => id)),
    view,
  );
}

const body = ({ levelFrom, levelTo, parts }: BridgeAnswer): object => ({
  levelFrom: toldNumber(levelFrom),
  levelTo: toldNumber(levelTo),
  parts: parts.map(({ cause, fields, amount, keys }) => ({
    cause,
    ...(fields.length ? { fields } : {}),
    amount: toldNumber(amount),
    keys,
  })),
});

function table(given: BridgeAnswer, { zone }: WorkCalendar): FigureTable {
  const level = (at: number, value: string | null) => [
    `level on ${localDay(at - 1, zone)}`,
    sheetNumber(value),
    null,
  ];
  return {
    columns: ["cause", "amount", "items"],
    rows: [
      level(given.from, given.levelFrom),
      ...given.parts.map((part) => [
        causeWords(part, given.isOfOpen),
        sheetNumber(part.amount),
        part.keys.join(" "),
      ]),
      level(given.to, given.levelTo),
    ],
  };
}

const shortly = ({ cause, fields }: BridgeAnswer["parts"][number]): string =>
  fields.length ? `${cause}: ${fields.join(", ")}` : cause;

/** The whole flow between the dates: a bridge tells only of those that are on one side. */
function* planInAll(report: BridgeReport, view: Viewpoint): Plan<BridgeParts["inAll"] & object> {
  const [first, last] = [borderOf(report.from, view), borderOf(report.to, view)];
  const within = (at: Fragment) => sql`${at} >= ${instant(first)} AND ${at} < ${instant(last)}`;
  const stays = staysSql(report, view, first);
  const [[[arrivals, departures]]] = yield [
    compile(
      sql`SELECT count(*) FILTER (WHERE came AND ${within(sql`a`)}), count(*) FILTER (WHERE went AND ${within(sql`z`)}) FROM (${stays}) stays`,
    ),
  ];
  return { arrivals: Number(arrivals), departures: Number(departures) };
}

export const bridgePlanned = definePlanned<BridgeReport, BridgeAnswer>({
  answer,
  *shown(report, dress, view) {
    const parts = {
      ...(yield* planBridge(report, view, "counts")),
      inAll: yield* planInAll(report, view),
    };
    return shownHistory(bridgeAnswer(parts), report, dress, view, bridgeTelling);
  },
  body: (given) => planned(body(given)),
  table: (given, _report, _dress, calendar) => table(given, calendar),
  addsUp: (given) =>
    given.levelFrom === null
      ? null
      : `${given.levelFrom} at the first${given.parts.map((part) => signed(part.amount, shortly(part))).join("")} = ${given.levelTo} at the second`,
  source,
  partNamed: (_report, group, split) =>
    planned(split === undefined ? { path: group.map(String) } : null),
  *deciding(report, _opened, rows, view) {
    const ends = [borderOf(report.from, view), borderOf(report.to, view)];
    const stretch = { first: Math.min(...ends), last: Math.max(...ends) };
    const steps = yield* lastSteps(
      report,
      stretch,
      rows.map((row) => row.id),
      view,
    );
    return rows.map((row) => steps.get(row.id));
  },
  notes: historyNotes,
});
