import type { AskContext, Catalog } from "../../catalog";
import { WORK_UNITS, type WorkUnit } from "../../definition";
import {
  parseEnds,
  parseItems,
  parseMoment,
  parseThing,
  said,
  shapeClause,
  stoodClause,
  subjectPiece,
  valueText,
  whereClause,
  type Clause,
  type Cursor,
} from "../../sentence";
import { parseDay } from "../../time";
import { oneTeamOf } from "../oneTeam";
import { conflict, defineKind, pastShapeInput, type Conflict } from "../defineKind";
import { backwards } from "../ends";
import { basePlaces, type Place } from "../places";
import { type BurndownReport } from "./definition";

type Of = BurndownReport["of"];

/** "sprint" ( name | "current" [ "of team" name ] ) | "release" name | subject */
function parseOf(cursor: Cursor, context: AskContext): Pick<BurndownReport, "of" | "subject"> {
  const subject = { id: "items" as const };
  const idOf = (thing: "sprint" | "release" | "team"): number => {
    const value = parseThing(cursor, context, thing);
    return value.kind === "thing" ? value.id : 0;
  };
  if (cursor.phrase("sprint", "keyword"))
    return cursor.phrase("current", "value", "current", "begun and not closed")
      ? {
          subject,
          of: {
            kind: "current sprint",
            ...(cursor.phrase("of team", "keyword") ? { team: idOf("team") } : {}),
          },
        }
      : { subject, of: { kind: "sprint", sprint: idOf("sprint") } };
  if (cursor.phrase("release", "keyword"))
    return { subject, of: { kind: "release", release: idOf("release") } };
  return { subject: parseItems(cursor, context), of: { kind: "filter", from: "", to: "" } };
}

export function parseDayHere(cursor: Cursor): string {
  const start = cursor.at;
  const moment = parseMoment(cursor);
  if (parseDay(moment) === null)
    cursor.stop(
      {
        code: "sentence.noDay",
        message: `a burndown runs from a day to a day; "${moment}" is an instant`,
      },
      start,
      start + 1,
    );
  return moment;
}

const fromClause: Clause<BurndownReport> = {
  name: "from",
  words: ["from"],
  read: (cursor, _context, report) => {
    report.of = { kind: "filter", ...parseEnds(cursor, parseDayHere) };
  },
  print: ({ of }) => (of.kind === "filter" ? said("from", `${of.from} to ${of.to}`, "ends") : []),
};

export const unitClause: Clause<{ unit?: WorkUnit }> = {
  name: "in",
  words: ["in"],
  read: (cursor, _context, report) => {
    report.unit = WORK_UNITS.find((unit) => cursor.phrase(unit, "unit")) ?? cursor.unexpected();
  },
  print: ({ unit }) => (unit ? said("in", unit, "unit") : []),
};

const thingText = (thing: "sprint" | "release" | "team", id: number, catalog: Catalog): string =>
  `${thing} ${valueText({ kind: "thing", thing, id }, catalog)}`;

function burnsText(of: Exclude<Of, { kind: "filter" }>, catalog: Catalog): string {
  if (of.kind === "current sprint")
    return `sprint current${of.team === undefined ? "" : ` of ${thingText("team", of.team, catalog)}`}`;
  return of.kind === "sprint"
    ? thingText("sprint", of.sprint, catalog)
    : thingText("release", of.release, catalog);
}

function conflicts({ of, where }: BurndownReport): Conflict[] {
  if (of.kind === "filter") return backwards(of.from, of.to);
  return where
    ? [
        conflict(
          "where",
          "burndownWhere",
          "a sprint or a release burns down whole: conditions belong to a burndown of items",
        ),
      ]
    : [];
}

function thingPlace({ of }: BurndownReport): Place[] {
  if (of.kind === "current sprint" && of.team !== undefined)
    return [{ kind: "thing", path: "team", clause: "", thing: "team", id: of.team, without: null }];
  if (of.kind !== "sprint" && of.kind !== "release") return [];
  const id = of.kind === "sprint" ? of.sprint : of.release;
  return [{ kind: "thing", path: of.kind, clause: "", thing: of.kind, id, without: null }];
}

export const burndown = defineKind<BurndownReport>({
  words: "burndown",
  tells: "how work went down, step by step",
  isPast: true,
  isRecords: false,
  opens: ["burndown of"],
  begin: (cursor, context) => ({ kind: "burndown", ...parseOf(cursor, context) }),
  opening: ({ of, subject }, catalog) => [
    { text: "burndown of" },
    of.kind === "filter"
      ? subjectPiece(subject, catalog)
      : { text: burnsText(of, catalog), part: { area: "burns" } },
  ],
  clauses: ({ of }) => [
    ...(of.kind === "filter" ? [whereClause, fromClause] : []),
    unitClause,
    stoodClause,
    shapeClause,
  ],
  needed: ({ of }) => (of.kind === "filter" ? ["from"] : []),
  conflicts,
  places: (report) => [...basePlaces(report), ...thingPlace(report)],
  heard: (report, where) => {
    const team = report.of.kind === "current sprint" ? oneTeamOf(where) : null;
    return team === null ? null : { ...report, of: { kind: "current sprint", team } };
  },
  shapeInput: () => pastShapeInput("burndown"),
  axis: () => null,
});
