import { printReport } from "@/core/kinds";
import { createTransport } from "nodemailer";
import { fine, refused, type Result } from "@/core/base";
import { nextRun, scheduleText, type Schedule } from "@/core/delivery";
import { fileName } from "@/core/exports";

import { clockText, instantText, localDay, longDayText } from "@/core/time";
import type { MailingLine } from "@/contract/room";
import { type EntityManager, loadViewer, type Viewer, withConnection } from "@/data";
import type { Clock } from "../clock";
import { loadDashboard } from "../dashboards/dashboards";
import type { Drawer } from "../exports/exportReport";
import { asks, ISO, isAdministrator, mayBuild } from "../library/kept";
import { loadReport } from "../library/reports";
import { log } from "../log";
import { ownAddress } from "../render/chromium";
import { askFigure } from "../reports/room";
import { deskOf } from "../viewer/viewpoint";
import { mailPort } from "./mailRoom";

interface MailingRow {
  readonly id: number;
  readonly kind: "report" | "dashboard";
  readonly target_id: number;
  readonly owner_id: number;
  readonly schedule: Schedule;
  readonly people: number[];
  readonly teams: number[];
  readonly skip_empty: boolean;
  readonly page: MailingLine["page"];
}

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
  return withConnection(em, async (client) => {
    const { rows } = await client.query<MailingLine>(
      `SELECT m.id, m.kind, m.target_id AS target, coalesce(r.name, d.name, '') AS name, m.schedule, m.people, m.teams, m.skip_empty AS "skipEmpty", m.page, ${ISO("m.next_at")} AS "nextAt", ${ISO("m.last_at")} AS "lastAt", m.last_said AS "lastSaid", p.name AS owner, (m.owner_id = $1 OR $2) AS "mayChange"
       FROM mailings m JOIN people p ON p.id = m.owner_id LEFT JOIN reports r ON m.kind = 'report' AND r.id = m.target_id LEFT JOIN dashboards d ON m.kind = 'dashboard' AND d.id = m.target_id WHERE m.owner_id = $1 OR $2 OR $1 = ANY(m.people) ORDER BY m.next_at NULLS LAST, m.id`,
      asks(viewer),
    );
    return rows;
  });
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
  const next = instantText(nextRun(schedule, clock.now(), view.calendar));
  const values = [
    given.kind,
    given.target,
    JSON.stringify(schedule),
    [...given.people],
    [...given.teams],
    given.skipEmpty,
    JSON.stringify({ paper: given.paper, across: given.across }),
    next,
    viewer.person,
  ];
  return withConnection(em, async (client) => {
    const { rows } =
      given.id === undefined
        ? await client.query<{ id: number }>(
            "INSERT INTO mailings (kind, target_id, schedule, people, teams, skip_empty, page, next_at, owner_id) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) RETURNING id",
            values,
          )
        : await client.query<{ id: number }>(
            "UPDATE mailings SET kind = $1, target_id = $2, schedule = $3, people = $4, teams = $5, skip_empty = $6, page = $7, next_at = $8 WHERE id = $10 AND (owner_id = $9 OR $11) RETURNING id",
            [...values, given.id, isAdministrator(viewer)],
          );
    return rows[0]
      ? fine(rows[0].id)
      : refused({ code: "mailing.right", message: "This mailing is somebody else's." });
  });
}

export async function dropMailing(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<Result<true>> {
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      "DELETE FROM mailings WHERE id = $1 AND (owner_id = $2 OR $3)",
      [id, viewer.person, isAdministrator(viewer)],
    );
    return rowCount
      ? fine(true as const)
      : refused({
          code: "mailing.right",
          message: "There is no such mailing, or it is somebody else's.",
        });
  });
}

/** Has a mailing sent at the next minute, whatever its schedule. */
export async function sendSoon(
  em: EntityManager,
  viewer: Viewer,
  id: number,
): Promise<Result<true>> {
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      "UPDATE mailings SET next_at = now() WHERE id = $1 AND (owner_id = $2 OR $3)",
      [id, viewer.person, isAdministrator(viewer)],
    );
    return rowCount
      ? fine(true as const)
      : refused({
          code: "mailing.right",
          message: "There is no such mailing, or it is somebody else's.",
        });
  });
}

/** Sends every mailing that is due; each receiver gets what they may see themselves. One that fails says why and keeps its schedule. */
export async function sendDue(em: EntityManager, clock: Clock, drawer: Drawer): Promise<number> {
  const due = await withConnection(
    em,
    async (client) =>
      (
        await client.query<MailingRow>(
          "SELECT id, kind, target_id, owner_id, schedule, people, teams, skip_empty, page FROM mailings WHERE next_at <= $1 ORDER BY next_at LIMIT 50",
          [instantText(clock.now())],
        )
      ).rows,
  );
  for (const mailing of due) {
    const said = await sendOne(em, clock, drawer, mailing).catch((error: Error) => {
      log.error({ error, mailing: mailing.id }, "a mailing failed");
      return "it could not be sent; it is tried again at its next time";
    });
    const owner = await withConnection(em, (client) => loadViewer(client, mailing.owner_id));
    const calendar = owner ? (await deskOf(em, owner, clock)).view.calendar : { zone: "UTC" };
    await withConnection(em, (client) =>
      client.query(
        "UPDATE mailings SET last_at = now(), last_said = $2, next_at = $3 WHERE id = $1",
        [mailing.id, said, instantText(nextRun(mailing.schedule, clock.now(), calendar))],
      ),
    );
  }
  return due.length;
}

async function receiversOf(
  em: EntityManager,
  { people, teams }: MailingRow,
): Promise<{ id: number; email: string }[]> {
  return withConnection(
    em,
    async (client) =>
      (
        await client.query<{ id: number; email: string }>(
          "SELECT DISTINCT p.id, p.email FROM people p WHERE p.active AND p.email IS NOT NULL AND (p.id = ANY($1) OR EXISTS (SELECT 1 FROM team_members m WHERE m.person_id = p.id AND m.team_id = ANY($2))) ORDER BY p.id",
          [people, teams],
        )
      ).rows,
  );
}

async function sendOne(
  em: EntityManager,
  clock: Clock,
  drawer: Drawer,
  mailing: MailingRow,
): Promise<string> {
  const receivers = await receiversOf(em, mailing);
  let [sent, empty, unseen] = [0, 0, 0];
  for (const receiver of receivers) {
    const viewer = await withConnection(em, (client) => loadViewer(client, receiver.id));
    const made = viewer && (await letterFor(em, clock, drawer, mailing, viewer));
    if (!made) unseen += 1;
    else if (made.isEmpty && mailing.skip_empty) empty += 1;
    else {
      await transport().sendMail({
        from: "Grand Tally <reports@grand-tally.invalid>",
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

const transport = () =>
  createTransport({ host: "127.0.0.1", port: mailPort(), secure: false, ignoreTLS: true });

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
      ? [mailing.target_id]
      : ((await loadDashboard(em, viewer, mailing.target_id))?.tiles.map((tile) => tile.report) ??
        []);
  const kept = (await Promise.all(reports.map((id) => loadReport(em, viewer, id)))).filter(
    (report) => report !== null,
  );
  if (kept.length === 0) return null;
  const name =
    mailing.kind === "report"
      ? kept[0].name
      : (await loadDashboard(em, viewer, mailing.target_id))!.name;
  const day = longDayText(localDay(desk.view.now, calendar.zone));
  let isEmpty = true;
  const [lines, files]: [string[], { name: string; bytes: Uint8Array }[]] = [[], []];
  for (const report of kept) {
    const shown = await askFigure(em, desk, report.definition, report.dress);
    const records =
      shown.kind === "count"
        ? shown.answer.total[0].records
        : shown.kind === "list"
          ? shown.records.count
          : 1;
    if (records > 0) isEmpty = false;
    const title = report.dress.title ?? report.name;
    lines.push(
      title,
      printReport(report.definition, desk.view.catalog),
      shown.kind === "list"
        ? `${shown.records.count} records`
        : shown.says.map((said) => said.text).join(""),
      `${ownAddress()}/reports/${report.id}`,
      "",
    );
    if (records > 0 || !mailing.skip_empty)
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
