import {
  measuredPieces,
  parseEnds,
  parseMeasuredItems,
  parseMoment,
  said,
  shapeClause,
  stoodClause,
  whereClause,
  type Clause,
} from "../../sentence";
import { isFlowMeasure } from "../crossings/crossings";
import { conflict, defineKind, pastShapeInput, type Conflict } from "../defineKind";
import { backwards } from "../ends";
import { basePlaces, measurePlace } from "../places";
import { type BridgeReport } from "./definition";

const fromClause: Clause<BridgeReport> = {
  name: "from",
  words: ["from"],
  read: (cursor, _context, report) => {
    Object.assign(report, parseEnds(cursor, parseMoment));
  },
  print: ({ from, to }) => said("from", `${from} to ${to}`, "ends"),
};

function conflicts(report: BridgeReport): Conflict[] {
  const found: Conflict[] = [];
  if (!isFlowMeasure(report))
    found.push(conflict("from", "flowMeasure", "only counts and sums have a bridge"));
  return [...found, ...backwards(report.from, report.to)];
}

export const bridge = defineKind<BridgeReport>({
  words: "bridge",
  tells: "why a level moved",
  isPast: true,
  isRecords: false,
  opens: ["bridge of"],
  begin: (cursor, context) => ({
    kind: "bridge",
    ...parseMeasuredItems(cursor, context),
    from: "",
    to: "",
  }),
  opening: (report, catalog) => [{ text: "bridge of" }, ...measuredPieces(report, catalog)],
  clauses: () => [whereClause, fromClause, stoodClause, shapeClause],
  needed: () => ["from"],
  conflicts,
  places: (report) => [...basePlaces(report), ...measurePlace(report)],
  shapeInput: () => pastShapeInput("bridge"),
  axis: () => null,
});
