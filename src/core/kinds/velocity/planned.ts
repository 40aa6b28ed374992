import { planned, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { bind, sql } from "../../sql";
import { instantText } from "../../time";
import { definePlanned, type FigureTable } from "../definePlanned";
import { historyNotes } from "../historyNotes";
import { sheetNumber, toldNumber } from "../numbers";
import { among, listed, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { velocityAnswer, type VelocityAnswer } from "./answer";
import type { VelocityReport } from "./definition";
import { velocityParts } from "./parts";
import { planVelocity } from "./planVelocity";
import { velocityTelling } from "./telling";

function* answer(report: VelocityReport, view: Viewpoint): Plan<VelocityAnswer> {
  return velocityAnswer(yield* planVelocity(report, view));
}

/** All that was ever in a sprint of it. */
function source(
  _report: VelocityReport,
  { path, split }: Opened,
  view: Viewpoint,
): RecordSource | null {
  if (path.length === 0) return listed([], view);
  const part = velocityParts.read(path[0]);
  if (!part || path.length > 1 || split !== undefined) return null;
  return among(
    sql`SELECT x.item_id FROM state_spans x WHERE x.sprint_id = ${bind(part.index, "int")}`,
    { ...view, deletedToo: true },
  );
}

const body = ({ unit, sprints }: VelocityAnswer): object => ({
  unit,
  sprints: sprints.map(({ name, committed, finished, closed }) => ({
    sprint: name,
    committed: toldNumber(committed),
    finished: toldNumber(finished),
    closedAt: instantText(closed),
  })),
});

const table = ({ sprints }: VelocityAnswer): FigureTable => ({
  columns: ["sprint", "committed", "finished", "closed"],
  rows: sprints.map((sprint) => [
    sprint.name,
    sheetNumber(sprint.committed),
    sheetNumber(sprint.finished),
    instantText(sprint.closed),
  ]),
});

export const velocityPlanned = definePlanned<VelocityReport, VelocityAnswer>({
  answer,
  *shown(report, dress, view) {
    return shownHistory(yield* answer(report, view), report, dress, view, velocityTelling);
  },
  body: (given) => planned(body(given)),
  table,
  addsUp: () => null,
  source: (report, opened, view) => planned(source(report, opened, view)),
  partNamed: (_report, group, split) =>
    planned(split === undefined ? { path: group.map(String) } : null),
  notes: historyNotes,
});
