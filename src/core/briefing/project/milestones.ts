import { figure, paragraph, type BriefingPart } from "../part";
import type { Run } from "../text";
import type { ToldRow } from "../told";
import { are, counted, noneOr, shortDay } from "../words";
import { OF } from "./asked";

const ASKED = `list milestones ${OF} showing name, baseline, due, reached, state, slip sorted by due`;
const MOST_ROWS = 12;

const slipOf = (row: ToldRow): number => row.number("slip")?.toNumber() ?? 0;

/** "reached, 2 days early", "overdue, 14 days", "to come, 7 days later". */
function stateWords(row: ToldRow): string {
  const state = row.words("state");
  const slip = slipOf(row);
  if (!state) return "without a date";
  if (slip === 0) return state === "reached" ? "reached on the day" : state;
  const days = counted(Math.abs(slip), "day");
  if (state === "overdue") return `overdue, ${days}`;
  const way = state === "reached" ? (slip > 0 ? "late" : "early") : slip > 0 ? "later" : "earlier";
  return `${state}, ${days} ${way}`;
}

/** What is reached, what is overdue, and what comes next. */
export const milestones: BriefingPart = {
  id: "milestones",
  title: () => "Milestones",
  asks: () => ({ all: ASKED }),
  write({ all }, { today }) {
    const { rows } = all;
    if (rows.length === 0) return [];
    const of = (state: string) => rows.filter((row) => row.value("state") === state);
    const [reached, overdue, coming] = [of("reached"), of("overdue"), of("to come")];
    const told = (key: string, count: number): Run => figure(key, noneOr(count), ASKED);
    const late = overdue.flatMap((row): Run[] => [
      ` ${row.words("name")} was due on ${shortDay(row.day("due")!, today)} and is `,
      figure(`slip ${row.words("name")}`, counted(slipOf(row), "day"), ASKED),
      " behind its first date.",
    ]);
    const next = coming[0];
    const slip = next ? slipOf(next) : 0;
    const day = (row: ToldRow, field: string) => {
      const at = row.day(field);
      return at ? shortDay(at, today) : "";
    };
    return [
      paragraph(
        rows.length === 1 ? "Of 1 milestone, " : `Of ${counted(rows.length, "milestone")}, `,
        told("reached", reached.length),
        ` ${are(reached.length || 1)} reached and `,
        told("overdue", overdue.length),
        ` ${are(overdue.length || 1)} overdue.`,
        ...late,
        ...(next
          ? [
              ` Next: ${next.words("name")} on ${day(next, "due")}`,
              ...(slip > 0
                ? [
                    ", ",
                    figure("next slip", counted(slip, "day"), ASKED),
                    " later than first agreed",
                  ]
                : []),
              ".",
            ]
          : []),
      ),
      {
        kind: "table",
        title: "Milestones",
        says: ASKED,
        columns: ["milestone", "first date", "due", "reached", ""].map((words) => ({
          words,
          align: "left",
        })),
        rows: rows
          .slice(0, MOST_ROWS)
          .map((row) => [
            row.words("name") ?? "",
            day(row, "baseline"),
            day(row, "due"),
            day(row, "reached"),
            stateWords(row),
          ]),
        more: Math.max(0, rows.length - MOST_ROWS),
      },
    ];
  },
};
