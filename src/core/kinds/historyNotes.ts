import { type ReportBase } from "../definition";
import { type Note } from "./definePlanned";

import { Relation, type Viewpoint } from "../relation";
import { type Plan, subjectTests, sinceStatement } from "../plan";
import { compile, joined, sql } from "../sql";
import { clockText, dayText, localDay, type Instant } from "../time";

/** What the workings say of a report of history beside its conditions: since when there is any history, and what corrected it last. */
export function* historyNotes(report: ReportBase, view: Viewpoint): Plan<Note[]> {
  const relation = new Relation("items", { ...view, past: false, deletedToo: true });
  const tests = [...subjectTests(report, relation)];
  const from = sql`FROM ${relation.from()} JOIN moves m ON m.item_id = ${relation.id} WHERE m.arrived_at IS NOT NULL AND ${joined([...tests, relation.guard()], " AND ")}`;
  const micros = (value: ReturnType<typeof sql>) =>
    sql`(extract(epoch FROM ${value}) * 1000000)::bigint`;
  const [[[count, arrived, first]], [[since]]] = yield [
    compile(
      sql`SELECT count(*) FILTER (WHERE late.last), ${micros(sql`max(arrived_at)`)}, ${micros(sql`min(at) FILTER (WHERE late.last)`)} FROM (SELECT m.at, m.arrived_at, m.arrived_at = max(m.arrived_at) OVER () AS last ${from}) late`,
    ),
    sinceStatement(view),
  ];
  const moment = (at: Instant) =>
    `${dayText(localDay(at, view.calendar.zone))}, ${clockText(at, view.calendar.zone)}`;
  return [
    ...(since === null
      ? []
      : [
          {
            about: "history",
            says: `it begins on ${moment(Number(since))}; before it nothing is known`,
          },
        ]),
    ...(arrived === null
      ? []
      : [
          {
            about: "last correction",
            says: `on ${moment(Number(arrived))}: ${count === "1" ? "a move arrived late, that" : `${count} moves arrived late, the earliest`} of ${moment(Number(first))}; the past is told with ${count === "1" ? "it" : "them"}`,
          },
        ]),
  ];
}
