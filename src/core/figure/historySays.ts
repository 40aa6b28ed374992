import type { HistoryAnswer } from "../answer";
import { Exact } from "../base";
import { clockText, dayText, localDay, type WorkCalendar } from "../time";
import type { Said } from "./says";
import { valueWords } from "./words";

const strong = (text: string): Said => ({ text, strong: true });

/** Why there is nothing to draw; null where there is. A line at 0 would tell of what is not known, or of what never was. */
export function whyBlank(
  answer: HistoryAnswer,
  words: string,
  calendar: WorkCalendar,
): string | null {
  const before = (what: string, begins: number | null, end: number) =>
    begins === null
      ? "There is no history yet: it begins with the first item."
      : begins >= end
        ? `${what} before any history, which begins on ${dayText(localDay(begins, calendar.zone))}: nothing is known of it.`
        : null;
  const ahead = (rows: readonly { readonly bucket: { readonly start: number } }[]) =>
    rows.length > 0 && rows[0].bucket.start > answer.asOf;
  switch (answer.kind) {
    case "level": {
      const known = answer.rows.flatMap((row) => row.cell ?? []);
      if (known.length === 0)
        return ahead(answer.rows)
          ? "This period has not begun: there is no level yet."
          : before("This period lies", answer.begins, 0);
      return known.every((cell) => cell.records === 0)
        ? `No ${words} matched this at any time in this period.`
        : null;
    }
    case "crossings": {
      const known = answer.rows.flatMap((row) => row.crossing ?? []);
      if (known.length === 0)
        return ahead(answer.rows)
          ? "This period has not begun: nothing has come or gone yet."
          : before("This period lies", answer.begins, 0);
      return known.every(
        (one) => one.arrivals === 0 && one.departures === 0 && Number(one.levelEnd) === 0,
      )
        ? `No ${words} matched this at any time in this period.`
        : null;
    }
    case "bridge":
      return (
        before("Both dates lie", answer.begins, answer.to) ??
        (answer.parts.length === 0 && Number(answer.levelFrom) === 0
          ? `No ${words} matched this at either date.`
          : null)
      );
    case "burndown": {
      const { burndown } = answer;
      return burndown &&
        [burndown.items.open, burndown.items.finished, burndown.items.out].every(
          (list) => list.length === 0,
        )
        ? `Nothing was ever in it: there is nothing to burn down.`
        : null;
    }
    case "velocity":
      return null;
  }
}

/** The sentence under the title of a report of history, made from its numbers; what is not known is said, never drawn as 0. */
export function historySays(answer: HistoryAnswer, words: string, calendar: WorkCalendar): Said[] {
  const why = whyBlank(answer, words, calendar);
  if (why) return [{ text: why }];
  const begins = "begins" in answer && answer.begins !== null ? answer.begins : -Infinity;
  const unknownBefore = (first: number) =>
    begins > first
      ? ` History begins on ${dayText(localDay(begins, calendar.zone))}; before it nothing is known.`
      : "";
  switch (answer.kind) {
    case "level": {
      const known = answer.rows.filter((row) => row.cell);
      const [first, last] = [known[0], known[known.length - 1]];
      const unknown = unknownBefore(answer.rows[0].bucket.start);
      const value = (row: typeof first) => valueWords(row.cell!.value, answer.measure.unit);
      const what =
        answer.measure.words === "count"
          ? ` ${words}`
          : `, the ${answer.measure.words} of ${words}`;
      if (first === last)
        return [strong(value(last)), { text: `${what} at the end of ${last.label}.${unknown}` }];
      return [
        { text: "From " },
        strong(value(first)),
        { text: `${what} at the end of ${first.label} to ` },
        strong(value(last)),
        {
          text: last.bucket.soFar
            ? ` now; ${last.label} is not over.${unknown}`
            : ` at the end of ${last.label}.${unknown}`,
        },
      ];
    }
    case "crossings": {
      const known = answer.rows.filter((row) => row.crossing);
      const sum = (pick: "arrived" | "departed") =>
        valueWords(
          known.reduce((all, row) => all.plus(row.crossing![pick]), new Exact(0)).toFixed(),
          answer.measure.unit,
        );
      const [first, last] = [known[0].crossing!, known[known.length - 1].crossing!];
      return [
        strong(sum("arrived")),
        { text: " came in and " },
        strong(sum("departed")),
        {
          text: ` went out: from ${valueWords(first.levelStart, answer.measure.unit)} to ${valueWords(last.levelEnd, answer.measure.unit)} ${words}.${unknownBefore(answer.rows[0].bucket.start)}`,
        },
      ];
    }
    case "bridge":
      return [
        { text: "From " },
        strong(valueWords(answer.levelFrom, answer.measure.unit)),
        { text: " to " },
        strong(valueWords(answer.levelTo, answer.measure.unit)),
        {
          text: ` ${words}: ${answer.parts.length ? "every part below opens its items." : "nothing moved between them."}${unknownBefore(answer.from)}`,
        },
      ];
    case "burndown": {
      const { burndown, span, name } = answer;
      if (!span)
        return [{ text: `${name || "This"} has no dates, so there is nothing to burn down yet.` }];
      if (!burndown)
        return [
          {
            text: `${name} begins on ${dayText(localDay(span.start, calendar.zone))}; until then it has no burndown.`,
          },
        ];
      const unit = answer.unit === "remaining estimate" ? "minutes" : null;
      const what = answer.unit === "points" ? " points" : answer.unit === "count" ? " items" : "";
      const none = burndown.notEstimated
        ? ` ${burndown.notEstimated} of what remains ${burndown.notEstimated === 1 ? "is" : "are"} not estimated.`
        : "";
      return [
        strong(valueWords(burndown.remaining, unit) + what),
        { text: ` remain of ` },
        strong(valueWords(burndown.committed, unit)),
        {
          text: ` committed, as of ${dayText(localDay(burndown.until, calendar.zone))}, ${clockText(burndown.until, calendar.zone)}.${none}`,
        },
      ];
    }
    case "velocity": {
      if (answer.sprints.length === 0) return [{ text: "No sprint of this team is closed yet." }];
      const finished = answer.sprints.map((sprint) => Number(sprint.finished));
      const mean = finished.reduce((sum, n) => sum + n, 0) / finished.length;
      return [
        { text: "On average " },
        strong(valueWords(String(mean), null)),
        {
          text: ` finished, from ${valueWords(String(Math.min(...finished)), null)} to ${valueWords(String(Math.max(...finished)), null)}, over ${finished.length === 1 ? "one sprint" : `${finished.length} sprints`}.`,
        },
      ];
    }
  }
}
