import { strong, valueWords } from "../../figure";
import { beforeHistory, unknownBefore, type Telling } from "../past";
import type { BridgeAnswer } from "./answer";

export const bridgeTelling: Telling<BridgeAnswer> = {
  figure: () => null,
  blank: ({ begins, to, parts, levelFrom }, words, calendar) =>
    beforeHistory("Both dates lie", begins, to, calendar) ??
    (parts.length === 0 && Number(levelFrom) === 0
      ? `No ${words} matched this at either date.`
      : null),
  says: ({ levelFrom, levelTo, measure, parts, begins, from }, words, calendar) => [
    { text: "From " },
    strong(valueWords(levelFrom, measure.unit)),
    { text: " to " },
    strong(valueWords(levelTo, measure.unit)),
    {
      text: ` ${words}: ${parts.length ? "every part below opens its items." : "nothing moved between them."}${unknownBefore(begins, from, calendar)}`,
    },
  ],
};
