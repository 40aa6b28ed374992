import {
  forClause,
  measuredPieces,
  parseBucketGrain,
  parseMeasuredItems,
  runningClause,
  said,
  shapeClause,
  stoodClause,
  whereClause,
  type Clause,
  type Cursor,
} from "../../sentence";
import { conflict, defineKind, pastShapeInput } from "../defineKind";
import { LAST_YEAR } from "../level/level";
import { basePlaces, measurePlace } from "../places";
import { BESIDES, type Beside, type CrossingsReport } from "./definition";

const OPENINGS: Readonly<Record<CrossingsReport["which"], string>> = {
  both: "arrivals and departures",
  arrivals: "arrivals",
  departures: "departures",
};

const MEANS: Readonly<Record<Beside, string>> = {
  net: "what came in less what went out",
  level: "how many there were at each end",
};

/** "net" | "level" | both, in their order. */
function parseBesides(cursor: Cursor): Beside[] {
  const said = new Set<Beside>();
  do {
    const found = BESIDES.find((beside) => cursor.phrase(beside, "keyword", beside, MEANS[beside]));
    said.add(found ?? cursor.unexpected());
  } while (cursor.phrase("and", "keyword"));
  return BESIDES.filter((beside) => said.has(beside));
}

const byClause: Clause<CrossingsReport> = {
  name: "by",
  words: ["by", "per"],
  read: (cursor, _context, report) => {
    report.grain = parseBucketGrain(cursor);
  },
  print: ({ grain }) => said("by", grain, "grain"),
};

const withClause: Clause<CrossingsReport> = {
  name: "with",
  words: ["with"],
  read: (cursor, _context, report) => {
    report.beside = parseBesides(cursor);
  },
  print: ({ beside }) => (beside ? said("with", beside.join(" and "), "beside") : []),
};

/** Flows and bridges are of counts and sums: nothing else adds up over what comes and goes. */
export const isFlowMeasure = ({ measure }: Pick<CrossingsReport, "measure">): boolean =>
  !measure || measure.measure === "count" || measure.measure === "sum";

export const crossings = defineKind<CrossingsReport>({
  words: "arrivals and departures",
  tells: "what came in and went out",
  isPast: true,
  isRecords: false,
  opens: ["arrivals and departures of", "arrivals of", "departures of"],
  begin: (cursor, context, opening) => ({
    kind: "crossings",
    which: (["both", "arrivals", "departures"] as const).find(
      (which) => `${OPENINGS[which]} of` === opening,
    )!,
    ...parseMeasuredItems(cursor, context),
    grain: "month",
    period: LAST_YEAR,
  }),
  opening: (report, catalog) => [
    { text: OPENINGS[report.which], part: { area: "which" } },
    { text: "of" },
    ...measuredPieces(report, catalog),
  ],
  clauses: () => [
    whereClause,
    byClause,
    forClause,
    runningClause,
    withClause,
    stoodClause,
    shapeClause,
  ],
  needed: () => ["by", "for"],
  conflicts: (report) => [
    ...(isFlowMeasure(report)
      ? []
      : [
          conflict(
            "by",
            "flowMeasure",
            "only counts and sums arrive and depart",
            "take a level for other measures",
          ),
        ]),
    ...(report.beside?.includes("net") && report.which !== "both"
      ? [
          conflict(
            "with",
            "net",
            "net is what came in less what went out, and this has only one of them",
            "take arrivals and departures",
          ),
        ]
      : []),
  ],
  places: (report) => [...basePlaces(report), ...measurePlace(report)],
  shapeInput: ({ beside }) => pastShapeInput("crossings", { beside: beside !== undefined }),
  axis: ({ grain, period }) => ({ grain, period }),
});
