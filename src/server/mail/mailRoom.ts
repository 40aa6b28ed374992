import { simpleParser } from "mailparser";
import { SMTPServer } from "smtp-server";
import type { MailLine } from "@/contract/room";
import { type EntityManager, newSession, type Viewer, withConnection } from "@/data";
import { ISO, isAdministrator } from "../library/kept";
import { log } from "../log";

const MOST_BYTES = 30 * 1024 ** 2;
const KEPT = 500;

/** The port of the mail room's SMTP server on the loopback address. */
export const mailPort = (): number => Number(process.env.GRAND_TALLY_SMTP ?? 4325);

/**
 * The mail room: a mail server on loopback that takes every mail and hands it to nobody. What it takes can be read on a page.
 * @returns how to stop it
 */
export async function openMailRoom(
  port = mailPort(),
): Promise<{ port: number; close: () => Promise<void> }> {
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ["STARTTLS", "AUTH"],
    size: MOST_BYTES,
    banner: "mail room",
    logger: false,
    onData: (stream, session, done) => {
      const chunks: Buffer[] = [];
      stream.on("data", (chunk: Buffer) => chunks.push(chunk));
      stream.on("end", () => {
        if (stream.sizeExceeded)
          return done(Object.assign(new Error("this mail is over 30 MB"), { responseCode: 552 }));
        const receivers = session.envelope.rcptTo.map(({ address }) => address);
        keepMail(Buffer.concat(chunks), receivers).then(
          () => done(),
          (error: Error) => {
            log.error({ error }, "a mail could not be kept");
            done(Object.assign(new Error("could not be kept"), { responseCode: 451 }));
          },
        );
      });
    },
  });
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", () => resolve());
  });
  server.on("error", (error) => log.warn({ error }, "the mail room"));
  const address = server.server.address();
  return {
    port: typeof address === "object" && address ? address.port : port,
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}

async function keepMail(raw: Buffer, receivers: readonly string[]): Promise<void> {
  const mail = await simpleParser(raw);
  await withConnection(await newSession(), async (client) => {
    await client.query("BEGIN");
    const { rows } = await client.query<{ id: number }>(
      "INSERT INTO mail_messages (sender, receivers, subject, body_text, body_html) VALUES ($1, $2, $3, $4, $5) RETURNING id",
      [
        mail.from?.text ?? "",
        receivers,
        mail.subject ?? "",
        mail.text ?? "",
        typeof mail.html === "string" ? mail.html : "",
      ],
    );
    for (const file of mail.attachments)
      await client.query(
        "INSERT INTO mail_attachments (message_id, name, type, bytes) VALUES ($1, $2, $3, $4)",
        [rows[0].id, file.filename ?? "file", file.contentType, file.content],
      );
    await client.query("DELETE FROM mail_messages WHERE id <= $1", [rows[0].id - KEPT]);
    await client.query("COMMIT");
  });
}

/** The mails of the mail room, newest first; of one receiver, unless all are asked for. */
export async function listMails(em: EntityManager, receiver: string | null): Promise<MailLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<
      Omit<MailLine, "attachments"> & { attachments: MailLine["attachments"] | null }
    >(
      `SELECT m.id, ${ISO("m.received_at")} AS "receivedAt", m.sender AS "from", m.receivers AS "to", m.subject, m.body_text AS text, m.body_html AS html,
         (SELECT json_agg(json_build_object('id', a.id, 'name', a.name, 'type', a.type, 'bytes', length(a.bytes)) ORDER BY a.id) FROM mail_attachments a WHERE a.message_id = m.id) AS attachments
       FROM mail_messages m WHERE $1::text IS NULL OR lower($1) = ANY(SELECT lower(x) FROM unnest(m.receivers) x) ORDER BY m.id DESC LIMIT 100`,
      [receiver],
    );
    return rows.map((row) => ({ ...row, attachments: row.attachments ?? [] }));
  });
}

/** An attachment, if it was sent to the receiver (null: to anybody). */
export async function loadAttachment(
  em: EntityManager,
  id: number,
  receiver: string | null,
): Promise<{ name: string; type: string; bytes: Buffer } | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ name: string; type: string; bytes: Buffer }>(
      "SELECT a.name, a.type, a.bytes FROM mail_attachments a JOIN mail_messages m ON m.id = a.message_id WHERE a.id = $1 AND ($2::text IS NULL OR lower($2) = ANY(SELECT lower(x) FROM unnest(m.receivers) x))",
      [id, receiver],
    );
    return rows[0] ?? null;
  });
}

/** Whose mail somebody may read: null for all of it (administrators), else their own address; "" where they have none. */
export async function mailAddress(em: EntityManager, viewer: Viewer): Promise<string | null> {
  if (isAdministrator(viewer)) return null;
  return withConnection(
    em,
    async (client) =>
      (
        await client.query<{ email: string | null }>("SELECT email FROM people WHERE id = $1", [
          viewer.person,
        ])
      ).rows[0]?.email ?? "",
  );
}
