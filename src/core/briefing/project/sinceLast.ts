import { Exact } from "../../base";
import { figure, MONEY_HIDDEN, paragraph, type BriefingPart } from "../part";
import type { Run } from "../text";
import { capital, joinedClauses, moneyWords, spokenDay } from "../words";
import { showing } from "./asked";

const ASKED = showing("schedule verdict", "cost verdict", "projected cost", "actual cost");
const CENT = new Exact("0.01");

/** What has changed since the last briefing that was frozen, or since the end of the month before. */
export const sinceLast: BriefingPart = {
  id: "since",
  title: ({ since, today }) => `Since ${spokenDay(since, today)}`,
  always: "Nothing has changed.",
  asks: ({ since }) => ({ now: ASKED, then: `${ASKED} as it stood on ${since}` }),
  write({ now, then }, { currency }) {
    const [present, past] = [now.rows[0], then.rows[0]];
    if (!present || !past) return [];
    const verdicts = [
      ["schedule verdict", "schedule"],
      ["cost verdict", "cost"],
    ].flatMap(([field, called]) => {
      const [to, from] = [present.words(field), past.words(field)];
      return to && from && to !== from ? [{ field, called, to, from }] : [];
    });
    const gone = verdicts.map(({ field, called, to, from }, i): Run[] => [
      `the ${called} ${i === 0 ? "has gone " : ""}from `,
      figure(`${field} then`, from, then.says),
      " to ",
      figure(field, to, now.says),
    ]);
    const [projected, before] = [present.number("projected cost"), past.number("projected cost")];
    const change = projected && before ? projected.minus(before) : null;
    const risen: Run[] =
      change && projected && change.abs().gte(CENT)
        ? [
            `the projected cost has ${change.gt(0) ? "risen" : "fallen"} by `,
            figure("projected change", moneyWords(change.abs(), currency), now.says),
            " to ",
            figure("projected cost", moneyWords(projected, currency), now.says),
          ]
        : [];
    const isOfCost = verdicts.at(-1)?.field === "cost verdict";
    const runs: Run[] = [];
    if (gone.length) runs.push(...capital(joinedClauses(gone)));
    if (risen.length)
      runs.push(...(isOfCost ? [": ", ...risen] : [gone.length ? ". " : "", ...capital(risen)]));
    if (runs.length) runs.push(". ");
    const [actual, was] = [present.number("actual cost"), past.number("actual cost")];
    const added = actual && was ? actual.minus(was) : null;
    if (added && added.abs().gte(CENT))
      runs.push(
        figure("actual change", moneyWords(added.abs(), currency), now.says),
        ` was ${added.gt(0) ? "added to" : "taken from"} the actual cost.`,
      );
    return [
      ...(runs.length ? [paragraph(...runs)] : []),
      ...(present.hidesMoney ? [MONEY_HIDDEN] : []),
    ];
  },
};
