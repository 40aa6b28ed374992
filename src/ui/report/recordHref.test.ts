import { recordHref } from "./recordHref";

test.each([
  ["items", { id: 7, key: "D 1/2" }, "/items/D%201%2F2"],
  ["timeEntries", { id: 7, key: "D1" }, "/items/D1"],
  ["timeEntries", { id: 7, key: null }, null],
  ["projects", { id: 7, key: "Heron refit" }, "/projects/7"],
  ["milestones", { id: 7, key: "Heron refit" }, null],
  ["costEntries", { id: -7, key: "Heron refit" }, null],
] as const)("a record of %s, %j, leads to %s", (subject, record, href) =>
  expect(recordHref(subject, record)).toBe(href),
);
