import { parseSentence } from "./parseSentence";
import { unknownThen } from "./unknownThen";

import { Catalog } from "../catalog";
import { sampleContext, sampleData } from "../../../tests/support/sample";

const context = sampleContext();
const unknown = (sentence: string): string[] => {
  const parsed = parseSentence(sentence, context);
  if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
  return unknownThen(parsed.value, context.catalog);
};

test.each([
  ["count items where status is open by priority split by team as it stood on 2026-10-01", []],
  ["average age in days of faults by assignee as it stood on 2026-10-01", []],
  [
    "list items showing key, kind, created, SLA resolution, reopened sorted by finished as it stood on 2026-10-01",
    [],
  ],
  [
    "count items where tags include any of (storm) by category as it stood on 2026-10-01",
    ["tags", "category"],
  ],
  [
    "sum of estimate of items by assignee's team as it stood on 2026-10-01",
    ["assignee's team", "estimate"],
  ],
  ["list items showing title, title sorted by title as it stood on 2026-10-01", ["title"]],
  [
    "count items by cases (Stormy: tags include any of (storm), Urgent: priority is P1) as it stood on 2026-10-01",
    ["tags"],
  ],
  [
    "count where tags is empty, count where status is open, of items by priority top 3 by sum of estimate",
    ["estimate", "tags"],
  ],
  ["level of items where category is empty at month ends for last 3 months", ["category"]],
  ["count moves by field", []],
])("%s: %j", (sentence, wanted) => expect(unknown(sentence).sort()).toEqual([...wanted].sort()));

test("what a saved filter asks for counts, too, wherever it is used", () => {
  const stormy = {
    id: 901,
    name: "Stormy",
    subject: { id: "items" as const },
    where: { kind: "test" as const, field: ["tags"], operator: "isEmpty" as const, values: [] },
  };
  const catalog = new Catalog({
    ...sampleData,
    filters: [...(sampleData.filters ?? []), stormy as never],
  });
  const count = {
    kind: "count" as const,
    subject: { id: "items" as const },
    measures: [{ measure: "count" as const }],
    by: [],
  };
  expect(unknownThen({ ...count, where: { kind: "filter", filter: 901 } }, catalog)).toEqual([
    "tags",
  ]);
  expect(unknownThen({ ...count, subject: { id: "items", filter: 901 } }, catalog)).toEqual([
    "tags",
  ]);
});
