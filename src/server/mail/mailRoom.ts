import { simpleParser } from "mailparser";
import { SMTPServer } from "smtp-server";
import {
  addMail,
  findAttachment,
  mailAddressOf,
  mailsOf,
  newSession,
  type EntityManager,
  type Viewer,
} from "@/data";
import { log } from "../log";

const MOST_BYTES = 30 * 1024 ** 2;

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

async function keepMail(bytes: Buffer, receivers: readonly string[]): Promise<void> {
  const mail = await simpleParser(bytes);
  await addMail(await newSession(), {
    messageId: mail.messageId ?? "",
    sender: mail.from?.text ?? "",
    receivers,
    subject: mail.subject ?? "",
    bodyText: mail.text ?? "",
    bodyHtml: typeof mail.html === "string" ? mail.html : "",
    files: mail.attachments.map((file) => ({
      name: file.filename ?? "file",
      type: file.contentType,
      bytes: file.content,
    })),
  });
}

/** The mails of the mail room, newest first; of one receiver, unless all are asked for. */
export const listMails = mailsOf;

/** An attachment, if it was sent to the receiver (null: to anybody). */
export const loadAttachment = findAttachment;

/** Whose mail somebody may read: null for all of it (administrators), else their own address; "" where they have none. */
export const mailAddress = async (em: EntityManager, viewer: Viewer): Promise<string | null> =>
  viewer.role === "administrator" ? null : ((await mailAddressOf(em, viewer.person)) ?? "");
