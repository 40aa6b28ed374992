import type { NearLine, QuestionRead, ReadingLine } from "@/contract/questions";
import { numberText } from "@/core/base";
import { PLAIN_DRESS } from "@/core/definition";
import { checkReport, isDrawable, offersOf, printReport, type Report } from "@/core/kinds";
import { nearTo, pictured, readQuestion, type Reading } from "@/core/plain";
import type { EntityManager } from "@/data";
import { taughtTo } from "./words";
import { findTwins, sentencesAbout } from "../library/reports";
import { asRefused, Refused } from "../refused";
import { askFigure } from "../reports/room";
import type { Desk } from "../viewer/viewpoint";

/** How many readings are counted: the others are told without a figure. */
const MOST_COUNTED = 4;
/** How many questions are offered where nothing was understood. */
const MOST_OFFERS = 3;

/**
 * The readings of a question, what else could be asked, and what asks it already.
 * @param isCounted with what each of them comes to
 */
export async function readingsOf(
  em: EntityManager,
  desk: Desk,
  question: string,
  isCounted = true,
): Promise<QuestionRead> {
  const { view, viewer } = desk;
  const figureOf = (report: Report) => (isCounted ? figureIn(em, desk, report) : null);
  const read = readQuestion(question, view, await taughtTo(em, desk));
  const readings = await rankedByUse(em, desk, read);
  const lines: ReadingLine[] = [];
  const inWords = (report: Report) => printReport(pictured(report, view), view.catalog);
  for (const [i, { reading, reports }] of readings.entries()) {
    const { text, report, sentence, uses, isSure, doubts, chose } = reading;
    lines.push({
      text,
      report: pictured(report, view),
      sentence,
      pictured: inWords(report),
      uses,
      isSure,
      doubts,
      chose,
      reports,
      figure: i < MOST_COUNTED ? await figureOf(report) : null,
    });
  }
  const best = readings[0]?.reading;
  const near: NearLine[] = [];
  const others = best
    ? nearTo(best.report, view)
    : offersOf({ id: "items" }, view)
        .slice(0, MOST_OFFERS)
        .map((report) => ({ label: printReport(report, view.catalog), report }));
  for (const { label, report } of others)
    near.push({
      label,
      pictured: inWords(report),
      figure: await figureOf(report),
    });
  if (!best) return { readings: [], near, there: [] };
  const there = await findTwins(em, viewer, view.catalog, best.report, null);
  return { readings: lines, near, there };
}

interface Ranked {
  readonly reading: Reading;
  /** How many reports say what its words were taken for. */
  readonly reports: number;
}

/** What could be several things is first what this workspace's reports say most often; otherwise the order stands. */
async function rankedByUse(
  em: EntityManager,
  { view: { catalog }, viewer }: Desk,
  readings: readonly Reading[],
): Promise<readonly Ranked[]> {
  if (readings.length < 2) return readings.map((reading) => ({ reading, reports: 0 }));
  const said = await sentencesAbout(em, viewer, catalog, readings[0].report.subject);
  const reportsSaying = ({ chose }: Reading) =>
    said.filter((sentence) => chose.every(({ means }) => sayingIt(means)(sentence))).length;
  return readings
    .map((reading) => ({ reading, reports: reportsSaying(reading) }))
    .sort((a, b) => b.reports - a.reports);
}

/** Whether a sentence says a condition, and not one that only begins like it. */
const sayingIt = (means: string) => (sentence: string) => {
  const at = sentence.indexOf(means);
  return at !== -1 && !/[\p{L}\p{N}]/u.test(sentence.charAt(at + means.length));
};

/** What a report comes to in a word: its total, or how many records it lists. */
export async function figureIn(
  em: EntityManager,
  desk: Desk,
  report: Report,
): Promise<string | null> {
  if (checkReport(report, desk.view).length) return null;
  try {
    const shown = await askFigure(em, desk, report, PLAIN_DRESS);
    if (!isDrawable(shown)) return numberText(shown.records.count);
    return shown.kind === "count" ? shown.figure.total.words : null;
  } catch (error) {
    if (asRefused(error) instanceof Refused) return null;
    throw error;
  }
}
