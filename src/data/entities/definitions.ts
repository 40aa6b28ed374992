import type { Report } from "@/core/kinds";
import { defineEntity, p } from "@mikro-orm/core";
import type { Subject } from "@/core/catalog";
import type { Dress, PlainMeasure, Tile } from "@/core/definition";
import type { Condition } from "@/core/filter";

export const Account = defineEntity({
  name: "Account",
  tableName: "accounts",
  properties: { personId: p.integer().primary(), passwordHash: p.text(), changedAt: p.datetime() },
});
export const Session = defineEntity({
  name: "Session",
  tableName: "sessions",
  properties: {
    tokenHash: p.text().primary(),
    personId: p.integer(),
    createdAt: p.datetime(),
    expiresAt: p.datetime(),
  },
});
export const Invite = defineEntity({
  name: "Invite",
  tableName: "invites",
  properties: {
    tokenHash: p.text().primary(),
    personId: p.integer(),
    expiresAt: p.datetime(),
    usedAt: p.datetime().nullable(),
  },
});
export const Token = defineEntity({
  name: "Token",
  tableName: "tokens",
  properties: {
    id: p.integer().primary(),
    tokenHash: p.text(),
    personId: p.integer(),
    name: p.text(),
    createdAt: p.datetime(),
    usedAt: p.datetime().nullable(),
  },
});
export const SignInFailure = defineEntity({
  name: "SignInFailure",
  tableName: "sign_in_failures",
  properties: { id: p.bigint("number").primary(), login: p.text(), at: p.datetime() },
});

const keptProperties = {
  id: p.integer().primary(),
  version: p.integer().version(),
  name: p.text(),
  purpose: p.text(),
  ownerId: p.integer(),
  createdAt: p.datetime(),
  updatedAt: p.datetime(),
  updatedById: p.integer(),
  deletedAt: p.datetime().nullable(),
};
export const ReportEntity = defineEntity({
  name: "Report",
  tableName: "reports",
  properties: {
    ...keptProperties,
    category: p.text(),
    definition: p.json<Report>(),
    dress: p.json<Dress>(),
  },
});
export const DashboardEntity = defineEntity({
  name: "Dashboard",
  tableName: "dashboards",
  properties: { ...keptProperties, category: p.text(), tiles: p.json<Tile[]>() },
});
export const Pin = defineEntity({
  name: "Pin",
  tableName: "pins",
  properties: {
    personId: p.integer().primary(),
    kind: p.text().primary(),
    targetId: p.integer().primary(),
    createdAt: p.datetime(),
  },
});
export const ImportEntity = defineEntity({
  name: "Import",
  tableName: "imports",
  properties: {
    id: p.integer().primary(),
    personId: p.integer().nullable(),
    fileName: p.text(),
    folder: p.text(),
    state: p.text(),
    progress: p.json<Record<string, unknown>>(),
    outcome: p.json<Record<string, unknown>>().nullable(),
    createdAt: p.datetime(),
    updatedAt: p.datetime(),
  },
});

export const SavedFilterEntity = defineEntity({
  name: "SavedFilter",
  tableName: "saved_filters",
  properties: {
    ...keptProperties,
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
    ownerId: p.integer().nullable(),
    createdAt: p.datetime(),
  },
});
export const Share = defineEntity({
  name: "Share",
  tableName: "shares",
  properties: {
    id: p.integer().primary(),
    kind: p.text(),
    targetId: p.integer(),
    everyone: p.boolean(),
    personId: p.integer().nullable(),
    teamId: p.integer().nullable(),
    mayChange: p.boolean(),
  },
});
export const Version = defineEntity({
  name: "Version",
  tableName: "versions",
  properties: {
    kind: p.text().primary(),
    targetId: p.integer().primary(),
    version: p.integer().primary(),
    name: p.text(),
    body: p.json<Record<string, unknown>>(),
    savedById: p.integer().nullable(),
    savedAt: p.datetime(),
  },
});
export const Draft = defineEntity({
  name: "Draft",
  tableName: "drafts",
  properties: {
    personId: p.integer().primary(),
    kind: p.text().primary(),
    targetId: p.integer().primary(),
    baseVersion: p.integer(),
    body: p.json<Record<string, unknown>>(),
    updatedAt: p.datetime(),
  },
});
export const Open = defineEntity({
  name: "Open",
  tableName: "opens",
  properties: {
    id: p.bigint("number").primary(),
    personId: p.integer(),
    kind: p.text(),
    targetId: p.integer(),
    at: p.datetime(),
  },
});
export const Notice = defineEntity({
  name: "Notice",
  tableName: "notices",
  properties: {
    personId: p.integer().primary(),
    about: p.text().primary(),
    words: p.text(),
    href: p.text(),
    at: p.datetime(),
    seenAt: p.datetime().nullable(),
  },
});
export const DayNote = defineEntity({
  name: "DayNote",
  tableName: "day_notes",
  properties: {
    id: p.integer().primary(),
    day: p.date(),
    words: p.text(),
    serviceId: p.integer().nullable(),
    reportId: p.integer().nullable(),
    ownerId: p.integer(),
    createdAt: p.datetime(),
  },
});
export const Finding = defineEntity({
  name: "Finding",
  tableName: "findings",
  properties: {
    id: p.integer().primary(),
    reportId: p.integer().nullable(),
    words: p.text(),
    address: p.text(),
    picture: p.text().nullable(),
    ownerId: p.integer(),
    createdAt: p.datetime(),
  },
});
export const Mailing = defineEntity({
  name: "Mailing",
  tableName: "mailings",
  properties: {
    id: p.integer().primary(),
    kind: p.text(),
    targetId: p.integer(),
    ownerId: p.integer(),
    schedule: p.json<Record<string, unknown>>(),
    people: p.array(Number),
    teams: p.array(Number),
    skipEmpty: p.boolean(),
    page: p.json<Record<string, unknown>>(),
    nextAt: p.datetime().nullable(),
    lastAt: p.datetime().nullable(),
    lastSaid: p.text().nullable(),
    createdAt: p.datetime(),
  },
});
export const MailMessage = defineEntity({
  name: "MailMessage",
  tableName: "mail_messages",
  properties: {
    id: p.integer().primary(),
    receivedAt: p.datetime(),
    sender: p.text(),
    receivers: p.array(),
    subject: p.text(),
    bodyText: p.text(),
    bodyHtml: p.text(),
  },
});
export const MailAttachment = defineEntity({
  name: "MailAttachment",
  tableName: "mail_attachments",
  properties: {
    id: p.integer().primary(),
    messageId: p.integer(),
    name: p.text(),
    type: p.text(),
    bytes: p.blob(),
  },
});
export const PrintJob = defineEntity({
  name: "PrintJob",
  tableName: "print_jobs",
  properties: {
    tokenHash: p.text().primary(),
    personId: p.integer(),
    body: p.json<Record<string, unknown>>(),
    createdAt: p.datetime(),
  },
});
