import type { Viewpoint } from "@/core/relation";
import {
  Catalog,
  readMoneyRules,
  type AskContext,
  type CatalogData,
  type Thing,
} from "@/core/catalog";

import { parseInstant, type WorkCalendar } from "@/core/time";

const named = (names: readonly string[]): Thing[] =>
  names.map((name, i) => ({ id: i + 1, name, label: name }));

/** A small workspace's names, for tests of the core. */
export const sampleData: CatalogData = {
  money: readMoneyRules({}),
  lists: {
    status: [
      { id: 1, name: "Logged", label: "Logged", stage: "waiting", workflow: "desk" },
      { id: 2, name: "Triaged", label: "Triaged", stage: "waiting", workflow: "desk" },
      { id: 3, name: "In hand", label: "In hand", stage: "under way", workflow: "desk" },
      {
        id: 4,
        name: "Waiting for parts",
        label: "Waiting for parts",
        stage: "waiting",
        workflow: "desk",
      },
      { id: 5, name: "Signed off", label: "Signed off", stage: "finished", workflow: "desk" },
      { id: 6, name: "Withdrawn", label: "Withdrawn", stage: "finished", workflow: "desk" },
    ],
    kind: [
      { id: 1, name: "fault", label: "fault", plural: "faults" },
      { id: 2, name: "request", label: "request", plural: "requests" },
      { id: 3, name: "story", label: "story", plural: "stories" },
    ],
    priority: named(["P1", "P2", "P3", "P4"]),
    person: [
      { id: 1, name: "ines", label: "Inês Duarte" },
      { id: 2, name: "bram", label: "Bram Okoro" },
      { id: 3, name: "tove", label: "Tove Lindqvist" },
      { id: 4, name: "alex1", label: "Alex Pym" },
      { id: 5, name: "alex2", label: "Alex Pym" },
    ],
    team: named(["Desk", "Booking", "Berth radio crew"]),
    service: named(["Gate readers", "Ticket kiosks", "Booking site"]),
    asset: named(["Gate reader 3"]),
    project: named(["New quay", "Heron refit"]),
    sprint: [
      {
        id: 1,
        name: "Sprint 9",
        label: "Sprint 9",
        startsAt: parseInstant("2026-11-02T10:00:00Z")!,
        closedAt: parseInstant("2026-11-13T18:00:00Z")!,
      },
      {
        id: 2,
        name: "Sprint 10",
        label: "Sprint 10",
        startsAt: parseInstant("2026-11-16T10:00:00Z")!,
      },
    ],
    release: named(["4.2"]),
  },
  links: ["holds up", "implements", "same as"],
  filters: [
    {
      id: 1,
      name: "Not withdrawn",
      purpose: "",
      subject: { id: "items" },
      where: {
        kind: "test",
        field: ["status"],
        operator: "isNot",
        values: [{ kind: "thing", thing: "status", id: 6 }],
      },
    },
    { id: 2, name: "Every item", purpose: "", subject: { id: "items" }, where: null },
  ],
  measures: [
    {
      id: 1,
      name: "Effort",
      means: "points of all stories",
      subject: "items",
      measure: { measure: "sum", field: ["points"] },
    },
  ],
  customFields: [
    { id: 7, name: "vessel", type: "text", many: false, choices: [] },
    { id: 8, name: "weather", type: "choice", many: false, choices: ["calm", "wind", "storm"] },
    { id: 9, name: "draught", type: "number", many: false, choices: [] },
    { id: 10, name: "inspected", type: "date", many: false, choices: [] },
    { id: 11, name: "insured", type: "yesNo", many: false, choices: [] },
  ],
};

export const sampleCalendar: WorkCalendar = {
  zone: "Europe/Lisbon",
  weekStarts: "Mon",
  fiscalYearStarts: 4,
  workingDays: [1, 2, 3, 4, 5],
  workingHours: { from: 540, to: 1020 },
  holidays: new Set(["2026-11-23"]),
  locale: "en",
};

export const sampleContext = (): AskContext => ({
  catalog: new Catalog(sampleData),
  now: parseInstant("2026-11-24T15:30:00Z")!,
  calendar: sampleCalendar,
});

/** The same seen by somebody: all projects, unless some are given. */
export const sampleView = (given: Partial<Viewpoint> = {}): Viewpoint => ({
  ...sampleContext(),
  past: false,
  projects: null,
  money: null,
  viewer: { person: 1, team: 1, teams: [1, 2], projects: [1] },
  ...given,
});
