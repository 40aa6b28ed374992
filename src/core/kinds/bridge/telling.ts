import { numberText } from "../../base";
import { strong, valueWords, type Said } from "../../figure";
import { beforeHistory, unknownBefore, type Telling } from "../past";
import { measureSaid, type Speaking } from "../speaking";
import type { BridgeAnswer } from "./answer";

function says(
  { levelFrom, levelTo, measure, parts, begins, from, inAll }: BridgeAnswer,
  { counted, calendar }: Speaking,
): Said[] {
  const isCount = measure.words === "count";
  const what = isCount ? ` ${counted(levelTo ?? 0)}` : "";
  const flows = inAll
    ? ` In all ${numberText(inAll.arrivals)} came in and ${numberText(inAll.departures)} went out between them.`
    : "";
  return [
    { text: isCount ? "From " : `The ${measureSaid(measure)} of ${counted(2)}: from ` },
    strong(valueWords(levelFrom, measure.unit)),
    { text: " to " },
    strong(valueWords(levelTo, measure.unit)),
    {
      text: `${what}; ${parts.length ? "every part opens its items" : "nothing moved between them"}.${flows}${unknownBefore(begins, from, calendar)}`,
    },
  ];
}

export const bridgeTelling: Telling<BridgeAnswer> = {
  figure: () => null,
  blank: ({ begins, to, parts, levelFrom }, words, calendar) =>
    beforeHistory("Both dates lie", begins, to, calendar) ??
    (parts.length === 0 && Number(levelFrom) === 0
      ? `No ${words} matched this at either date.`
      : null),
  says,
};
