import {
  answerWorkings,
  askFigure,
  brandOf,
  checkReport,
  deskOf,
  findPrintJob,
  localDay,
  longDayText,
  newSession,
  roomFacts,
  sightOf,
  systemClock,
} from "@/server/web";
import type { PrintFacts } from "@/ui/print";

/** Rows of a list on paper: a hundred pages. */
const MOST_ROWS = 3000;

/** Everything that a page to print shows, for whom it was asked; null when the secret opens nothing. */
export async function loadPrint(secret: string): Promise<PrintFacts | null> {
  const em = await newSession();
  const found = await findPrintJob(em, secret);
  if (!found) return null;
  const desk = await deskOf(em, found.viewer, systemClock);
  const { job } = found;
  const { calendar, now } = desk.view;
  if (checkReport(job.report, desk.view).length) return null;
  const shown = await askFigure(em, desk, job.report, job.dress, MOST_ROWS);
  return {
    asOf: shown.asOf.includes(" ")
      ? shown.asOf
      : `as of ${longDayText(localDay(now, calendar.zone))}, ${shown.asOf}`,
    facts: roomFacts(desk),
    brand: await brandOf(em),
    workspace: desk.workspace.name,
    who: desk.viewer.name,
    sight: sightOf(desk),
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
