import { Exact } from "../base";
import { CAUSES } from "../history";
import type { HistoryAnswer } from "./historyAnswer";

const signed = (amount: string, what: string): string =>
  new Exact(amount).isNegative()
    ? ` − ${new Exact(amount).abs().toFixed()} ${what}`
    : ` + ${new Exact(amount).toFixed()} ${what}`;
const negated = (amount: string): string => new Exact(amount).neg().toFixed();

/** The identity that holds for the figures of an answer, with these in it; null where there is none, or nothing known. */
export function addsUp(answer: HistoryAnswer): string | null {
  switch (answer.kind) {
    case "crossings": {
      const known = answer.rows.flatMap(({ crossing }) => crossing ?? []);
      if (known.length === 0) return null;
      const sum = (pick: "arrived" | "departed" | "revalued") =>
        known.reduce((all, one) => all.plus(one[pick]), new Exact(0)).toFixed();
      const revalued = answer.measure.words === "count" ? "" : signed(sum("revalued"), "revalued");
      return `${known[0].levelStart} at the start + ${sum("arrived")} arrived − ${sum("departed")} departed${revalued} = ${known[known.length - 1].levelEnd} at the end; in each stretch, too`;
    }
    case "bridge":
      return `${answer.levelFrom} at the first${answer.parts.map(({ amount, cause, fields }) => signed(amount, fields.length ? `${cause}: ${fields.join(", ")}` : cause)).join("")} = ${answer.levelTo} at the second`;
    case "burndown": {
      const { burndown } = answer;
      if (!burndown) return null;
      return `${burndown.committed} committed${CAUSES.map((cause) => signed(cause === "removed" || cause === "finished" ? negated(burndown.totals[cause]) : burndown.totals[cause], cause)).join("")} = ${burndown.remaining} remaining`;
    }
    default:
      return null;
  }
}
