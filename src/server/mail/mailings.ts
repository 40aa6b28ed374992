import type { MailingLine } from "@/contract/mail";
import { isReportTile } from "@/core/definition";
import { printReport, isDrawable } from "@/core/kinds";
import { fine, refused, type Result } from "@/core/base";
import { nextRun, scheduleText, type Schedule } from "@/core/delivery";
import { fileName } from "@/core/exports";

import { clockText, localDay, longDayText, type Instant } from "@/core/time";
import {
  dueMailings,
  hastenMailing,
  loadViewer,
  mailingsOf,
  noteSent,
  putMailing,
  receiversOf,
  removeMailing,
  type EntityManager,
  type MailingRow,
  type Viewer,
} from "@/data";
import type { Clock } from "../clock";
import { loadDashboard } from "../dashboards/dashboards";
import type { Drawer } from "../exports/exportReport";
import { mayBuild } from "../library/kept";
import { loadReport } from "../library/reports";
import { log } from "../log";
import { ownAddress } from "../render/chromium";
import { askFigure } from "../reports/room";
import { deskOf } from "../viewer/viewpoint";
import { SENDER, transport } from "./transport";

export interface MailingToSave {
  readonly id?: number;
  readonly kind: "report" | "dashboard";
  readonly target: number;
  readonly every: Schedule["every"];
  readonly on: number;
  readonly at: string;
  readonly people: readonly number[];
  readonly teams: readonly number[];
  readonly skipEmpty: boolean;
  readonly paper: "A4" | "Letter";
  readonly across: boolean;
}

/** The mailings that one made, or all of them for administrators. */
export async function listMailings(em: EntityManager, viewer: Viewer): Promise<MailingLine[]> {
  const lines = await mailingsOf(em, viewer);
  return lines.map((line) => ({ ...line, says: scheduleText(line.schedule) }));
}

export async function saveMailing(
  em: EntityManager,
  clock: Clock,
  viewer: Viewer,
  given: MailingToSave,
): Promise<Result<number>> {
  if (!mayBuild(viewer))
    return refused({
      code: "mailing.right",
      message: "Members read mailings; ask a builder to make one.",
    });
  if (given.people.length + given.teams.length === 0)
    return refused({
      code: "mailing.nobody",
      message: "Say who it goes to: somebody, or a team.",
      path: "people",
    });
  const target =
    given.kind === "report"
      ? await loadReport(em, viewer, given.target)
      : await loadDashboard(em, viewer, given.target);
  if (!target)
    return refused({ code: "mailing.target", message: "There is no such thing to mail." });
  const { view } = await deskOf(em, viewer, clock);
  const schedule: Schedule = {
    every: given.every,
    on: given.every === "week" ? Math.min(given.on, 7) : given.on,
    at: given.at,
  };
  const id = await putMailing(em, viewer, given.id, {
    kind: given.kind,
    targetId: given.target,
    schedule,
    people: given.people,
    teams: given.teams,
    skipEmpty: given.skipEmpty,
    page: { paper: given.paper, across: given.across },
    nextAt: dateOf(nextRun(schedule, clock.now(), view.calendar)),
  });
  return id === null
    ? refused({ code: "mailing.right", message: "This mailing is somebody else's." })
    : fine(id);
}

const dateOf = (instant: Instant): Date => new Date(instant / 1000);

const theirsOrNone = (isTheirs: boolean): Result<true> =>
  isTheirs
    ? fine(true as const)
    : refused({
        code: "mailing.right",
        message: "There is no such mailing, or it is somebody else's.",
      });

export const dropMailing = async (
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<Result<true>> => theirsOrNone(await removeMailing(em, viewer, id));

/** Has a mailing sent at the next minute, whatever its schedule. */
export const sendSoon = async (
  em: EntityManager,
  clock: Clock,
  viewer: Viewer,
  id: number,
): Promise<Result<true>> => theirsOrNone(await hastenMailing(em, viewer, id, dateOf(clock.now())));

/** Sends every mailing that is due; each receiver gets what they may see themselves. One that fails says why and keeps its schedule. */
export async function sendDue(em: EntityManager, clock: Clock, drawer: Drawer): Promise<number> {
  const due = await dueMailings(em, dateOf(clock.now()));
  for (const mailing of due) {
    const said = await sendOne(em, clock, drawer, mailing).catch((error: Error) => {
      log.error({ error, mailing: mailing.id }, "a mailing failed");
      return "it could not be sent; it is tried again at its next time";
    });
    const owner = await loadViewer(em, mailing.owner);
    const calendar = owner ? (await deskOf(em, owner, clock)).view.calendar : { zone: "UTC" };
    const next = nextRun(mailing.schedule, clock.now(), calendar);
    await noteSent(em, mailing.id, said, dateOf(next));
  }
  return due.length;
}

async function sendOne(
  em: EntityManager,
  clock: Clock,
  drawer: Drawer,
  mailing: MailingRow,
): Promise<string> {
  const receivers = await receiversOf(em, mailing.people, mailing.teams);
  let [sent, empty, unseen] = [0, 0, 0];
  for (const receiver of receivers) {
    const viewer = await loadViewer(em, receiver.id);
    const made = viewer && (await letterFor(em, clock, drawer, mailing, viewer));
    if (!made) unseen += 1;
    else if (made.isEmpty && mailing.skipEmpty) empty += 1;
    else {
      await transport().sendMail({
        from: SENDER,
        to: receiver.email,
        subject: made.subject,
        text: made.text,
        attachments: made.files.map(({ name, bytes }) => ({
          filename: name,
          content: Buffer.from(bytes),
          contentType: "application/pdf",
        })),
      });
      sent += 1;
    }
  }
  return [
    `sent to ${sent}`,
    ...(empty ? [`empty for ${empty}, and skipped`] : []),
    ...(unseen ? [`not theirs to see for ${unseen}`] : []),
    ...(receivers.length ? [] : ["nobody has an address"]),
  ].join("; ");
}

interface Letter {
  readonly subject: string;
  readonly text: string;
  readonly isEmpty: boolean;
  readonly files: readonly { readonly name: string; readonly bytes: Uint8Array }[];
}

/** What one receiver gets: computed for them; null where it is not theirs to see. */
async function letterFor(
  em: EntityManager,
  clock: Clock,
  drawer: Drawer,
  mailing: MailingRow,
  viewer: Viewer,
): Promise<Letter | null> {
  const desk = await deskOf(em, viewer, clock);
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
