import { defineEntity, p } from "@mikro-orm/core";
import type { DemoFacts } from "@/contract/room";

export const Workspace = defineEntity({
  name: "Workspace",
  tableName: "workspace",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    demo: p.json<DemoFacts>().nullable(),
    namesVersion: p.bigint("number"),
    recordsVersion: p.bigint("number"),
    latestAt: p.datetime().nullable(),
    historiesVersion: p.integer(),
  },
});
export const Setting = defineEntity({
  name: "Setting",
  tableName: "settings",
  properties: { setting: p.text().primary(), value: p.text() },
});
export const Holiday = defineEntity({
  name: "Holiday",
  tableName: "holidays",
  properties: { day: p.date().primary(), name: p.text() },
});
export const Status = defineEntity({
  name: "Status",
  tableName: "statuses",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    stage: p.text(),
    position: p.decimal(),
    paused: p.boolean(),
    workflow: p.text(),
  },
});
export const Kind = defineEntity({
  name: "Kind",
  tableName: "kinds",
  properties: { id: p.integer().primary(), name: p.text(), plural: p.text(), workflow: p.text() },
});
export const Priority = defineEntity({
  name: "Priority",
  tableName: "priorities",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    rank: p.decimal(),
    responseTarget: p.text().nullable(),
    resolutionTarget: p.text().nullable(),
    clock: p.text(),
  },
});
export const Team = defineEntity({
  name: "Team",
  tableName: "teams",
  properties: { id: p.integer().primary(), name: p.text(), managerId: p.integer().nullable() },
});
export const Person = defineEntity({
  name: "Person",
  tableName: "people",
  properties: {
    id: p.integer().primary(),
    login: p.text(),
    name: p.text(),
    email: p.text().nullable(),
    teamId: p.integer().nullable(),
    role: p.text(),
    active: p.boolean(),
    client: p.text().nullable(),
    capacityMinutesADay: p.decimal().name("capacity_minutes_a_day").nullable(),
  },
});
export const TeamMember = defineEntity({
  name: "TeamMember",
  tableName: "team_members",
  properties: {
    personId: p.integer().primary(),
    teamId: p.integer().primary(),
    position: p.integer(),
  },
});
export const Service = defineEntity({
  name: "Service",
  tableName: "services",
  properties: { id: p.integer().primary(), name: p.text(), ownerTeamId: p.integer().nullable() },
});
export const Asset = defineEntity({
  name: "Asset",
  tableName: "assets",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    type: p.text().nullable(),
    location: p.text().nullable(),
    serviceId: p.integer().nullable(),
  },
});
export const Project = defineEntity({
  name: "Project",
  tableName: "projects",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    type: p.text().nullable(),
    portfolio: p.text().nullable(),
    client: p.text().nullable(),
    managerId: p.integer().nullable(),
    startsOn: p.date().nullable(),
    endsOn: p.date().nullable(),
    budget: p.decimal().nullable(),
  },
});
export const ProjectTeam = defineEntity({
  name: "ProjectTeam",
  tableName: "project_teams",
  properties: {
    projectId: p.integer().primary(),
    teamId: p.integer().primary(),
    position: p.integer(),
  },
});
export const Progress = defineEntity({
  name: "Progress",
  tableName: "progress",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    on: p.date(),
    plannedPercent: p.decimal().nullable(),
    actualPercent: p.decimal().nullable(),
  },
});
export const Sprint = defineEntity({
  name: "Sprint",
  tableName: "sprints",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    teamId: p.integer().nullable(),
    projectId: p.integer().nullable(),
    startsAt: p.datetime().nullable(),
    endsAt: p.datetime().nullable(),
    closedAt: p.datetime().nullable(),
  },
});
export const Release = defineEntity({
  name: "Release",
  tableName: "releases",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    projectId: p.integer().nullable(),
    startsOn: p.date().nullable(),
    dueOn: p.date().nullable(),
    releasedOn: p.date().nullable(),
  },
});
export const CustomFieldEntity = defineEntity({
  name: "CustomField",
  tableName: "fields",
  properties: {
    id: p.integer().primary(),
    name: p.text(),
    type: p.text(),
    many: p.boolean(),
    choices: p.json<string[]>(),
    position: p.integer(),
  },
});
