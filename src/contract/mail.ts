import { act } from "./act";
import { NothingAsk, IdAsk } from "./shared";

import { z } from "zod";

const MAILED = ["report", "dashboard", "briefing"] as const;
/** What can be mailed on a schedule. */
export type MailedKind = (typeof MAILED)[number];

export const MailingAsk = z.object({
  id: z.int().optional(),
  kind: z.enum(MAILED),
  target: z.int(),
  every: z.enum(["day", "week", "month"]),
  on: z.int().min(1).max(31).default(1),
  at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
  people: z.array(z.int()).max(200),
  teams: z.array(z.int()).max(50),
  skipEmpty: z.boolean(),
  paper: z.enum(["A4", "Letter"]).default("A4"),
  across: z.boolean().default(true),
  now: z.boolean().optional(),
});

export interface MailingLine {
  readonly id: number;
  readonly kind: MailedKind;
  readonly target: number;
  readonly name: string;
  readonly schedule: {
    readonly every: "day" | "week" | "month";
    readonly on: number;
    readonly at: string;
  };
  /** The schedule in words. */
  readonly says: string;
  readonly people: readonly number[];
  readonly teams: readonly number[];
  readonly skipEmpty: boolean;
  readonly page: { readonly paper: "A4" | "Letter"; readonly across: boolean };
  readonly nextAt: string | null;
  readonly lastAt: string | null;
  readonly lastSaid: string | null;
  readonly owner: string;
  readonly mayChange: boolean;
}

/** A mail in the mail room. */
export interface MailLine {
  readonly id: number;
  readonly receivedAt: string;
  readonly from: string;
  readonly to: readonly string[];
  readonly subject: string;
  readonly text: string;
  readonly html: string;
  readonly attachments: readonly {
    readonly id: number;
    readonly name: string;
    readonly type: string;
    readonly bytes: number;
  }[];
}

export const mailActs = {
  mailings: act(NothingAsk).answers<MailingLine[]>(),
  saveMailing: act(MailingAsk).answers<number>(),
  sendMailing: act(IdAsk).answers<true>(),
  dropMailing: act(IdAsk).answers<true>(),
  mails: act(NothingAsk).answers<MailLine[]>(),
};
