import { strong, type Said } from "../../figure";
import type { Telling } from "../past";
import { bareWords, workWords } from "../workWords";
import type { VelocityAnswer } from "./answer";
import { velocityFigure } from "./figure";

function says({ sprints, unit }: VelocityAnswer): Said[] {
  const finished = sprints.map((sprint) => Number(sprint.finished));
  const mean = finished.reduce((sum, n) => sum + n, 0) / finished.length;
  const over = finished.length === 1 ? "one sprint" : `${finished.length} sprints`;
  const [least, most] = [Math.min(...finished), Math.max(...finished)];
  const range =
    least === most ? "" : `, from ${bareWords(least, unit)} to ${bareWords(most, unit)}`;
  return [
    { text: "On average " },
    strong(workWords(mean, unit)),
    { text: ` finished${range}, over ${over}.` },
  ];
}

export const velocityTelling: Telling<VelocityAnswer> = {
  figure: velocityFigure,
  says,
  blank: ({ sprints }) => (sprints.length ? null : "No sprint of this team is closed yet."),
};
