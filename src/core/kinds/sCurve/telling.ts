import { Exact, numberText } from "../../base";
import { strong, type Said } from "../../figure";
import type { Telling } from "../past";
import type { SCurveAnswer } from "./answer";
import { sCurveFigure } from "./figure";

const money = (value: string | null | undefined): string =>
  value == null ? "–" : numberText(new Exact(value), 2);
const percent = (value: string | null | undefined): string =>
  value == null ? "–" : `${numberText(new Exact(value), 1)} %`;

function blank({ projects, asked, of }: SCurveAnswer, words: string): string | null {
  if (asked === 0) return `No ${words} matched this.`;
  if (projects > 0) return null;
  return of === "progress"
    ? "None of them has planned percents: progress.csv gives them, with a budget to weigh several."
    : "None of them has a budget and both percents: what is earned cannot be told.";
}

/** Who takes no part, where not all do. */
const leftOut = ({ projects, asked, of }: SCurveAnswer): string =>
  asked > projects
    ? ` ${asked - projects} of ${asked} ${asked - projects === 1 ? "takes" : "take"} no part, without ${of === "progress" ? "planned percents or a budget" : "a budget over 0 and both percents"}.`
    : "";

function costSays({ rows }: SCurveAnswer): Said[] {
  const now = [...rows].reverse().find((row) => row.at.actual != null);
  const end = rows[rows.length - 1];
  if (!now)
    return [{ text: "Planned until " }, strong(end.label), { text: `: ${money(end.at.planned)}.` }];
  const spent = [strong(money(now.at.actual)), { text: ` spent until ${untilWords(now)}` }];
  const plan =
    now.at.planned == null
      ? []
      : [{ text: `, ${money(now.at.planned)} planned until the end of ${now.label}` }];
  const projected =
    end.at.projected == null
      ? []
      : [
          { text: "; it will come to " },
          strong(money(end.at.projected)),
          { text: ` by ${end.label}` },
        ];
  return [...spent, ...plan, ...projected, { text: "." }];
}

const untilWords = ({ bucket, label }: SCurveAnswer["rows"][number]): string =>
  bucket.soFar ? "now" : `the end of ${label}`;

function progressSays(answer: SCurveAnswer): Said[] {
  const now = [...answer.rows].reverse().find((row) => row.at.actual != null);
  if (!now) return [{ text: `Nothing was to be done in it yet.${leftOut(answer)}` }];
  return [
    strong(percent(now.at.actual)),
    { text: " is done, " },
    strong(percent(now.at.planned)),
    { text: ` is planned until the end of ${now.label}.${leftOut(answer)}` },
  ];
}

function earnedSays(answer: SCurveAnswer): Said[] {
  const now = [...answer.rows].reverse().find((row) => row.at.earnedValue != null);
  if (!now) return [{ text: `Nothing is earned yet.${leftOut(answer)}` }];
  return [
    { text: "What is done is worth " },
    strong(money(now.at.earnedValue)),
    { text: `; ${money(now.at.actualCost)} was spent for it, and ` },
    { text: `${money(now.at.plannedValue)} was planned until the end of ${now.label}.` },
    { text: leftOut(answer) },
  ];
}

export const sCurveTelling: Telling<SCurveAnswer> = {
  figure: sCurveFigure,
  says: (answer) =>
    answer.of === "cost"
      ? costSays(answer)
      : answer.of === "progress"
        ? progressSays(answer)
        : earnedSays(answer),
  blank,
};
