import { numberOfDay } from "../../time";
import { figure, type BriefingPart, type BriefingPlace } from "../part";
import type { Run } from "../text";
import type { Told, ToldRow } from "../told";
import { capital, counted, joinedClauses } from "../words";
import { behind, showing } from "./asked";
import { healthWord, WORDS } from "./word";

const FIELDS = [
  "schedule verdict",
  "cost verdict",
  "health",
  "health week",
  "weeks silent",
  "manager",
  "status date",
  "started",
];

/** What a verdict in time is in words; "finished" ends it all. */
function scheduleClause(row: ToldRow, { today }: BriefingPlace): Run[] | null {
  const says = behind("schedule verdict", "schedule gap", "actual percent", "planned percent");
  const told = (words: string): Run => figure("schedule verdict", words, says);
  switch (row.value("schedule verdict")) {
    case "on time":
      return ["it is ", told("on time")];
    case "at risk":
      return ["it is ", told("at risk"), " of being late"];
    case "late":
      return ["it is ", told("late")];
    case "finished":
      return ["it is ", told("finished")];
    case "no news": {
      const last = row.day("status date") ?? row.day("started");
      if (!last) return null;
      const days = numberOfDay(today) - numberOfDay(last);
      return ["nothing was recorded for ", told(counted(days, "day"))];
    }
    default:
      return null;
  }
}

function costClause(row: ToldRow, isFirst: boolean): Run[] | null {
  const says = behind("cost verdict", "projected cost", "budget", "overrun");
  const told = (words: string): Run => figure("cost verdict", words, says);
  switch (row.value("cost verdict")) {
    case "within budget":
      return [`${isFirst ? "it " : ""}will stay `, told("within its budget")];
    case "tight":
      return ["its budget is ", told("tight")];
    case "over budget":
      return ["it will cost ", told("more than its budget")];
    default:
      return null;
  }
}

function healthClauses(row: ToldRow, words: Told): Run[][] {
  const clauses: Run[][] = [];
  const health = row.words("health");
  const silent = row.number("weeks silent");
  if (health) {
    const said = healthWord(words, row);
    const isManager = !said || said.value("person") === row.value("manager");
    const who = isManager ? "its manager" : (said.words("person") ?? "somebody");
    clauses.push([`${who} calls it `, figure("health", health, WORDS)]);
  }
  if (silent?.gt(0))
    clauses.push([
      "nothing was handed in for ",
      figure("weeks silent", counted(silent, "week"), showing("weeks silent", "health week")),
    ]);
  return clauses;
}

/** How it is in time, in money and in the manager's own word. */
export const verdict: BriefingPart = {
  id: "verdict",
  title: () => "",
  always: "Nothing is known of its schedule, cost or health yet.",
  asks: () => ({ project: showing(...FIELDS), words: WORDS }),
  write({ project, words }, place) {
    const row = project.rows[0];
    if (!row) return [];
    const schedule = scheduleClause(row, place);
    const cost = costClause(row, !schedule);
    const clauses = [schedule, cost, ...healthClauses(row, words)].filter(
      (clause) => clause !== null,
    );
    return clauses.length
      ? [{ kind: "text", runs: [...capital(joinedClauses(clauses)), "."], isLead: true }]
      : [];
  },
};
