import {
  parseCount,
  parseThing,
  said,
  shapeClause,
  stoodClause,
  valueText,
  type Clause,
} from "../../sentence";
import { unitClause } from "../burndown/burndown";
import { conflict, defineKind, pastShapeInput } from "../defineKind";
import { oneTeamOf } from "../oneTeam";
import { basePlaces, type Place } from "../places";
import { type VelocityReport } from "./definition";

const lastClause: Clause<VelocityReport> = {
  name: "over last",
  words: ["over last"],
  read: (cursor, _context, report) => {
    report.last = parseCount(cursor, 100);
    if (!cursor.phrase("sprints") && !cursor.phraseLength("sprint")) cursor.unexpected();
  },
  print: ({ last }) => (last ? said("over", `last ${last} sprints`, "last") : []),
};

const teamPlace = ({ team }: VelocityReport): Place[] =>
  team === null
    ? []
    : [{ kind: "thing", path: "team", clause: "", thing: "team", id: team, without: null }];

export const velocity = defineKind<VelocityReport>({
  words: "velocity",
  tells: "what the sprints of a team committed to and finished",
  isPast: true,
  isRecords: false,
  opens: ["velocity of team"],
  begin: (cursor, context) => {
    const isOwn = cursor.phrase("my team", "value", "my team", "whoever is looking");
    const team = isOwn ? null : parseThing(cursor, context, "team");
    return {
      kind: "velocity",
      subject: { id: "items" },
      team: team?.kind === "thing" ? team.id : null,
    };
  },
  opening: ({ team }, catalog) => [
    { text: "velocity of team" },
    {
      text:
        team === null ? "my team" : valueText({ kind: "thing", thing: "team", id: team }, catalog),
      part: { area: "team" },
    },
  ],
  clauses: () => [unitClause, lastClause, stoodClause, shapeClause],
  needed: () => [],
  conflicts: ({ where }) =>
    where
      ? [
          conflict(
            "where",
            "velocityWhere",
            "a velocity is of whole sprints: it takes no conditions",
          ),
        ]
      : [],
  places: (report) => [...basePlaces(report), ...teamPlace(report)],
  heard: (report, where) => {
    const team = oneTeamOf(where);
    return team === null ? null : { ...report, team };
  },
  shapeInput: () => pastShapeInput("velocity"),
  axis: () => null,
});
