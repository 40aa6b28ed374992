import { matchTests, planned, type Plan } from "../../plan";
import { Relation, type Viewpoint } from "../../relation";
import { joined, sql } from "../../sql";
import { definePlanned } from "../definePlanned";
import type { RecordSource } from "../opened";
import { recordsBody } from "../recordsBody";
import { defaultShowing, pageOf, type RecordsAnswer } from "../recordColumns";
import { recordsShown } from "../recordsShown";
import { asOfWords } from "../shown";
import type { ListReport } from "./definition";

/** Records that a program gets of a list where it says no number. */
const MOST_LISTED = 10_000;

function* answer(report: ListReport, view: Viewpoint, limit: number): Plan<RecordsAnswer> {
  const relation = new Relation(report.subject.id, view);
  const tests = matchTests(report, relation);
  const ask = {
    showing: report.showing.length ? report.showing : defaultShowing(report),
    sorts: report.sorts,
    offset: 0,
    limit,
  };
  const from = () =>
    sql`FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
  return yield* pageOf(report, ask, { relation, from, stepAt: null });
}

const source = (report: ListReport, view: Viewpoint): RecordSource => ({
  view,
  tests: (relation) => matchTests(report, relation),
});

export const listPlanned = definePlanned<ListReport, RecordsAnswer>({
  answer: (report, view, options) => answer(report, view, options?.limit ?? MOST_LISTED),
  *shown(report, _dress, view, rows) {
    const records = yield* answer(report, view, rows);
    return {
      kind: "list",
      records: recordsShown(records, report, view),
      asOf: asOfWords(report, view),
    };
  },
  body: (given, report, view) => planned(recordsBody(given, report, view)),
  table: () => null,
  addsUp: () => null,
  source: (report, opened, view) =>
    planned(
      opened.path.length === 0 && opened.split === undefined && opened.measure === undefined
        ? source(report, view)
        : null,
    ),
  partNamed: (_report, group, split) =>
    planned(group.length === 0 && split === undefined ? { path: [] } : null),
  notes: () => planned([]),
});
