import {
  forClause,
  parseBucketGrain,
  parseSubject,
  said,
  shapeClause,
  stoodClause,
  subjectPiece,
  whereClause,
  type Clause,
  type Cursor,
} from "../../sentence";
import { conflict, defineKind, pastShapeInput } from "../defineKind";
import { basePlaces } from "../places";
import type { Period } from "../../time";
import { CURVES, type Curve, type SCurveReport } from "./definition";
import { sCurveParts } from "./parts";

/** What stands there until the sentence has said it. */
const THIS_YEAR: Period = { kind: "unit", which: "this", unit: "year" };

const byClause: Clause<SCurveReport> = {
  name: "by",
  words: ["by"],
  read: (cursor, _context, report) => {
    report.grain = parseBucketGrain(cursor);
  },
  print: ({ grain }) => said("by", grain, "grain"),
};

const parseCurve = (cursor: Cursor): Curve =>
  CURVES.find((of) => cursor.phrase(of, "keyword")) ?? cursor.unexpected();

export const sCurve = defineKind<SCurveReport>({
  words: "S-curve",
  tells: "how something grew against its plan",
  isPast: false,
  isRecords: false,
  opens: ["S-curve of"],
  begin: (cursor, context) => {
    const of = parseCurve(cursor);
    if (!cursor.phrase("of", "keyword")) cursor.unexpected();
    return {
      kind: "sCurve",
      of,
      subject: parseSubject(cursor, context),
      grain: "month",
      period: THIS_YEAR,
    };
  },
  opening: ({ of, subject }, catalog) => [
    { text: "S-curve of" },
    { text: of, part: { area: "curve" } },
    { text: "of" },
    subjectPiece(subject, catalog),
  ],
  clauses: () => [whereClause, byClause, forClause, stoodClause, shapeClause],
  needed: () => ["by", "for"],
  conflicts: ({ subject }) =>
    subject.id === "projects"
      ? []
      : [conflict("", "ofProjects", "only projects have plans and budgets")],
  places: basePlaces,
  shapeInput: () => pastShapeInput("sCurve"),
  telling: (_report, { path, split }) => {
    const bucket = path.length ? sCurveParts.read(path[0]) : null;
    return path.length > 1 || (path.length && !bucket) || split !== undefined
      ? null
      : { groups: [], stretch: bucket?.index ?? null };
  },
  axis: ({ grain, period }) => ({ grain, period }),
});
