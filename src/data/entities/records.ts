import { defineEntity, p } from "@mikro-orm/core";

const micros = () => p.bigint("number").nullable();

const stateProperties = {
  statusId: p.integer().nullable(),
  priorityId: p.integer().nullable(),
  assigneeId: p.integer().nullable(),
  teamId: p.integer().nullable(),
  projectId: p.integer().nullable(),
  serviceId: p.integer().nullable(),
  sprintId: p.integer().nullable(),
  points: p.decimal().nullable(),
  remainingMinutes: p.decimal().nullable(),
  dueAt: p.datetime().nullable(),
  isOpen: p.boolean(),
  statusSince: p.datetime(),
  startedAt: p.datetime().nullable(),
  finishedAt: p.datetime().nullable(),
  reassigned: p.integer(),
  reopened: p.integer(),
  wCreated: micros(),
  wSince: micros(),
  wStarted: micros(),
  wFinished: micros(),
  wFrom: micros(),
  ranUs: micros(),
  ranWorkUs: micros(),
  responseUs: micros(),
  responseWorkUs: micros(),
  resolutionUs: micros(),
  resolutionWorkUs: micros(),
};

export const Item = defineEntity({
  name: "Item",
  tableName: "items",
  properties: {
    id: p.integer().primary(),
    key: p.text(),
    kindId: p.integer().nullable(),
    title: p.text(),
    description: p.text().nullable(),
    raisedById: p.integer().nullable(),
    assetId: p.integer().nullable(),
    releaseId: p.integer().nullable(),
    parentId: p.integer().nullable(),
    estimateMinutes: p.decimal().nullable(),
    category: p.text().nullable(),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    tags: p.array(),
    tagsFolded: p.array(),
    followerIds: p.array(Number),
    custom: p.json<Record<string, unknown>>(),
    customFolded: p.json<Record<string, unknown>>(),
    ...stateProperties,
    stateFrom: p.datetime().nullable(),
  },
});
export const Move = defineEntity({
  name: "Move",
  tableName: "moves",
  properties: {
    id: p.bigint("number").primary(),
    itemId: p.integer(),
    at: p.datetime(),
    place: p.integer(),
    field: p.text(),
    fromValue: p.text().nullable(),
    toValue: p.text().nullable(),
    byId: p.integer().nullable(),
    arrivedAt: p.datetime().nullable(),
  },
});
export const StateSpan = defineEntity({
  name: "StateSpan",
  tableName: "state_spans",
  properties: {
    itemId: p.integer().primary(),
    validFrom: p.datetime().primary(),
    validTo: p.datetime(),
    kindId: p.integer().nullable(),
    rightsProjectId: p.integer().nullable(),
    createdAt: p.datetime(),
    ...stateProperties,
    wTo: micros(),
    began: p.integer(),
    ended: p.integer(),
  },
});
export const Link = defineEntity({
  name: "Link",
  tableName: "links",
  properties: { id: p.integer().primary(), fromId: p.integer(), link: p.text(), toId: p.integer() },
});
export const Comment = defineEntity({
  name: "Comment",
  tableName: "comments",
  properties: {
    id: p.integer().primary(),
    itemId: p.integer(),
    at: p.datetime(),
    byId: p.integer().nullable(),
    internal: p.boolean(),
    text: p.text(),
  },
});
export const TimeEntry = defineEntity({
  name: "TimeEntry",
  tableName: "time_entries",
  properties: {
    id: p.integer().primary(),
    itemId: p.integer().nullable(),
    projectId: p.integer().nullable(),
    personId: p.integer().nullable(),
    workedOn: p.date(),
    minutes: p.decimal(),
    billable: p.boolean().nullable(),
    rate: p.decimal().nullable(),
  },
});
export const CostEntry = defineEntity({
  name: "CostEntry",
  tableName: "cost_entries",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    on: p.date(),
    category: p.text().nullable(),
    amount: p.decimal(),
    note: p.text().nullable(),
  },
});
export const PlannedCost = defineEntity({
  name: "PlannedCost",
  tableName: "planned_costs",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    month: p.text(),
    category: p.text().nullable(),
    amount: p.decimal(),
  },
});
export const Billing = defineEntity({
  name: "Billing",
  tableName: "billings",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    on: p.date(),
    amount: p.decimal(),
  },
});
export const Milestone = defineEntity({
  name: "Milestone",
  tableName: "milestones",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    name: p.text(),
    dueOn: p.date().nullable(),
    reachedOn: p.date().nullable(),
  },
});
export const WeeklyWord = defineEntity({
  name: "WeeklyWord",
  tableName: "weekly_words",
  properties: {
    id: p.integer().primary(),
    projectId: p.integer(),
    personId: p.integer().nullable(),
    week: p.text(),
    health: p.text().nullable(),
    done: p.text().nullable(),
    next: p.text().nullable(),
    worry: p.text().nullable(),
  },
});
export const PersonProject = defineEntity({
  name: "PersonProject",
  tableName: "person_projects",
  properties: { personId: p.integer().primary(), projectId: p.integer().primary() },
});
