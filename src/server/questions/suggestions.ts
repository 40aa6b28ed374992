import type { SuggestedLine } from "@/contract/questions";
import { median, numberText } from "@/core/base";
import type { CountReport } from "@/core/kinds";
import { parseSentence, printReport } from "@/core/kinds";
import { pictured } from "@/core/plain";
import { openedReports, type EntityManager } from "@/data";
import { answerCount } from "../reports/answerReport";
import type { Desk } from "../viewer/viewpoint";
import { figureIn } from "./readings";

/** Weeks that tell what is usual, before the one that is looked at. */
const USUAL_WEEKS = 8;
/** What is told as unusual: so many more or fewer than usual, and so many times as many. */
const LEAST_APART = 4;
const LEAST_TIMES = 1.6;
const MOST_UNUSUAL = 2;
const MOST_OPENED = 2;

/** What is looked at week by week. */
const WATCHED = [
  { happened: "came", date: "created", by: "service" },
  { happened: "were finished", date: "finished", by: "team" },
] as const;

/** Questions worth asking today: what was unusual last week, what one asked last, what one's team asks. */
export async function suggestionsOf(em: EntityManager, desk: Desk): Promise<SuggestedLine[]> {
  const unusual: (SuggestedLine & { times: number })[] = [];
  for (const watched of WATCHED) unusual.push(...(await unusualIn(em, desk, watched)));
  const opened = await openedReports(em, desk.viewer, MOST_OPENED);
  const asked: SuggestedLine[] = [];
  for (const { id, name, isOwn, definition } of opened)
    asked.push({
      label: name,
      why: isOwn ? "asked last" : "asked by your team",
      href: `/reports/${id}`,
      figure: await figureIn(em, desk, definition),
    });
  return [
    ...unusual
      .sort((a, b) => b.times - a.times)
      .slice(0, MOST_UNUSUAL)
      .map(({ times: _times, ...line }) => line),
    ...asked,
  ];
}

/** The values of a field of which far more or fewer came last week than is usual: the median of the weeks before. */
async function unusualIn(
  em: EntityManager,
  desk: Desk,
  { happened, date, by }: (typeof WATCHED)[number],
): Promise<(SuggestedLine & { times: number })[]> {
  const { view } = desk;
  const asked = `by week of ${date} for last ${USUAL_WEEKS + 1} full weeks`;
  const parsed = parseSentence(`count items ${asked} split by ${by}`, view);
  if (!parsed.ok) return [];
  const { rows, split } = await answerCount(em, parsed.value as CountReport, view);
  return split.flatMap((head, i) => {
    if (head.kind !== "value") return [];
    const counts = rows.map(({ parts }) => Number(parts[i][0].value ?? 0));
    const last = counts[counts.length - 1];
    const usual = median(counts.slice(0, -1));
    const times = Math.max((last + 1) / (usual + 1), (usual + 1) / (last + 1));
    if (Math.abs(last - usual) < LEAST_APART || times < LEAST_TIMES) return [];
    const one = parseSentence(
      `count items where ${by} is ${JSON.stringify(head.label)} ${asked}`,
      view,
    );
    if (!one.ok) return [];
    const sentence = printReport(pictured(one.value, view), view.catalog);
    return [
      {
        label: `${head.label}: ${numberText(last)} ${happened} last week, usually ${numberText(usual)}`,
        why: "unusual",
        href: `/reports/new?s=${encodeURIComponent(sentence)}`,
        figure: numberText(last),
        times,
      },
    ];
  });
}
