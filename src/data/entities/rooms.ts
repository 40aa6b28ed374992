import { defineEntity, p } from "@mikro-orm/core";
import type { BriefingKind } from "@/core/briefing";
import type { KeptBriefing, KeptPart } from "@/contract/briefings";
import type { RoomKind } from "@/contract/rooms";
import { filled } from "./base";
import { DashboardEntity } from "./definitions";
import { Person } from "./people";

/** Which dashboard a room shows: that of all things of a type, or one of its own. */
export const RoomBoard = defineEntity({
  name: "RoomBoard",
  tableName: "room_boards",
  properties: {
    id: p.integer().primary(),
    kind: p.text().$type<RoomKind>(),
    type: p.text().nullable(),
    targetId: p.integer().nullable(),
    dashboard: p.manyToOne(DashboardEntity),
  },
});
export const BriefingTemplate = defineEntity({
  name: "BriefingTemplate",
  tableName: "briefing_templates",
  properties: {
    id: p.integer().primary(),
    kind: p.text().$type<BriefingKind>(),
    name: p.text(),
    parts: p.json<KeptPart[]>(),
    owner: p.manyToOne(Person),
    createdAt: filled(),
  },
});
export const BriefingEntity = defineEntity({
  name: "Briefing",
  tableName: "briefings",
  properties: {
    id: p.integer().primary(),
    version: p.integer().version(),
    kind: p.text().$type<BriefingKind>(),
    targetId: p.integer(),
    ofName: p.text(),
    title: p.text(),
    parts: p.json<KeptPart[]>(),
    owner: p.manyToOne(Person),
    updatedBy: p.manyToOne(Person),
    createdAt: filled(),
    updatedAt: filled(),
    deletedAt: p.datetime().nullable(),
    frozenOn: p.date().nullable(),
    frozenAt: p.datetime().nullable(),
    frozenFor: p.text().nullable(),
    kept: p.json<KeptBriefing>().nullable(),
  },
});
export const Reminder = defineEntity({
  name: "Reminder",
  tableName: "reminders",
  properties: {
    projectId: p.integer().primary(),
    week: p.text().primary(),
    person: p.manyToOne(Person).primary(),
    by: p.manyToOne(Person),
    at: filled(),
    /** Nothing: it is on its way, or whoever sent it died. */
    sentAt: p.datetime().nullable(),
  },
});
