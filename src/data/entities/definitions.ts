import { defineEntity, p } from "@mikro-orm/core";
import type { Subject } from "@/core/catalog";
import type { MailedKind } from "@/contract/mail";
import type { BoardFilter, Deck, Dress, PlainMeasure, Tile } from "@/core/definition";
import type { Condition } from "@/core/filter";
import type { Report } from "@/core/kinds";
import { filled, keptProperties } from "./base";
import { Person, Service, Team } from "./people";

/** Which definitions have versions, shares and a place in the bin. */
export type SharedKind = "report" | "dashboard" | "filter";

export const ReportEntity = defineEntity({
  name: "Report",
  tableName: "reports",
  properties: {
    ...keptProperties,
    owner: p.manyToOne(Person),
    updatedBy: p.manyToOne(Person),
    category: p.text().default(""),
    definition: p.json<Report>(),
    dress: p.json<Dress>(),
  },
});
export const DashboardEntity = defineEntity({
  name: "Dashboard",
  tableName: "dashboards",
  properties: {
    ...keptProperties,
    owner: p.manyToOne(Person),
    updatedBy: p.manyToOne(Person),
    category: p.text().default(""),
    tiles: p.json<Tile[]>(),
    decks: p.json<Deck[]>(),
    filters: p.json<BoardFilter[]>(),
  },
});
/** How one viewer left a dashboard: what they chose of its filters, when they last saw it, and when the time before. */
export const BoardView = defineEntity({
  name: "BoardView",
  tableName: "board_views",
  properties: {
    person: p.manyToOne(Person).primary(),
    dashboardId: p.integer().primary(),
    chosen: p.json<Record<string, string | null>>(),
    seenAt: p.datetime(),
    beforeAt: p.datetime().nullable(),
  },
});
export const SavedFilterEntity = defineEntity({
  name: "SavedFilter",
  tableName: "saved_filters",
  properties: {
    ...keptProperties,
    owner: p.manyToOne(Person),
    updatedBy: p.manyToOne(Person),
    subject: p.json<Subject>(),
    condition: p.json<Condition>().nullable(),
  },
});
export const NamedMeasureEntity = defineEntity({
  name: "NamedMeasure",
  tableName: "named_measures",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    means: p.text(),
    subject: p.text(),
    measure: p.json<PlainMeasure>(),
    owner: p.manyToOne(Person).nullable(),
    createdAt: filled(),
  },
});

/** What hangs on a definition goes with it when it is swept away: by foreign keys, one for each kind. */
const target = { kind: p.text().$type<SharedKind>(), targetId: p.integer() };
const targetKey = {
  kind: p.text().$type<SharedKind>().primary(),
  targetId: p.integer().primary(),
};

export const Share = defineEntity({
  name: "Share",
  tableName: "shares",
  properties: {
    id: p.integer().primary(),
    ...target,
    everyone: p.boolean().default(false),
    person: p.manyToOne(Person).nullable(),
    team: p.manyToOne(Team).nullable(),
    mayChange: p.boolean().default(false),
  },
});
export const Version = defineEntity({
  name: "Version",
  tableName: "versions",
  properties: {
    ...targetKey,
    version: p.integer().primary(),
    name: p.text(),
    body: p.json<Record<string, unknown>>(),
    savedBy: p.manyToOne(Person).nullable(),
    savedAt: filled(),
  },
});
export const Pin = defineEntity({
  name: "Pin",
  tableName: "pins",
  properties: { person: p.manyToOne(Person).primary(), ...targetKey, createdAt: filled() },
});
export const Draft = defineEntity({
  name: "Draft",
  tableName: "drafts",
  properties: {
    person: p.manyToOne(Person).primary(),
    ...targetKey,
    baseVersion: p.integer(),
    body: p.json<Record<string, unknown>>(),
    updatedAt: filled(),
  },
});
export const Open = defineEntity({
  name: "Open",
  tableName: "opens",
  properties: {
    id: p.bigint("number").primary(),
    person: p.manyToOne(Person),
    ...target,
    at: filled(),
  },
});
export const DayNote = defineEntity({
  name: "DayNote",
  tableName: "day_notes",
  properties: {
    id: p.integer().primary(),
    day: p.date(),
    words: p.text(),
    service: p.manyToOne(Service).nullable(),
    report: p.manyToOne(ReportEntity).nullable(),
    owner: p.manyToOne(Person),
    createdAt: filled(),
  },
});
export const Finding = defineEntity({
  name: "Finding",
  tableName: "findings",
  properties: {
    id: p.integer().primary(),
    report: p.manyToOne(ReportEntity).nullable(),
    words: p.text(),
    address: p.text(),
    picture: p.text().nullable(),
    owner: p.manyToOne(Person),
    createdAt: filled(),
  },
});
export const Mailing = defineEntity({
  name: "Mailing",
  tableName: "mailings",
  properties: {
    id: p.integer().primary(),
    kind: p.text().$type<MailedKind>(),
    targetId: p.integer(),
    owner: p.manyToOne(Person),
    schedule: p.json<{ every: "day" | "week" | "month"; on: number; at: string }>(),
    people: p.array(Number),
    teams: p.array(Number),
    skipEmpty: p.boolean().default(false),
    page: p.json<{ paper: "A4" | "Letter"; across: boolean }>(),
    nextAt: p.datetime().nullable(),
    lastAt: p.datetime().nullable(),
    lastSaid: p.text().nullable(),
    createdAt: filled(),
  },
});
export type DeliveryState =
  "waiting" | "making" | "sending" | "sent" | "empty" | "unseen" | "refused" | "unsure";
export const Delivery = defineEntity({
  name: "Delivery",
  tableName: "deliveries",
  properties: {
    id: p.integer().primary(),
    mailing: p.manyToOne(Mailing),
    slot: p.datetime(),
    person: p.manyToOne(Person),
    state: p.text().$type<DeliveryState>().default("waiting"),
    attempts: p.integer().default(0),
    tryAt: p.datetime(),
    messageId: p.text().nullable(),
    said: p.text().nullable(),
    changedAt: filled(),
  },
});
export const MailMessage = defineEntity({
  name: "MailMessage",
  tableName: "mail_messages",
  properties: {
    id: p.integer().primary(),
    receivedAt: filled(),
    messageId: p.text().default(""),
    sender: p.text(),
    receivers: p.array(),
    subject: p.text(),
    bodyText: p.text().default(""),
    bodyHtml: p.text().default(""),
    attachments: () => p.oneToMany(MailAttachment).mappedBy("message"),
  },
});
export const MailAttachment = defineEntity({
  name: "MailAttachment",
  tableName: "mail_attachments",
  properties: {
    id: p.integer().primary(),
    message: () => p.manyToOne(MailMessage),
    name: p.text(),
    type: p.text(),
    bytes: p.blob(),
  },
});
