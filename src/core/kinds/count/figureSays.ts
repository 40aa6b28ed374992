import type { Figure, Said } from "../../figure";
import type { CountAnswer } from "./countAnswer";

/** How many of the groups are drawn, and whether the others are as the rest. */
function cutWords({ rows, cut }: Figure): string {
  const hasRest = rows.some((row) => row.path[row.path.length - 1] === "r");
  const drawn = rows.filter((row) => !["r", "n"].includes(row.path[row.path.length - 1])).length;
  return `; the ${drawn} largest of ${drawn + cut} groups are drawn${hasRest ? ", all others as the rest" : ""}`;
}

/** The sentence under a title, made from the numbers: how much in all, and where most of it is. */
export function figureSays(
  answer: CountAnswer,
  figure: Figure,
  words: { readonly counted: string; readonly date: string; readonly compared?: string },
): Said[] {
  const [measure] = answer.measures;
  const said: Said[] = [{ text: `On ${words.date} ` }];
  if (measure.words === "count")
    said.push({ text: figure.total.words, strong: true }, { text: ` ${words.counted}` });
  else
    said.push(
      { text: `the ${measure.words} was ` },
      { text: figure.total.words, strong: true },
      { text: ` over ${answer.total[0].records} ${words.counted}` },
    );
  const largest =
    measure.additive && !figure.isTime
      ? figure.rows
          .filter((row) => row.value !== null && row.path[row.path.length - 1] !== "r")
          .sort((a, b) => b.value! - a.value!)[0]
      : undefined;
  if (largest && figure.rows.length > 1 && largest.value! > 0)
    said.push(
      { text: "; " },
      { text: largest.words, strong: true },
      { text: ` of them ${largest.label}` },
    );
  const running = figure.rows.find((row) => row.soFar);
  if (running) said.push({ text: `; ${running.label} is not over` });
  if (figure.total.change !== undefined)
    said.push(
      { text: "; " },
      { text: figure.total.change, strong: true },
      { text: ` than ${words.compared ?? "before"}` },
    );
  if (figure.cut > 0) said.push({ text: cutWords(figure) });
  const empties = answer.total[0]?.empties ?? 0;
  if (empties > 0 && empties === answer.total[0].records)
    said.push({ text: `; none of them has a value to measure` });
  else if (empties > 0)
    said.push({ text: `; ${empties} of ${answer.total[0].records} have no value` });
  said.push({ text: "." });
  return said;
}
