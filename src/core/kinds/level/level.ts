import { measures } from "../../measure";
import {
  forClause,
  measuredPieces,
  parseBucketGrain,
  parseMeasuredItems,
  said,
  shapeClause,
  splitClause,
  stoodClause,
  whereClause,
  type Clause,
} from "../../sentence";
import type { Period } from "../../time";
import { defineKind, pastShapeInput } from "../defineKind";
import { basePlaces, groupPlace, measurePlace } from "../places";
import { type LevelReport } from "./definition";
import { levelParts } from "./parts";

/** What stands there until the sentence has said it. */
export const LAST_YEAR: Period = {
  kind: "rolling",
  way: "last",
  count: 12,
  unit: "month",
  toDate: true,
};

const atClause: Clause<LevelReport> = {
  name: "at",
  words: ["at"],
  read: (cursor, _context, report) => {
    report.grain = parseBucketGrain(cursor);
    if (!cursor.phrase("ends")) cursor.unexpected();
  },
  print: ({ grain }) => said("at", `${grain} ends`, "grain"),
};

export const level = defineKind<LevelReport>({
  words: "level",
  tells: "how many at each stretch's end, as it was",
  isPast: true,
  isRecords: false,
  opens: ["level of"],
  begin: (cursor, context) => ({
    kind: "level",
    ...parseMeasuredItems(cursor, context),
    grain: "month",
    period: LAST_YEAR,
  }),
  opening: (report, catalog) => [{ text: "level of" }, ...measuredPieces(report, catalog)],
  clauses: () => [whereClause, atClause, forClause, splitClause, stoodClause, shapeClause],
  needed: () => ["at", "for"],
  conflicts: () => [],
  places: (report) => [
    ...basePlaces(report),
    ...measurePlace(report),
    ...groupPlace(report, "split", "split by"),
  ],
  shapeInput: ({ measure, split }) =>
    pastShapeInput("level", {
      split: split !== undefined,
      additive: measures[measure?.measure ?? "count"].additive,
      hasDays: split?.grain === "day",
    }),
  telling: ({ split }, { path, split: key }) => {
    const bucket = path.length ? levelParts.read(path[0]) : null;
    if (path.length > 1 || (path.length && !bucket) || (key !== undefined && !split)) return null;
    return {
      groups: key === undefined ? [] : [[split!, key]],
      stretch: bucket?.index ?? null,
    };
  },
  axis: ({ grain, period }) => ({ grain, period }),
});
