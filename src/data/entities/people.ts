import type { DemoFacts } from "@/contract/signIn";
import { defineEntity, p } from "@mikro-orm/core";

import { filled } from "./base";

export const Workspace = defineEntity({
  name: "Workspace",
  tableName: "workspace",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    demo: p.json<DemoFacts>().nullable(),
    /** Grows with every change of a name or of a right. */
    namesVersion: p.bigint("number").default(1),
  },
});
export const Setting = defineEntity({
  name: "Setting",
  tableName: "settings",
  properties: { setting: p.text().primary(), value: p.text() },
});
export const Team = defineEntity({
  name: "Team",
  tableName: "teams",
  properties: { id: p.integer().primary(), name: p.text() },
});
export const Service = defineEntity({
  name: "Service",
  tableName: "services",
  properties: { id: p.integer().primary(), name: p.text() },
});
export const Person = defineEntity({
  name: "Person",
  tableName: "people",
  properties: {
    id: p.integer().primary(),
    login: p.text(),
    name: p.text(),
    email: p.text().nullable(),
    role: p.text().default("member"),
    active: p.boolean().default(true),
    team: p.manyToOne(Team).nullable(),
  },
});
export const Account = defineEntity({
  name: "Account",
  tableName: "accounts",
  properties: {
    person: p.oneToOne(Person).primary().owner(),
    passwordHash: p.text(),
    changedAt: filled(),
  },
});
export const Session = defineEntity({
  name: "Session",
  tableName: "sessions",
  properties: {
    tokenHash: p.text().primary(),
    person: p.manyToOne(Person),
    createdAt: filled(),
    expiresAt: p.datetime(),
  },
});
export const Invite = defineEntity({
  name: "Invite",
  tableName: "invites",
  properties: {
    tokenHash: p.text().primary(),
    person: p.manyToOne(Person),
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
    person: p.manyToOne(Person),
    name: p.text().default(""),
    createdAt: filled(),
    usedAt: p.datetime().nullable(),
    expiresAt: p.datetime(),
  },
});
export const SignInTry = defineEntity({
  name: "SignInTry",
  tableName: "sign_in_tries",
  properties: {
    key: p.text().primary(),
    failures: p.integer().default(0),
    nextAt: p.datetime(),
    lastAt: filled(),
  },
});
export const Notice = defineEntity({
  name: "Notice",
  tableName: "notices",
  properties: {
    person: p.manyToOne(Person).primary(),
    about: p.text().primary(),
    words: p.text(),
    href: p.text(),
    at: filled(),
    seenAt: p.datetime().nullable(),
  },
});
export const TaughtWord = defineEntity({
  name: "TaughtWord",
  tableName: "taught_words",
  properties: {
    id: p.integer().primary(),
    words: p.text(),
    means: p.text(),
    person: () => p.manyToOne(Person).nullable(),
    by: () => p.manyToOne(Person).nullable(),
    createdAt: filled(),
  },
});
export const DoubtedQuestion = defineEntity({
  name: "DoubtedQuestion",
  tableName: "doubted_questions",
  properties: {
    id: p.integer().primary(),
    question: p.text(),
    person: () => p.manyToOne(Person),
    chosen: p.text().nullable(),
    at: filled(),
  },
});
export const PrintJob = defineEntity({
  name: "PrintJob",
  tableName: "print_jobs",
  properties: {
    tokenHash: p.text().primary(),
    person: p.manyToOne(Person),
    body: p.json<Record<string, unknown>>(),
    createdAt: filled(),
  },
});
export const ImportEntity = defineEntity({
  name: "Import",
  tableName: "imports",
  properties: {
    id: p.integer().primary(),
    person: p.manyToOne(Person).nullable(),
    fileName: p.text(),
    folder: p.text(),
    state: p.text(),
    progress: p.json<Record<string, unknown>>().default("{}"),
    outcome: p.json<Record<string, unknown>>().nullable(),
    createdAt: filled(),
    updatedAt: filled(),
  },
});
