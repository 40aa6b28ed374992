import {
  answerTile,
  answerWorkings,
  askFigure,
  brandOf,
  checkReport,
  clockText,
  deskOf,
  findPrintJob,
  loadDashboard,
  localDay,
  longDayText,
  newSession,
  sayIn,
  showBriefing,
  sightOf,
  systemClock,
  type Desk,
  type EntityManager,
  type PrintJob,
} from "@/server/web";
import { printReport } from "@/core/kinds";
import { isReportTile } from "@/core/definition";
import { drawingsIn, hereOf } from "@/core/briefing";
import type { BoardPrintFacts, BriefingPrintFacts, PrintFacts } from "@/ui/print";

/** Rows of a list on paper: a hundred pages. */
const MOST_ROWS = 3000;

/** Everything that a page to print shows, for whom it was asked; null when the secret opens nothing. */
export async function loadPrint(
  secret: string,
): Promise<PrintFacts | BoardPrintFacts | BriefingPrintFacts | null> {
  const em = await newSession();
  const found = await findPrintJob(em, secret);
  if (!found) return null;
  const desk = await deskOf(em, found.viewer, systemClock);
  const { job } = found;
  if ("board" in job) return loadBoard(em, desk, job.board);
  return "briefing" in job ? loadBriefing(em, desk, job.briefing) : loadReport(em, desk, job);
}

/** What stands on every printed page: the workspace, for whom it is and what they may see. */
const headOf = async (em: EntityManager, desk: Desk) => ({
  brand: await brandOf(em),
  workspace: desk.workspace.name,
  who: desk.viewer.name,
  sight: sightOf(desk),
});

async function loadReport(
  em: EntityManager,
  desk: Desk,
  job: Extract<PrintJob, { report: unknown }>,
): Promise<PrintFacts | null> {
  const { calendar, now } = desk.view;
  if (checkReport(job.report, desk.view).length) return null;
  const shown = await askFigure(em, desk, job.report, job.dress, MOST_ROWS);
  return {
    ...(await headOf(em, desk)),
    asOf: shown.asOf.includes(" ")
      ? shown.asOf
      : `as of ${longDayText(localDay(now, calendar.zone))}, ${shown.asOf}`,
    sentence: printReport(job.report, desk.view.catalog),
    called: {
      one: desk.view.catalog.countedWords(job.report.subject, 1),
      several: desk.view.catalog.countedWords(job.report.subject, 2),
      all: desk.view.catalog.subjectWords(job.report.subject),
    },
    report: job.report,
    dress: job.dress,
    title: job.title,
    link: job.link,
    shown,
    workings: job.workings
      ? await answerWorkings(em, job.report, desk.view, desk.viewer.name)
      : null,
  };
}

/** A whole dashboard: each tile answered with the rights of whoever asked, narrowed as they saw it. */
async function loadBoard(
  em: EntityManager,
  desk: Desk,
  { id, tiles, says, stood, closed }: Extract<PrintJob, { board: unknown }>["board"],
): Promise<BoardPrintFacts | null> {
  const board = await loadDashboard(em, desk.viewer, id, desk.view);
  if (!board) return null;
  const { calendar, now } = desk.view;
  const answers = await Promise.all(
    board.tiles
      .filter(isReportTile)
      .filter(({ deck }) => deck === undefined || !closed.includes(deck))
      .map(async ({ id: tile, report }) => {
        const asked = { report, stood, ...tiles[tile] };
        return [tile, await answerTile(em, desk, asked).catch(() => null)] as const;
      }),
  );
  return {
    ...(await headOf(em, desk)),
    board,
    answers: Object.fromEntries(answers),
    says,
    closed,
    asOf: stood
      ? `as it stood on ${longDayText(stood)}`
      : `as of ${longDayText(localDay(now, calendar.zone))}, ${clockText(now, calendar.zone)}`,
  };
}

/** A briefing as whoever asked may read it, with what it draws. */
async function loadBriefing(
  em: EntityManager,
  desk: Desk,
  id: number,
): Promise<BriefingPrintFacts | null> {
  const briefing = await showBriefing(em, desk, id).catch(() => null);
  if (!briefing) return null;
  const here = hereOf(briefing);
  const drawn = await Promise.all(
    drawingsIn(briefing.parts.flatMap((part) => part.blocks)).map(
      async (says) => [says, await sayIn(em, desk, { says, here }).catch(() => null)] as const,
    ),
  );
  return { ...(await headOf(em, desk)), briefing, drawn: Object.fromEntries(drawn) };
}
