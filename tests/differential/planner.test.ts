import { viewerNamed } from "../support/viewer";
import { openedRecords } from "../support/opened";
import { countAnswer, planCount } from "@/core/kinds/planned";
import { type CountReport, printReport } from "@/core/kinds";
import type { Viewpoint } from "@/core/relation";
import fc from "fast-check";

import { parseInstant } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { systemClock } from "@/server/clock";
import { deskOf } from "@/server/viewer/viewpoint";
import { arbitraryReport } from "../support/arbitrary";
import { arbitraryCondition, namedFields } from "../support/arbitraryConditions";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { holds } from "./plain";
import { everyRecord } from "./records";
import { readTimelines, type Timeline } from "./timeline";

let em: EntityManager;
let view: Viewpoint;
let lines: Timeline[];
const NOW = parseInstant("2026-11-24T15:30:00Z")!;

beforeAll(async () => {
  em = await goldenDatabase("differential");
  const viewer = await viewerNamed(em, "gil");
  view = (await deskOf(em, viewer!, systemClock, NOW)).view;
  const records = await everyRecord(em, view);
  lines = await withConnection(em, (client) => readTimelines(client, records));
});
afterAll(dropDatabase);

test("every condition finds on PostgreSQL what plain evaluation finds", async () => {
  const fields = namedFields(view).filter(
    (field) => !["age", "age in status", "lead time", "cycle time"].includes(field.id),
  );
  await fc.assert(
    fc.asyncProperty(arbitraryCondition(view, fields), async (where) => {
      const report = {
        kind: "list" as const,
        subject: { id: "items" as const },
        showing: [],
        sorts: [],
        where,
      };
      const found = await runPlan(
        em,
        openedRecords(
          report as never,
          { showing: [["key"]], sorts: [], offset: 0, limit: 1000 },
          view,
        ),
      );
      const wanted = lines
        .filter((line) => holds(where, line.record, view, line))
        .map((line) => line.key);
      expect([
        printReport(report as never, view.catalog),
        found.rows.map((row) => row.key).sort(),
      ]).toEqual([expect.anything(), wanted.sort()]);
    }),
    { numRuns: 400, endOnFailure: true },
  );
});

test("every cell of every figure opens exactly its records, and groups, totals and records agree", async () => {
  const counts = arbitraryReport(view).filter(
    (report): report is CountReport => report.kind === "count" && report.by.length > 0,
  );
  await fc.assert(
    fc.asyncProperty(counts, async (report) => {
      const answer = countAnswer(await runPlan(em, planCount(report, view)));
      const says = printReport(report, view.catalog);
      for (const [m, measure] of answer.measures.entries()) {
        // A ratio opens what either of its parts counts, and says how many it is measured per.
        if ("per" in report.measures[m]) continue;
        const own = measure.hasOwnRecords ? { measure: m } : {};
        const open = (path: string[], split?: string) =>
          runPlan(
            em,
            openedRecords(
              report,
              {
                opened: { path, ...(split === undefined ? {} : { split }), ...own },
                showing: [["key"]],
                sorts: [],
                offset: 0,
                limit: 1000,
              },
              view,
            ),
          );
        const seen = new Set<number>();
        for (const row of answer.rows) {
          const path = row.path.map((head) => head.key);
          const opened = await open(path);
          expect([says, m, path, opened.count]).toEqual([says, m, path, row.cells[m].records]);
          opened.rows.forEach((record) => seen.add(record.id));
          for (const [i, head] of answer.split.entries())
            if (row.parts[i][m].records > 0)
              expect((await open(path, head.key)).count).toBe(row.parts[i][m].records);
        }
        expect([says, m, seen.size]).toEqual([says, m, answer.total[m].records]);
        expect((await open([])).count).toBe(answer.total[m].records);
        if (!answer.manyValued)
          expect(answer.rows.reduce((sum, row) => sum + row.cells[m].records, 0)).toBe(
            answer.total[m].records,
          );
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
}, 120_000);

test("text order in PostgreSQL and in JavaScript agree", async () => {
  await withConnection(em, async (client) => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc
            .string({ unit: "grapheme", minLength: 1, maxLength: 6 })
            .filter((text) => !text.includes("\u0000")),
          { minLength: 2, maxLength: 8 },
        ),
        async (texts) => {
          const { rows } = await client.query<{ lower: string; plain: string }>(
            `SELECT lower(normalize(t, NFC) COLLATE "und-x-icu") AS lower, t AS plain FROM unnest($1::text[]) t`,
            [texts],
          );
          for (const row of rows) expect(row.lower).toBe(row.plain.normalize("NFC").toLowerCase());
        },
      ),
      { numRuns: 100, endOnFailure: true },
    );
  });
});
