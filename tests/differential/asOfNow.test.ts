import { viewerNamed } from "../support/viewer";
import { lastOf } from "@/core/catalog";
import type { Condition } from "@/core/filter";
import { printReport, type CrossingsReport, type LevelReport, type Report } from "@/core/kinds";
import { crossingsAnswer, levelAnswer, planCrossings, planLevel } from "@/core/kinds/planned";
import type { Viewpoint } from "@/core/relation";
import { parseInstant } from "@/core/time";
import { importBundle, runPlan, type EntityManager } from "@/data";
import { deskOf } from "@/server/viewer/viewpoint";
import { namedFields } from "../support/arbitraryConditions";
import { dropDatabase, freshDatabase } from "../support/database";
import { randomHistories } from "../support/randomHistories";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const SEED = Number(process.env.HISTORY_SEED ?? Date.now() % 1_000_000);
let em: EntityManager;
let live: Viewpoint;

beforeAll(async () => {
  em = await freshDatabase("as_of_now");
  const { refused } = await importBundle(em, await randomHistories(SEED, 200), { now: NOW });
  if (refused.length) throw new Error(`seed ${SEED}: ${JSON.stringify(refused[0])}`);
  const viewer = await viewerNamed(em, "gil");
  live = (await deskOf(em, viewer!, { now: () => NOW })).view;
});
afterAll(dropDatabase);

const stretch = {
  subject: { id: "items" as const },
  grain: "month" as const,
  period: { kind: "rolling" as const, way: "last" as const, count: 30, unit: "month" as const },
};
const says = (report: Report) => `seed ${SEED}: ${printReport(report, live.catalog)}`;

/** Every report of the past over one derived field: where it has a value, and what its values come to. */
function reportsOf(field: string): (LevelReport | CrossingsReport)[] {
  const found = live.catalog.findPath("items", [field])!;
  const { type, unit } = lastOf(found);
  const isSet: Condition = { kind: "test", field: [field], operator: "isNotEmpty", values: [] };
  const level: LevelReport = { kind: "level", ...stretch, where: isSet };
  const reports: (LevelReport | CrossingsReport)[] = [
    level,
    { kind: "crossings", which: "both", ...stretch, where: isSet },
  ];
  if (type === "number" || (type === "duration" && unit))
    for (const measure of ["sum", "average", "highest"] as const)
      reports.push({ kind: "level", ...stretch, measure: { measure, field: [field] } });
  return reports;
}

const told = async (report: LevelReport | CrossingsReport, view: Viewpoint) =>
  report.kind === "level"
    ? levelAnswer(await runPlan(em, planLevel(report, view))).rows.map(({ cell }) => cell?.value)
    : crossingsAnswer(await runPlan(em, planCrossings(report, view))).rows.map(
        ({ crossing }) => crossing,
      );

test("what is asked as of now is what is asked live, over every derived field, deleted items with the rest", async () => {
  const derived = namedFields(live).filter((field) => field.source.kind === "derived");
  expect(derived.length).toBeGreaterThan(8);
  let figures = 0;
  for (const field of derived)
    for (const report of reportsOf(field.id)) {
      const now = await told(report, live);
      const asOf = await told(report, { ...live, past: true });
      expect([says(report), asOf]).toEqual([says(report), now]);
      figures += now.filter((one) => one !== null && one !== "0").length;
    }
  expect(figures).toBeGreaterThan(100);
}, 120_000);
