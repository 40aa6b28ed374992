import { parseSentence } from "../kinds";

import { sampleView } from "../../../tests/support/sample";
import { contradictionIn } from ".";

const view = sampleView();
const clash = (where: string) => {
  const parsed = parseSentence(`count items where ${where}`, view);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return contradictionIn(parsed.value.where, "items", view) !== null;
};

test.each([
  "priority is P1 and priority is P2",
  "status is open and status is finished",
  "priority is P1 and priority is not P1",
  "assignee is empty and assignee is me",
  "points over 5 and points under 3",
  "points at least 5 and points at most 4",
  "points between 1 and 3 and points over 3",
  "created before 2026-01-01 and created since 2026-06-01",
  "created during 2025 and created during 2026",
  'status is any of (Logged, Triaged) and status is any of ("In hand", "Signed off")',
])("%s can never hold", (where) => expect(clash(where)).toBe(true));

test.each([
  "priority is any of (P1, P2) and priority is P2",
  "status is open and status is not Logged",
  "priority is P1 or priority is P2",
  "tags include any of (storm) and tags include none of (calm)",
  "points over 5 and points under 6",
  "points at least 5 and points at most 5",
  "created since 2026-01-01 and created before 2026-06-01",
  "created during last 6 months and created during 2026",
  "status as of 2026-06-30 is Logged and status is finished",
  'title contains "a" and title contains "b"',
])("%s may hold", (where) => expect(clash(where)).toBe(false));
