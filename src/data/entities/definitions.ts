import { defineEntity, p } from "@mikro-orm/core";
import type { Dress, Report, Tile } from "@/core/definition";

export const Account = defineEntity({ name: "Account", tableName: "accounts", properties: { personId: p.integer().primary(), passwordHash: p.text(), changedAt: p.datetime() } });
export const Session = defineEntity({ name: "Session", tableName: "sessions", properties: { tokenHash: p.text().primary(), personId: p.integer(), createdAt: p.datetime(), expiresAt: p.datetime() } });
export const Invite = defineEntity({ name: "Invite", tableName: "invites", properties: { tokenHash: p.text().primary(), personId: p.integer(), expiresAt: p.datetime(), usedAt: p.datetime().nullable() } });
export const Token = defineEntity({ name: "Token", tableName: "tokens", properties: { id: p.integer().primary(), tokenHash: p.text(), personId: p.integer(), name: p.text(), createdAt: p.datetime(), usedAt: p.datetime().nullable() } });
export const SignInFailure = defineEntity({ name: "SignInFailure", tableName: "sign_in_failures", properties: { id: p.bigint("number").primary(), login: p.text(), at: p.datetime() } });

const keptProperties = {
  id: p.integer().primary(), version: p.integer().version(), name: p.text(), purpose: p.text(), ownerId: p.integer(), createdAt: p.datetime(), updatedAt: p.datetime(), updatedById: p.integer(), deletedAt: p.datetime().nullable(),
};
export const ReportEntity = defineEntity({ name: "Report", tableName: "reports", properties: { ...keptProperties, definition: p.json<Report>(), dress: p.json<Dress>() } });
export const DashboardEntity = defineEntity({ name: "Dashboard", tableName: "dashboards", properties: { ...keptProperties, tiles: p.json<Tile[]>() } });
export const Pin = defineEntity({ name: "Pin", tableName: "pins", properties: { personId: p.integer().primary(), kind: p.text().primary(), targetId: p.integer().primary(), createdAt: p.datetime() } });
export const ImportEntity = defineEntity({
  name: "Import",
  tableName: "imports",
  properties: { id: p.integer().primary(), personId: p.integer().nullable(), fileName: p.text(), folder: p.text(), state: p.text(), progress: p.json<Record<string, unknown>>(), outcome: p.json<Record<string, unknown>>().nullable(), createdAt: p.datetime(), updatedAt: p.datetime() },
});
