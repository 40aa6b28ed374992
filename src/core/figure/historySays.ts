import type { HistoryAnswer } from "../answer";
import { Exact } from "../base";
import { clockText, dayText, localDay, type WorkCalendar } from "../time";
import type { Said } from "./says";
import { valueWords } from "./words";

const strong = (text: string): Said => ({ text, strong: true });

/** The sentence under the title of a report of history, made from its numbers; what is not known is said, never drawn as 0. */
export function historySays(answer: HistoryAnswer, words: string, calendar: WorkCalendar): Said[] {
  switch (answer.kind) {
    case "level": {
      const known = answer.rows.filter((row) => row.cell);
      const [first, last] = [known[0], known[known.length - 1]];
      if (!first || !last) return [{ text: "This period has not begun: there is no level yet." }];
      if (answer.since === null) return [{ text: "There is no history yet: it begins with the first item." }];
      const unknown = answer.since > first.bucket.end ? ` History begins on ${dayText(localDay(answer.since, calendar.zone))}; before it nothing is known.` : "";
      const value = (row: typeof first) => valueWords(row.cell!.value, answer.measure.unit);
      const what = answer.measure.words === "count" ? ` ${words}` : `, the ${answer.measure.words} of ${words}`;
      if (first === last) return [strong(value(last)), { text: `${what} at the end of ${last.label}.${unknown}` }];
      return [{ text: "From " }, strong(value(first)), { text: `${what} at the end of ${first.label} to ` }, strong(value(last)), { text: last.bucket.soFar ? ` now; ${last.label} is not over.${unknown}` : ` at the end of ${last.label}.${unknown}` }];
    }
    case "crossings": {
      const known = answer.rows.filter((row) => row.crossing);
      if (known.length === 0) return [{ text: "This period has not begun: nothing has come or gone yet." }];
      const sum = (pick: "arrived" | "departed") => valueWords(known.reduce((all, row) => all.plus(row.crossing![pick]), new Exact(0)).toFixed(), answer.measure.unit);
      const [first, last] = [known[0].crossing!, known[known.length - 1].crossing!];
      return [strong(sum("arrived")), { text: " came in and " }, strong(sum("departed")), { text: ` went out: from ${valueWords(first.levelStart, answer.measure.unit)} to ${valueWords(last.levelEnd, answer.measure.unit)} ${words}.` }];
    }
    case "bridge":
      return [{ text: "From " }, strong(valueWords(answer.levelFrom, answer.measure.unit)), { text: " to " }, strong(valueWords(answer.levelTo, answer.measure.unit)), { text: ` ${words}: ${answer.parts.length ? "every part below opens its items." : "nothing moved between them."}` }];
    case "burndown": {
      const { burndown, span, name } = answer;
      if (!span) return [{ text: `${name || "This"} has no dates, so there is nothing to burn down yet.` }];
      if (!burndown) return [{ text: `${name} begins on ${dayText(localDay(span.start, calendar.zone))}; until then it has no burndown.` }];
      const unit = answer.unit === "remaining estimate" ? "minutes" : null;
      const what = answer.unit === "points" ? " points" : answer.unit === "count" ? " items" : "";
      const none = burndown.notEstimated ? ` ${burndown.notEstimated} of what remains ${burndown.notEstimated === 1 ? "is" : "are"} not estimated.` : "";
      return [strong(valueWords(burndown.remaining, unit) + what), { text: ` remain of ` }, strong(valueWords(burndown.committed, unit)), { text: ` committed, as of ${dayText(localDay(burndown.until, calendar.zone))}, ${clockText(burndown.until, calendar.zone)}.${none}` }];
    }
    case "velocity": {
      if (answer.sprints.length === 0) return [{ text: "No sprint of this team is closed yet." }];
      const finished = answer.sprints.map((sprint) => Number(sprint.finished));
      const mean = finished.reduce((sum, n) => sum + n, 0) / finished.length;
      return [{ text: "On average " }, strong(valueWords(String(mean), null)), { text: ` finished, from ${valueWords(String(Math.min(...finished)), null)} to ${valueWords(String(Math.max(...finished)), null)}, over ${finished.length === 1 ? "one sprint" : `${finished.length} sprints`}.` }];
    }
  }
}
