import { figure, paragraph, type BriefingPart } from "../part";
import type { Run } from "../text";
import { counted, percentWords, shortDay } from "../words";
import { OF, showing } from "./asked";

const ASKED = showing(
  "status date",
  "actual percent",
  "planned percent",
  "schedule gap",
  "schedule performance index",
);

/** How far it is, and how far it was to be. */
export const progress: BriefingPart = {
  id: "progress",
  title: () => "Progress",
  asks: () => ({ project: ASKED }),
  write({ project }, { today }) {
    const row = project.rows[0];
    const [day, actual] = [row?.day("status date"), row?.number("actual percent")];
    if (!row || !day || !actual) return [];
    const planned = row.number("planned percent");
    const gap = row.number("schedule gap");
    const index = row.number("schedule performance index");
    const behindPlan = (): Run[] => {
      if (!gap) return [];
      if (gap.isZero()) return [": ", figure("schedule gap", "as planned", ASKED)];
      const round = gap.abs().toDecimalPlaces(0);
      const points = round.isZero() ? "under 1 point" : counted(round, "point");
      return [": ", figure("schedule gap", `${points} ${gap.lt(0) ? "behind" : "ahead"}`, ASKED)];
    };
    return [
      paragraph(
        `On ${shortDay(day, today)} `,
        figure("actual percent", percentWords(actual), ASKED),
        " was done",
        ...(planned
          ? [
              ", and ",
              figure("planned percent", percentWords(planned), ASKED),
              " was planned",
              ...behindPlan(),
            ]
          : []),
        ".",
        ...(index
          ? [
              " It does ",
              figure("schedule performance index", percentWords(index.times(100)), ASKED),
              " of what is planned.",
            ]
          : []),
      ),
    ];
  },
};

/** The same, drawn month by month. */
export const progressDrawn: BriefingPart = {
  id: "progress drawn",
  title: () => "Progress, month by month",
  asks: () => ({ project: ASKED }),
  write: ({ project }, { span }) =>
    span &&
    (project.rows[0]?.number("actual percent") ?? project.rows[0]?.number("planned percent"))
      ? [
          {
            kind: "drawing",
            title: "Progress, planned and actual",
            says: `S-curve of progress of projects ${OF} by month for ${span.from} to ${span.to} as S-curve`,
          },
        ]
      : [],
};
