import type { ReportLine } from "@/contract/library";

import { isFound } from "@/core/base";
import { shelvesOf, textsOf } from "./shelves";

const line = (name: string, more: Partial<ReportLine> = {}): ReportLine => ({
  id: 1,
  name,
  purpose: "",
  category: "",
  sought: "trend over time",
  pieces: [{ text: "count" }, { text: "faults" }] as ReportLine["pieces"],
  shape: null,
  takesConditions: true,
  owner: "Mika Brandt",
  mine: false,
  myTeams: false,
  updatedAt: "2026-11-01T08:00:00Z",
  boards: 0,
  pinned: false,
  mayChange: false,
  opened: 0,
  lastOpened: null,
  mineOpened: null,
  ...more,
});
const names = (shelves: ReturnType<typeof shelvesOf>) =>
  shelves.map((shelf) => [shelf.title, ...shelf.reports.map((report) => report.name)]);

test("a report stands on one shelf: one's own before one's teams' before everyone's", () => {
  expect(
    names(
      shelvesOf(
        [line("A", { mine: true, myTeams: true }), line("B", { myTeams: true }), line("C")],
        "name",
      ),
    ),
  ).toEqual([
    ["Yours", "A"],
    ["Your teams’", "B"],
    ["Everyone’s", "C"],
  ]);
});
test("an empty shelf is not shown", () =>
  expect(names(shelvesOf([line("C")], "name"))).toEqual([["Everyone’s", "C"]]));
test.each([
  ["seen", ["seen", "new", "old"]],
  ["changed", ["new", "seen", "old"]],
  ["popular", ["old", "seen", "new"]],
  ["unused", ["new", "old", "seen"]],
  ["name", ["new", "old", "seen"]],
] as const)("in the order %s", (order, expected) => {
  const reports = [
    line("old", {
      opened: 9,
      updatedAt: "2026-10-01T08:00:00Z",
      lastOpened: "2026-10-02T08:00:00Z",
    }),
    line("new", { updatedAt: "2026-11-20T08:00:00Z" }),
    line("seen", {
      opened: 2,
      mineOpened: "2026-11-23T08:00:00Z",
      lastOpened: "2026-11-23T08:00:00Z",
    }),
  ];
  expect(shelvesOf(reports, order)[0].reports.map((report) => report.name)).toEqual(expected);
});
test("names, purposes, categories, owners and sentences are searched, whatever the case and the accents", () => {
  const report = line("Morning", {
    purpose: "Who is overloaded?",
    category: "Desk",
    owner: "Inês Duarte",
  });
  for (const words of [
    "morning",
    "OVERLOADED",
    "desk",
    "ines",
    "count faults",
    "faults duarte",
    "",
  ])
    expect(isFound(words, textsOf(report))).toBe(true);
  expect(isFound("refit", textsOf(report))).toBe(false);
});
