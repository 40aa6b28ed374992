import { numberText } from "../../base";
import { comparedWords, strong, type Figure, type FigureRow, type Said } from "../../figure";
import { measureSaid, type Speaking } from "../speaking";
import type { CountAnswer } from "./countAnswer";

/** The sentence under a title, made from the numbers: how much in all, and where most of it is. */
export function figureSays(answer: CountAnswer, figure: Figure, speaking: Speaking): Said[] {
  const isSeveral = answer.measures.length > 1 && figure.measures.length > 1;
  return [
    ...(isSeveral ? severalSaid(answer, figure, speaking) : totalSaid(answer, figure, speaking)),
    ...(isSeveral ? [] : mostSaid(answer, figure)),
    ...unfinishedSaid(figure),
    ...(isSeveral ? [] : changeSaid(figure, speaking)),
    ...(figure.cut > 0 ? [{ text: cutWords(figure) }] : []),
    ...emptiesSaid(answer),
    { text: "." },
  ];
}

/** "On 30 Nov 2026 37 faults were open", "12 faults created 1 to 30 Nov 2026", or a measure over them. */
function totalSaid(
  { measures: [measure], total: [total] }: CountAnswer,
  figure: Figure,
  speaking: Speaking,
): Said[] {
  const { day, asks, flow, which } = speaking;
  const value = strong(figure.total.words);
  if (measure.words !== "count") {
    const { records } = total;
    const open = asks === "open" ? "open " : "";
    const over = `${numberText(records)} ${open}${those(records, speaking)}`;
    const when = flow ? "The" : `On ${day} the`;
    return [{ text: `${when} ${measureSaid(measure)} was ` }, value, { text: `, over ${over}` }];
  }
  const what = those(total.value ?? 0, speaking);
  const were = total.value === "1" ? "was" : "were";
  if (flow) {
    const open = asks === "open" ? ` ${were} open on ${day}` : "";
    return [value, { text: ` ${what}${open}` }];
  }
  if (asks === "nothing" || (asks === "more" && which !== "such"))
    return [{ text: `On ${day} there ${were} ` }, value, { text: ` ${what}` }];
  return [
    { text: `On ${day} ` },
    value,
    { text: ` ${what} ${asks === "open" ? `${were} open` : "matched"}` },
  ];
}

/** "faults", "faults created 1 to 30 Nov 2026 where priority is P1", "such faults". */
function those(count: number | string, { counted, which, flow }: Speaking): string {
  const when = flow ? ` ${flow}` : "";
  if (which === "such") return `such ${counted(count)}${when}`;
  return `${counted(count)}${when}${which ? ` ${which}` : ""}`;
}

/** "Faults on 30 Nov 2026: 12 where created during this month, 88 where status is open". */
function severalSaid({ measures }: CountAnswer, figure: Figure, speaking: Speaking): Said[] {
  const { day, flow, asks } = speaking;
  const what = `${asks === "open" ? "open " : ""}${those(2, speaking)}`;
  const subject = `${what[0].toUpperCase()}${what.slice(1)}`;
  const parts = measures.flatMap((measure, i): Said[] => {
    const isCount = /^count( where |$)/.test(measure.words);
    const value = strong(figure.measures[i].words);
    const own = measure.words.replace(/^count ?/, "");
    const comma = { text: i ? ", " : "" };
    if (isCount) return [comma, value, ...(own ? [{ text: ` ${own}` }] : [{ text: " in all" }])];
    return [comma, { text: `${measureSaid(measure)} ` }, value];
  });
  return [{ text: `${subject}${flow ? "" : ` on ${day}`}: ` }, ...parts].filter(
    (said) => said.text !== "",
  );
}

const lastKey = (row: FigureRow): string => row.path[row.path.length - 1];

/** Where most of it is; nothing where no part stands out, or where parts do not add up. */
function mostSaid({ measures: [measure] }: CountAnswer, figure: Figure): Said[] {
  const rows = figure.rows.filter(
    (row) => row.path.length > 0 && row.value !== null && lastKey(row) !== "r",
  );
  const [first, second] = [...rows].sort((a, b) => b.value! - a.value!);
  if (!measure.additive || !second || first.value === second.value || first.value! <= 0) return [];
  if (figure.isTime)
    return [{ text: "; the most, " }, strong(first.words), { text: `, in ${first.label}` }];
  const of = measure.words === "count" ? "of them" : "of it";
  const where = lastKey(first) === "n" ? "with none set" : `under ${first.label}`;
  return [{ text: "; " }, strong(first.words), { text: ` ${of} ${where}` }];
}

/** Which stretch is not whole: the first may begin late, the last may not be over. */
function unfinishedSaid({ rows }: Figure): Said[] {
  const running = rows.find((row) => row.soFar);
  const clipped = rows.find((row) => row.isClipped);
  return [
    ...(clipped && clipped !== running
      ? [{ text: `; the first stretch counts only ${clipped.label}` }]
      : []),
    ...(running ? [{ text: `; ${running.label} is not over` }] : []),
  ];
}

const changeSaid = ({ total: { change } }: Figure, { compared }: Speaking): Said[] =>
  change === undefined ? [] : [{ text: `; ${comparedWords(change, compared ?? "before")}` }];

/** How many of the groups are drawn, and whether the others are as the rest. */
function cutWords({ rows, cut, aside }: Figure): string {
  const hasRest = aside !== undefined || rows.some((row) => lastKey(row) === "r");
  const drawn = rows.filter((row) => !["r", "n"].includes(lastKey(row))).length;
  return `; the ${drawn} largest of ${numberText(drawn + cut)} groups are drawn${hasRest ? ", all others as the rest" : ""}`;
}

function emptiesSaid({ total: [total] }: CountAnswer): Said[] {
  const { empties = 0, records = 0 } = total ?? {};
  if (empties === 0) return [];
  if (empties === records) return [{ text: "; none of them has a value to measure" }];
  const have = empties === 1 ? "has" : "have";
  return [{ text: `; ${numberText(empties)} of ${numberText(records)} ${have} no value` }];
}
