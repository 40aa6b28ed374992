import { strong, type Said } from "../../figure";
import { clockText, dayText, localDay, type WorkCalendar } from "../../time";
import { beforeHistory, type Telling } from "../past";
import type { Speaking } from "../speaking";
import { bareWords, workWords } from "../workWords";
import type { BurndownAnswer } from "./answer";

function blank({ burndown, choices, sprint, span }: BurndownAnswer): string | null {
  if (choices.length) return "Several sprints are running: say which one burns down.";
  if (sprint === null && !span) return "No sprint is running.";
  return burndown?.items === 0 ? "Nothing was ever in it: there is nothing to burn down." : null;
}

/** What began before any history: what was committed then is not known. */
const unknownThen = ({ begins, span, name }: BurndownAnswer, calendar: WorkCalendar): string =>
  beforeHistory(`${name || "This"} begins`, begins, Math.min(begins ?? 0, span!.start), calendar)!;

function says(answer: BurndownAnswer, { calendar }: Speaking): Said[] {
  const { burndown, span, name, unit } = answer;
  const day = (at: number) => dayText(localDay(at, calendar.zone));
  if (!span)
    return [{ text: `${name || "This"} has no dates, so there is nothing to burn down yet.` }];
  if (!burndown && span.start <= answer.asOf) return [{ text: unknownThen(answer, calendar) }];
  if (!burndown)
    return [{ text: `${name} begins on ${day(span.start)}; until then it has no burndown.` }];
  const count = burndown.notEstimated;
  const none = count
    ? ` ${count} of what remains ${count === 1 ? "is" : "are"} not estimated.`
    : "";
  return [
    ...(answer.isLast ? [{ text: `No sprint runs now. Of the last one, ${name}, ` }] : []),
    strong(workWords(burndown.remaining, unit)),
    { text: ` ${burndown.remaining === "1" ? "remains" : "remain"} of ` },
    strong(bareWords(burndown.committed, unit)),
    {
      text: ` committed, as of ${day(burndown.until)}, ${clockText(burndown.until, calendar.zone)}.${none}`,
    },
  ];
}

export const burndownTelling: Telling<BurndownAnswer> = { figure: () => null, says, blank };
