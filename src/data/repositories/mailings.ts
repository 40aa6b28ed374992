import type { InferEntity } from "@mikro-orm/core";
import type { MailedKind, MailingLine, MailLine } from "@/contract/mail";

import { fresh, unitOfWork, withConnection, type EntityManager } from "../database";
import { MailAttachment, Mailing, MailMessage, PrintJob } from "../entities";
import { ISO } from "./instants";
import type { Viewer } from "./names";
import { asks } from "./sharing";

/** A mailing as it is kept. */
export interface MailingRow {
  readonly id: number;
  readonly kind: MailedKind;
  readonly targetId: number;
  readonly owner: number;
  readonly schedule: MailingLine["schedule"];
  readonly people: readonly number[];
  readonly teams: readonly number[];
  readonly skipEmpty: boolean;
  readonly page: MailingLine["page"];
}

export const rowOf = ({ owner, ...mailing }: InferEntity<typeof Mailing>): MailingRow => ({
  id: mailing.id,
  kind: mailing.kind,
  targetId: mailing.targetId,
  owner: owner.id,
  schedule: mailing.schedule,
  people: mailing.people,
  teams: mailing.teams,
  skipEmpty: mailing.skipEmpty,
  page: mailing.page,
});

/** The mailings that one made or gets, or all of them for administrators. */
export async function mailingsOf(
  em: EntityManager,
  viewer: Viewer,
): Promise<Omit<MailingLine, "says">[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<Omit<MailingLine, "says">>(
      `SELECT m.id, m.kind, m.target_id AS target, coalesce(r.name, d.name, b.title, '') AS name, m.schedule, m.people, m.teams, m.skip_empty AS "skipEmpty", m.page, ${ISO("m.next_at")} AS "nextAt", ${ISO("m.last_at")} AS "lastAt", m.last_said AS "lastSaid", p.name AS owner, (m.owner_id = $1 OR $2) AS "mayChange"
       FROM mailings m JOIN people p ON p.id = m.owner_id LEFT JOIN reports r ON m.kind = 'report' AND r.id = m.target_id LEFT JOIN dashboards d ON m.kind = 'dashboard' AND d.id = m.target_id LEFT JOIN briefings b ON b.id = m.briefing_id WHERE m.owner_id = $1 OR $2 OR $1 = ANY(m.people) ORDER BY m.next_at NULLS LAST, m.id`,
      asks(viewer),
    ),
  );
  return rows;
}

/** A mailing that somebody may change; null for one that is not theirs, or gone. */
async function ownMailing(unit: EntityManager, viewer: Viewer, id: number) {
  const kept = await unit.findOne(Mailing, id);
  const isOwn = kept && (kept.owner.id === viewer.person || viewer.role === "administrator");
  return isOwn ? kept : null;
}

export type MailingBody = Omit<MailingRow, "id" | "owner"> & { readonly nextAt: Date };

/** @returns its id; null for one that is somebody else's, or gone */
export const putMailing = (
  em: EntityManager,
  viewer: Viewer,
  id: number | undefined,
  given: MailingBody,
): Promise<number | null> =>
  unitOfWork(em, async (unit) => {
    const body = { ...given, people: [...given.people], teams: [...given.teams] };
    const kept = id === undefined ? null : await ownMailing(unit, viewer, id);
    if (id !== undefined && !kept) return null;
    const mailing = kept
      ? Object.assign(kept, body)
      : unit.create(Mailing, { ...body, owner: viewer.person });
    await unit.flush();
    return mailing.id;
  });

/** @returns whether there was one that is theirs */
export const removeMailing = (em: EntityManager, viewer: Viewer, id: number): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const kept = await ownMailing(unit, viewer, id);
    if (kept) unit.remove(kept);
    return kept !== null;
  });

/** Has a mailing due now. @returns whether there was one that is theirs */
export const hastenMailing = (
  em: EntityManager,
  viewer: Viewer,
  id: number,
  now: Date,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const kept = await ownMailing(unit, viewer, id);
    if (kept) kept.nextAt = now;
    return kept !== null;
  });

export async function dueMailings(em: EntityManager, now: Date): Promise<MailingRow[]> {
  const due = await fresh(em).find(
    Mailing,
    { nextAt: { $lte: now } },
    { orderBy: { nextAt: "asc" }, limit: 50 },
  );
  return due.map(rowOf);
}

/** Everyone active with an address among some people and the members of some teams. */
export async function receiversOf(
  em: EntityManager,
  people: readonly number[],
  teams: readonly number[],
): Promise<{ id: number; email: string }[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ id: number; email: string }>(
      "SELECT DISTINCT p.id, p.email FROM people p WHERE p.active AND p.email IS NOT NULL AND (p.id = ANY($1) OR EXISTS (SELECT 1 FROM team_members m WHERE m.person_id = p.id AND m.team_id = ANY($2))) ORDER BY p.id",
      [people, teams],
    ),
  );
  return rows;
}

// ── the mail room ──

/** Mails that are kept at most. */
const MOST_KEPT = 500;

/** What PostgreSQL cannot keep in a text is left out. */
const storable = (text: string): string => text.replaceAll("\u0000", "");

export const addMail = (
  em: EntityManager,
  mail: {
    readonly messageId: string;
    readonly sender: string;
    readonly receivers: readonly string[];
    readonly subject: string;
    readonly bodyText: string;
    readonly bodyHtml: string;
    readonly files: readonly { readonly name: string; readonly type: string; bytes: Buffer }[];
  },
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const message = unit.create(MailMessage, {
      messageId: storable(mail.messageId),
      sender: storable(mail.sender),
      receivers: mail.receivers.map(storable),
      subject: storable(mail.subject),
      bodyText: storable(mail.bodyText),
      bodyHtml: storable(mail.bodyHtml),
    });
    for (const { name, type, bytes } of mail.files)
      unit.create(MailAttachment, { message, name: storable(name), type: storable(type), bytes });
    await unit.flush();
    await unit.nativeDelete(MailMessage, { id: { $lte: message.id - MOST_KEPT } });
  });

const isFor = "($1::text IS NULL OR lower($1) = ANY(SELECT lower(x) FROM unnest(m.receivers) x))";

/** The mails of the mail room, newest first; of one receiver, unless all are asked for. */
export async function mailsOf(em: EntityManager, receiver: string | null): Promise<MailLine[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<Omit<MailLine, "attachments"> & { attachments: MailLine["attachments"] | null }>(
      `SELECT m.id, ${ISO("m.received_at")} AS "receivedAt", m.sender AS "from", m.receivers AS "to", m.subject, m.body_text AS text, m.body_html AS html,
         (SELECT json_agg(json_build_object('id', a.id, 'name', a.name, 'type', a.type, 'bytes', length(a.bytes)) ORDER BY a.id) FROM mail_attachments a WHERE a.message_id = m.id) AS attachments
       FROM mail_messages m WHERE ${isFor} ORDER BY m.id DESC LIMIT 100`,
      [receiver],
    ),
  );
  return rows.map((row) => ({ ...row, attachments: row.attachments ?? [] }));
}

/** An attachment, if it was sent to the receiver (null: to anybody). */
export async function findAttachment(
  em: EntityManager,
  id: number,
  receiver: string | null,
): Promise<{ name: string; type: string; bytes: Buffer } | null> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ name: string; type: string; bytes: Buffer }>(
      `SELECT a.name, a.type, a.bytes FROM mail_attachments a JOIN mail_messages m ON m.id = a.message_id WHERE ${isFor} AND a.id = $2`,
      [receiver, id],
    ),
  );
  return rows[0] ?? null;
}

// ── pages to print ──

const PRINTABLE_MS = 600_000;

export const addPrintJob = (
  em: EntityManager,
  person: number,
  tokenHash: string,
  body: Record<string, unknown>,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    unit.create(PrintJob, { tokenHash, person, body });
  });

/** What is to be printed, for ten minutes, and for whom. */
export async function findPrintJobRow(
  em: EntityManager,
  tokenHash: string,
): Promise<{ person: number; body: unknown } | null> {
  const job = await fresh(em).findOne(PrintJob, {
    tokenHash,
    createdAt: { $gt: new Date(Date.now() - PRINTABLE_MS) },
  });
  return job && { person: job.person.id, body: job.body };
}
