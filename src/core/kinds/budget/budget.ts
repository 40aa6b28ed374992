import {
  parseEnds,
  parseSubject,
  said,
  shapeClause,
  stoodClause,
  subjectPiece,
  whereClause,
  type Clause,
} from "../../sentence";
import { parseDayHere } from "../burndown/burndown";
import { conflict, defineKind, pastShapeInput } from "../defineKind";
import { backwards } from "../ends";
import { basePlaces } from "../places";
import type { BudgetReport } from "./definition";

const fromClause: Clause<BudgetReport> = {
  name: "from",
  words: ["from"],
  read: (cursor, _context, report) => {
    report.ends = parseEnds(cursor, parseDayHere);
  },
  print: ({ ends }) => (ends ? said("from", `${ends.from} to ${ends.to}`, "ends") : []),
};

export const budget = defineKind<BudgetReport>({
  words: "burndown of a budget",
  tells: "how budgets went down",
  isPast: false,
  isRecords: false,
  opens: ["burndown of budget of"],
  begin: (cursor, context) => ({ kind: "budget", subject: parseSubject(cursor, context) }),
  opening: ({ subject }, catalog) => [
    { text: "burndown of budget of" },
    subjectPiece(subject, catalog),
  ],
  clauses: () => [whereClause, fromClause, stoodClause, shapeClause],
  needed: () => [],
  conflicts: ({ subject, ends }) => [
    ...(subject.id === "projects"
      ? []
      : [conflict("", "ofProjects", "only projects have plans and budgets")]),
    ...(ends ? backwards(ends.from, ends.to) : []),
  ],
  places: basePlaces,
  shapeInput: () => pastShapeInput("budget"),
  axis: () => null,
});
