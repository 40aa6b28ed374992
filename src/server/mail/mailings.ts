import type { MailedKind, MailingLine } from "@/contract/mail";
import { fine, refused, type Result } from "@/core/base";
import { nextRun, scheduleText, type Schedule } from "@/core/delivery";

import type { Instant } from "@/core/time";
import {
  dueMailings,
  hastenMailing,
  loadBriefing,
  loadViewer,
  mailingsOf,
  openSlot,
  putMailing,
  removeMailing,
  type EntityManager,
  type Viewer,
} from "@/data";
import type { Clock } from "../clock";
import { loadDashboard } from "../dashboards/dashboards";
import type { Drawer } from "../render/drawer";
import { mayMail, mayRead } from "../briefings/rights";
import { deliverAll, lastWords } from "./deliver";
import { mayBuild } from "../library/kept";
import { loadReport } from "../library/reports";
import { deskOf, type Desk } from "../viewer/viewpoint";

export interface MailingToSave {
  readonly id?: number;
  readonly kind: MailedKind;
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
export async function listMailings(
  em: EntityManager,
  { viewer, view }: Desk,
): Promise<MailingLine[]> {
  const lines = await mailingsOf(em, viewer);
  const ran = lines.filter((line) => line.lastAt !== null && line.lastSaid === null);
  const said = await lastWords(
    em,
    ran.map(({ id }) => id),
    view.calendar.zone,
  );
  return lines.map((line) => ({
    ...line,
    lastSaid: line.lastSaid ?? said.get(line.id) ?? null,
    says: scheduleText(line.schedule),
  }));
}

export async function saveMailing(
  em: EntityManager,
  clock: Clock,
  viewer: Viewer,
  given: MailingToSave,
): Promise<Result<number>> {
  const desk = await deskOf(em, viewer, clock);
  const may = await rightToMail(em, desk, given);
  if (may === "members")
    return refused({
      code: "mailing.right",
      message: "Members read mailings; ask a builder to make one.",
    });
  if (may === "none")
    return refused({ code: "mailing.target", message: "There is no such thing to mail." });
  if (given.people.length + given.teams.length === 0)
    return refused({
      code: "mailing.nobody",
      message: "Say who it goes to: somebody, or a team.",
      path: "people",
    });
  const { view } = desk;
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

/**
 * Whether somebody may mail a thing, and read it: what a mailing names gives no right to it.
 * @returns "members" for who mails nothing, or not this; "none" where there is nothing that they read
 */
async function rightToMail(
  em: EntityManager,
  desk: Desk,
  { kind, target }: Pick<MailingToSave, "kind" | "target">,
): Promise<"yes" | "members" | "none"> {
  const { viewer } = desk;
  if (kind === "briefing") {
    const row = await loadBriefing(em, target);
    const isRead = row !== null && (await mayRead(em, desk, row));
    if (isRead && mayMail(viewer, row)) return "yes";
    return mayBuild(viewer) ? "none" : "members";
  }
  if (!mayBuild(viewer)) return "members";
  const found =
    kind === "report"
      ? await loadReport(em, viewer, target)
      : await loadDashboard(em, viewer, target);
  return found ? "yes" : "none";
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

/**
 * Opens the slot of each mailing that is due, and sends all mails that wait: each receiver gets what they may see themselves.
 * What failed is tried again, what was refused says why; nothing is sent twice, whoever dies in between.
 * @returns how many slots it opened
 */
export async function sendDue(em: EntityManager, clock: Clock, drawer: Drawer): Promise<number> {
  const now = dateOf(clock.now());
  let opened = 0;
  for (const mailing of await dueMailings(em, now)) {
    const owner = await loadViewer(em, mailing.owner);
    const calendar = owner ? (await deskOf(em, owner, clock)).view.calendar : { zone: "UTC" };
    const next = nextRun(mailing.schedule, clock.now(), calendar);
    if (await openSlot(em, mailing.id, now, dateOf(next))) opened += 1;
  }
  await deliverAll(em, clock, drawer);
  return opened;
}
