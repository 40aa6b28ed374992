import type { Dress } from "@/core/definition";
import type { Figure, Said } from "@/core/figure";
import type { HistoryAnswer } from "@/core/kinds";
import {
  bridgeTelling,
  burndownTelling,
  crossingsTelling,
  levelTelling,
  velocityTelling,
  budgetTelling,
  sCurveTelling,
} from "@/core/kinds/planned";
import type { Speaking } from "@/core/kinds/speaking";
import type { WorkCalendar } from "@/core/time";

const tellings = {
  level: levelTelling,
  crossings: crossingsTelling,
  bridge: bridgeTelling,
  burndown: burndownTelling,
  velocity: velocityTelling,
  budget: budgetTelling,
  sCurve: sCurveTelling,
};

/** How sentences speak of some records, by the word for several of them. */
export const speakingWith = (words: string, calendar: WorkCalendar): Speaking => ({
  counted: (count) => (String(count) === "1" ? words.replace(/s$/, "") : words),
  calendar,
  day: "24 Nov 2026",
  asks: "nothing",
  which: null,
  flow: null,
  compared: null,
});

/** What is drawn and said of an answer of the past, by its kind. */
export const historyFigure = (answer: HistoryAnswer, dress: Dress): Figure | null =>
  tellings[answer.kind].figure(answer as never, dress);
export const whyBlank = (answer: HistoryAnswer, words: string, calendar: WorkCalendar) =>
  tellings[answer.kind].blank(answer as never, words, calendar);
export function historySays(
  answer: HistoryAnswer,
  words: string,
  calendar: WorkCalendar,
): readonly Said[] {
  const why = whyBlank(answer, words, calendar);
  return why
    ? [{ text: why }]
    : tellings[answer.kind].says(answer as never, speakingWith(words, calendar));
}
