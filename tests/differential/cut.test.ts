import fc from "fast-check";
import type { CountReport } from "@/core/kinds";
import { cutTo } from "@/core/kinds/count/planCount";
import { countAnswer, planCount } from "@/core/kinds/planned";
import type { Plan } from "@/core/plan";
import type { Viewpoint } from "@/core/relation";
import { isBucketGrain, parseInstant } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import { systemClock } from "@/server/clock";
import { deskOf } from "@/server/viewer/viewpoint";
import { arbitraryReport } from "../support/arbitrary";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { viewerNamed } from "../support/viewer";

let em: EntityManager;
let view: Viewpoint;
const NOW = parseInstant("2026-11-24T15:30:00Z")!;

beforeAll(async () => {
  em = await goldenDatabase("cut");
  view = (await deskOf(em, (await viewerNamed(em, "gil"))!, systemClock, NOW)).view;
});
afterAll(dropDatabase);

/** The largest groups of a report, as a top N in the sentence asks for them. */
function topOf(report: CountReport, count: number): CountReport | null {
  const [group, ...others] = report.by;
  const isRanked = group && !others.length && !group.top && !group.cases;
  if (!isRanked || (group.grain && isBucketGrain(group.grain))) return null;
  return { ...report, by: [{ ...group, top: { count } }] };
}

/** Whether a plan has to ask anything, and what it comes to. */
function* counted<T>(plan: Plan<T>): Plan<{ readonly statements: number; readonly value: T }> {
  let statements = 0;
  let step = plan.next();
  while (!step.done) {
    statements += step.value.length;
    step = plan.next(yield step.value);
  }
  return { statements, value: step.value };
}

test("what is cut for a drawing is what the sentence with a top N says, and is not asked again where it can be merged", async () => {
  let tried = 0;
  let merged = 0;
  const count = fc.integer({ min: 1, max: 3 });
  await fc.assert(
    fc.asyncProperty(arbitraryReport(view), count, async (report, most) => {
      const drawn = report.kind === "count" ? topOf(report, most) : null;
      fc.pre(drawn !== null);
      const { statements, value } = await runPlan(
        em,
        (function* () {
          const parts = yield* planCount(report as CountReport, view);
          return yield* counted(cutTo(parts, drawn!));
        })(),
      );
      tried += 1;
      if (statements === 0) merged += 1;
      const asked = countAnswer(await runPlan(em, planCount(drawn!, view)));
      const cut = countAnswer(value);
      expect(cut.rows).toEqual(asked.rows);
      expect(cut.total).toEqual(asked.total);
      expect(cut.split).toEqual(asked.split);
    }),
    { numRuns: 60, seed: 20_261_130 },
  );
  expect(tried).toBe(60);
  expect(merged).toBeGreaterThan(5);
}, 120_000);
