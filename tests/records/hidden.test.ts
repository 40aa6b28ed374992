import { parseInstant } from "@/core/time";
import { lastOf, type FieldPath, type SubjectId } from "@/core/catalog";
import type { CountReport, ListReport } from "@/core/kinds";
import { countAnswer, planCount, planRecords } from "@/core/kinds/planned";
import { importBundle, runPlan, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { makeWorld } from "@/demo";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";

/** What a viewer may not see can be changed at will: not one byte of what they are told changes with it. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let desk: Desk;

const run = (text: string, values: unknown[] = []) =>
  withConnection(em, (client) => client.query(text, values as never[]));

beforeAll(async () => {
  em = await freshDatabase("hidden");
  await importBundle(em, makeWorld({ seed: 7, end: NOW, scale: 0.03 }), { now: NOW });
  desk = await deskFor(em, "aoife", clock);
  const seen = desk.view.projects!;
  const hidden = (await run("SELECT id FROM projects WHERE id <> ALL($1) ORDER BY id", [seen]))
    .rows;
  expect(hidden.length).toBeGreaterThan(0);
  const [{ id }] = hidden as { id: number }[];
  // Sprints and releases of hidden projects, in which items stand that are seen; and items that were in a hidden project once.
  await run("UPDATE sprints SET project_id = $1 WHERE id % 2 = 0", [id]);
  await run(
    "INSERT INTO releases (name, project_id, starts_on, due_on) VALUES ('Hidden one', $1, '2026-01-01', '2026-12-01')",
    [id],
  );
  await run("UPDATE items SET release_id = (SELECT max(id) FROM releases) WHERE id % 3 = 0");
  await run(
    "UPDATE state_spans SET project_id = $1 WHERE item_id % 5 = 0 AND valid_to < 'infinity'",
    [id],
  );
  await touched();
}, 120_000);
afterAll(dropDatabase);

/** Names are read anew. */
async function touched(): Promise<void> {
  await run("UPDATE workspace SET names_version = names_version + 1");
  desk = await deskFor(em, "aoife", clock);
}

/** Every field of a subject, and what is reached through it in at most three steps. */
function pathsOf(subject: SubjectId): string[][] {
  const { catalog } = desk.view;
  const walk = (ids: string[]): string[][] => {
    const path = catalog.findPath(subject, ids);
    if (!path) return [];
    const field = lastOf(path as FieldPath);
    const further =
      field.reaches && ids.length < 3
        ? catalog.reachedThrough(field).flatMap((next) => walk([...ids, next.id]))
        : [];
    return [ids, ...further];
  };
  return catalog.fieldsOf(subject).flatMap((field) => walk([field.id]));
}

/** All that the viewer is told through each path: values in lists, groups with their counts, and whether there is one. */
async function told(subject: SubjectId, stood: boolean): Promise<Record<string, unknown>> {
  const view = stood
    ? { ...desk.view, past: true, now: parseInstant("2026-06-01T00:00:00Z")! }
    : desk.view;
  const said: Record<string, unknown> = {};
  for (const field of pathsOf(subject)) {
    const last = lastOf(view.catalog.findPath(subject, field)!);
    const list: ListReport = { kind: "list", subject: { id: subject }, showing: [], sorts: [] };
    const ask = { showing: [field], sorts: [{ field }], offset: 0, limit: 400 };
    const { rows } = await runPlan(em, planRecords(list, ask, view));
    const count: CountReport = {
      kind: "count",
      subject: { id: subject },
      measures: [{ measure: "count" }],
      by: [],
      where: { kind: "test", field, operator: "isEmpty", values: [] },
    };
    const empty = countAnswer(await runPlan(em, planCount(count, view))).total[0].value;
    const groups =
      last.type === "instant" || last.type === "date"
        ? []
        : countAnswer(
            await runPlan(
              em,
              planCount({ ...count, by: [{ field }], where: undefined as never }, view),
            ),
          ).rows.map((row) => [row.path[0].label, row.cells[0].value]);
    said[field.join("'s ")] = [rows.map((row) => [row.key, row.values]), empty, groups];
  }
  return said;
}

test.each([
  ["items", false],
  ["items", true],
  ["timeEntries", false],
  ["moves", false],
] as const)(
  "whatever is changed of what is hidden, %s (as they stood: %s) say the same through every path",
  async (subject, stood) => {
    const before = await told(subject, stood);
    expect(Object.keys(before).length).toBeGreaterThan(30);
    const seen = [desk.view.projects!];
    await run(
      "UPDATE projects SET budget = coalesce(budget, 0) * 3 + 17, portfolio = 'Other', client = 'Other', type = 'other', starts_on = '2020-02-02', ends_on = '2031-01-01', manager_id = (SELECT max(id) FROM people) WHERE id <> ALL($1)",
      seen,
    );
    await run(
      "UPDATE sprints SET starts_at = starts_at - interval '9 days', ends_at = ends_at + interval '9 days', team_id = (SELECT min(id) FROM teams) WHERE project_id <> ALL($1)",
      seen,
    );
    await run(
      "UPDATE releases SET due_on = due_on + 40, starts_on = starts_on - 40 WHERE project_id <> ALL($1)",
      seen,
    );
    await run(
      "UPDATE items SET title = 'Something else', points = 99, description = 'x' WHERE project_id <> ALL($1)",
      seen,
    );
    await touched();
    const after = await told(subject, stood);
    for (const path of Object.keys(before))
      expect([path, after[path]]).toEqual([path, before[path]]);
  },
  240_000,
);
