import { Exact } from "../base";
import { compile, joined, Relation, sql, type Viewpoint } from "../sql";
import { CAUSES } from "../history";
import { clockText, dayText, localDay, type Instant } from "../time";
import type { HistoryReport } from "./openedItems";
import { planBridge } from "./planBridge";
import { planBurndown } from "./planBurndown";
import type { Plan } from "./planCount";
import { planCrossings } from "./planCrossings";
import { subjectTests } from "./count";
import { sinceStatement } from "./spans";

export interface HistoryNote {
  readonly about: string;
  readonly says: string;
}

/** What the workings say of a report of history beside its conditions: how it adds up, since when there is any history, and what corrected it last. */
export function* historyNotes(report: HistoryReport, view: Viewpoint): Plan<HistoryNote[]> {
  const adds = yield* howItAddsUp(report, view);
  const relation = new Relation("items", { ...view, past: false, deletedToo: true });
  const tests = [...subjectTests(report, relation)];
  const from = sql`FROM ${relation.from()} JOIN moves m ON m.item_id = ${relation.id} WHERE m.arrived_at IS NOT NULL AND ${joined([...tests, relation.guard()], " AND ")}`;
  const micros = (value: ReturnType<typeof sql>) => sql`(extract(epoch FROM ${value}) * 1000000)::bigint`;
  const [[[count, arrived, first]], [[since]]] = yield [
    compile(sql`SELECT count(*) FILTER (WHERE late.last), ${micros(sql`max(arrived_at)`)}, ${micros(sql`min(at) FILTER (WHERE late.last)`)} FROM (SELECT m.at, m.arrived_at, m.arrived_at = max(m.arrived_at) OVER () AS last ${from}) late`),
    sinceStatement(view),
  ];
  const moment = (at: Instant) => `${dayText(localDay(at, view.calendar.zone))}, ${clockText(at, view.calendar.zone)}`;
  return [
    ...adds,
    ...(since === null ? [] : [{ about: "history", says: `it begins on ${moment(Number(since))}; before it nothing is known` }]),
    ...(arrived === null ? [] : [{ about: "last correction", says: `on ${moment(Number(arrived))}: ${count === "1" ? "a move arrived late, that" : `${count} moves arrived late, the earliest`} of ${moment(Number(first))}; the past is told with ${count === "1" ? "it" : "them"}` }]),
  ];
}

/** The identity that holds for its figures, with these in it. */
function* howItAddsUp(report: HistoryReport, view: Viewpoint): Plan<HistoryNote[]> {
  const note = (says: string): HistoryNote[] => [{ about: "it adds up", says }];
  switch (report.kind) {
    case "crossings": {
      const known = (yield* planCrossings(report, view)).crossings.flatMap((crossing) => crossing ?? []);
      if (known.length === 0) return [];
      const sum = (pick: "arrived" | "departed" | "revalued") => known.reduce((all, one) => all.plus(one[pick]), new Exact(0));
      const revalued = sum("revalued");
      return note(`${known[0].levelStart} at the start + ${sum("arrived").toFixed()} arrived − ${sum("departed").toFixed()} departed${report.measure?.field ? signed(revalued.toFixed(), "revalued") : ""} = ${known[known.length - 1].levelEnd} at the end; in each stretch, too`);
    }
    case "bridge": {
      const { levelFrom, levelTo, parts } = yield* planBridge(report, view, "counts");
      return note(`${levelFrom} at the first${parts.map(({ amount, cause, fields }) => signed(amount, fields.length ? `${cause}: ${fields.join(", ")}` : cause)).join("")} = ${levelTo} at the second`);
    }
    case "burndown": {
      const { burndown } = yield* planBurndown(report, view);
      if (!burndown) return [];
      const less = ["removed", "finished"];
      return note(`${burndown.committed} committed${CAUSES.map((cause) => signed(less.includes(cause) ? new Exact(burndown.totals[cause]).neg().toFixed() : burndown.totals[cause], cause)).join("")} = ${burndown.remaining} remaining`);
    }
    default:
      return [];
  }
}

const signed = (amount: string, what: string): string => (new Exact(amount).isNegative() ? ` − ${new Exact(amount).abs().toFixed()} ${what}` : ` + ${new Exact(amount).toFixed()} ${what}`);
