import { createTransport } from "nodemailer";
import { hasMail, type EntityManager } from "@/data";
import { mailPort } from "./mailRoom";

export const SENDER = "Grand Tally <reports@grand-tally.invalid>";

/** The way out for mails: to the mail room. */
export const transport = () =>
  createTransport({
    host: "127.0.0.1",
    port: mailPort(),
    secure: false,
    ignoreTLS: true,
    connectionTimeout: 10_000,
    socketTimeout: 30_000,
  });

/** Whether the mail server took a mail; null where it cannot be asked. */
export const wasTaken = (em: EntityManager, messageId: string): Promise<boolean | null> =>
  hasMail(em, messageId);
