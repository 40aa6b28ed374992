import { isReportTile } from "@/core/definition";
import { printReport, isDrawable } from "@/core/kinds";
import { scheduleText } from "@/core/delivery";
import { fileName } from "@/core/exports";
import { clockText, localDay, longDayText } from "@/core/time";
import { type EntityManager, type MailingRow, type Viewer } from "@/data";
import type { Clock } from "../clock";
import { loadDashboard } from "../dashboards/dashboards";
import type { Drawer } from "../render/drawer";
import { loadReport } from "../library/reports";
import { ownAddress } from "../render/chromium";
import { askFigure } from "../reports/room";
import { briefingText, showBriefing } from "../briefings/briefings";
import { mayReadBriefing } from "../briefings/rights";
import { deskOf, type Desk } from "../viewer/viewpoint";

export interface Letter {
  readonly subject: string;
  readonly text: string;
  readonly isEmpty: boolean;
  readonly files: readonly { readonly name: string; readonly bytes: Uint8Array }[];
}

/** A briefing as its receiver reads it, in plain text and on paper, with the way to the page; null where it is not theirs to see. */
async function briefingLetter(
  em: EntityManager,
  desk: Desk,
  drawer: Drawer,
  { targetId, schedule, page, skipEmpty }: MailingRow,
): Promise<Letter | null> {
  if (!(await mayReadBriefing(em, desk, targetId))) return null;
  const briefing = await showBriefing(em, desk, targetId);
  const { title } = briefing;
  const isEmpty = briefing.parts.length === 0;
  const paper = () => drawer.drawBriefing({ id: targetId, title, page }, desk.viewer.person);
  const day = longDayText(localDay(desk.view.now, desk.view.calendar.zone));
  return {
    subject: `${title}, ${day}`,
    text: [
      briefingText(briefing),
      `${ownAddress()}/briefings/${targetId}`,
      `You get this ${scheduleText(schedule)}.`,
    ].join("\n"),
    isEmpty,
    files: isEmpty && skipEmpty ? [] : [{ name: fileName(title, "pdf"), bytes: await paper() }],
  };
}

/** What one receiver gets: computed for them; null where it is not theirs to see. */
export async function letterFor(
  em: EntityManager,
  clock: Clock,
  drawer: Drawer,
  mailing: MailingRow,
  viewer: Viewer,
): Promise<Letter | null> {
  const desk = await deskOf(em, viewer, clock);
  if (mailing.kind === "briefing") return briefingLetter(em, desk, drawer, mailing);
  const { calendar } = desk.view;
  const reports =
    mailing.kind === "report"
      ? [mailing.targetId]
      : ((await loadDashboard(em, viewer, mailing.targetId))?.tiles
          .filter(isReportTile)
          .map((tile) => tile.report) ?? []);
  const kept = (await Promise.all(reports.map((id) => loadReport(em, viewer, id)))).filter(
    (report) => report !== null,
  );
  if (kept.length === 0) return null;
  const name =
    mailing.kind === "report"
      ? kept[0].name
      : (await loadDashboard(em, viewer, mailing.targetId))!.name;
  const day = longDayText(localDay(desk.view.now, calendar.zone));
  let isEmpty = true;
  const [lines, files]: [string[], { name: string; bytes: Uint8Array }[]] = [[], []];
  for (const report of kept) {
    const shown = await askFigure(em, desk, report.definition, report.dress);
    const records =
      shown.kind === "count"
        ? shown.answer.total[0].records
        : !isDrawable(shown)
          ? shown.records.count
          : 1;
    if (records > 0) isEmpty = false;
    const title = report.dress.title ?? report.name;
    lines.push(
      title,
      printReport(report.definition, desk.view.catalog),
      !isDrawable(shown)
        ? `${shown.records.count} records`
        : shown.says.map((said) => said.text).join(""),
      `${ownAddress()}/reports/${report.id}`,
      "",
    );
    if (records > 0 || !mailing.skipEmpty)
      files.push({
        name: fileName(title, "pdf"),
        bytes: await drawer.draw(
          {
            report: report.definition,
            dress: report.dress,
            title,
            link: `/reports/${report.id}`,
            page: mailing.page,
          },
          "pdf",
          viewer.person,
        ),
      });
  }
  const text = [
    `As of ${day}, ${clockText(desk.view.now, calendar.zone)}, for ${viewer.name}.`,
    "",
    ...lines,
    `You get this ${scheduleText(mailing.schedule)}.`,
  ].join("\n");
  return { subject: `${name}, ${day}`, text, isEmpty, files };
}
