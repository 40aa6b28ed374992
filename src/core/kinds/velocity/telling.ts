import { strong, valueWords, type Said } from "../../figure";
import type { Telling } from "../past";
import type { VelocityAnswer } from "./answer";
import { velocityFigure } from "./figure";

function says({ sprints }: VelocityAnswer): Said[] {
  if (sprints.length === 0) return [{ text: "No sprint of this team is closed yet." }];
  const finished = sprints.map((sprint) => Number(sprint.finished));
  const words = (value: number) => valueWords(String(value), null);
  const mean = finished.reduce((sum, n) => sum + n, 0) / finished.length;
  const over = finished.length === 1 ? "one sprint" : `${finished.length} sprints`;
  return [
    { text: "On average " },
    strong(words(mean)),
    {
      text: ` finished, from ${words(Math.min(...finished))} to ${words(Math.max(...finished))}, over ${over}.`,
    },
  ];
}

export const velocityTelling: Telling<VelocityAnswer> = {
  figure: velocityFigure,
  says,
  blank: () => null,
};
