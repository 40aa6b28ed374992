import { median } from "@/core/base";
import { PLAIN_DRESS } from "@/core/definition";
import { isDrawable, printReport } from "@/core/kinds";
import { flowBeside, levelsBeside } from "@/core/kinds/planned";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { besideNumber } from "@/server/dashboards/beside";
import { saveReport } from "@/server/library/reports";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf } from "../support/desk";

/** What stands beside the number of a tile: how it went, and what it usually is at this hour of this weekday. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let builder: Desk;
let member: Desk;

beforeAll(async () => {
  em = await goldenDatabase("beside");
  [builder, member] = [await deskFor(em, "ines", clock), await deskFor(em, "tove", clock)];
});
afterAll(dropDatabase);

async function tileOf(sentence: string): Promise<number> {
  const saved = await saveReport(em, builder.viewer, builder.view, {
    name: sentence.slice(0, 100),
    definition: reportOf(sentence, builder),
    dress: PLAIN_DRESS,
    forEveryone: true,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  return saved.value.id;
}
const totalOf = async (desk: Desk, sentence: string): Promise<number> => {
  const shown = await askFigure(em, desk, reportOf(sentence, desk), PLAIN_DRESS);
  if (!isDrawable(shown) || !shown.figure) throw new Error(`${sentence}: no figure`);
  return shown.figure.total.value ?? 0;
};
const asOf = (weeks: number) =>
  new Date(Date.UTC(2026, 10, 24 - 7 * weeks, 15, 30)).toISOString().replace(".000", "");

describe.each(["builder", "member"])("as the %s sees it", (who) => {
  test.each([
    "count faults where status is open",
    "count items where status is open and team is Booking",
    "sum of points of items where status is open",
    "count items where stage is waiting and priority is any of (P1, P2)",
    "count where priority is P1 per count of items where status is open",
  ])(
    "%s: usual is the median of what it was, and the trend ends at what it is",
    async (sentence) => {
      const desk = who === "builder" ? builder : member;
      const beside = await besideNumber(em, desk, {
        report: await tileOf(`${sentence} as number`),
      });
      const then: number[] = [];
      for (let week = 8; week >= 1; week -= 1)
        then.push(await totalOf(desk, `${sentence} as it stood on ${asOf(week)}`));
      expect(beside?.usual).toEqual({
        value: median(then),
        of: 8,
        rule: "the median of 8 Tuesdays at this hour",
      });
      expect(beside?.trend.at(-1)).toBeCloseTo(await totalOf(desk, sentence), 10);
      expect(beside?.over).toBe("weeks");
    },
  );
});

test("what came in a stretch has a trend of such stretches and no usual value", async () => {
  const report = await tileOf("count items where finished during this month so far as number");
  const beside = await besideNumber(em, builder, { report });
  expect(beside).toMatchObject({ over: "months", usual: null });
  expect(beside?.trend.at(-1)).toBe(
    await totalOf(builder, "count items where finished during this month so far"),
  );
  expect(beside?.trend).toHaveLength(12);
});

test("a board as it stood tells what was usual then", async () => {
  const report = await tileOf("count items where status is open as number");
  const beside = await besideNumber(em, builder, { report, stood: "2026-11-10" });
  expect(beside?.trend.at(-1)).toBe(
    await totalOf(builder, "count items where status is open as it stood on 2026-11-10"),
  );
});

test("before there is enough of a past nothing is usual", async () => {
  const early = await deskFor(em, "ines", { now: () => parseInstant("2026-01-08T12:00:00Z")! });
  const report = await tileOf("count items where status is open and kind is fault as number");
  expect((await besideNumber(em, early, { report }))?.usual).toBeNull();
});

test.each([
  "count items where due before today and status is open",
  "count items where status became Triaged during last month",
  "average age of items where status is open",
  "count items by team",
  "count items where status is open and age over 30 days",
  "count items where SLA resolution is missed",
  "sum of age of items where status is open",
  "count items where priority as of 2026-06-30 is P1",
  "list items",
])("%s has nothing beside it: as of another day it would mean another thing", (sentence) => {
  expect(levelsBeside(reportOf(sentence, builder), builder.view.catalog)).toBeNull();
});

test.each([
  [
    "count faults where created during this week and priority is P1",
    "count faults where priority is P1 by week of created for last 12 weeks to date",
  ],
  [
    "sum of points of items where finished during this quarter so far",
    "sum of points of items by quarter of finished for last 8 quarters to date",
  ],
  [
    "count items where created during today",
    "count items by day of created for last 14 days to date",
  ],
])("%s is followed by its stretches", (sentence, trend) => {
  const flow = flowBeside(reportOf(sentence, builder));
  expect(flow && printReport(flow, builder.view.catalog)).toBe(trend);
});

test.each([
  "count items where created during last 30 days",
  "count items where created during this week and due during this week",
  "count items where status is open",
])("%s asks for no one stretch", (sentence) =>
  expect(flowBeside(reportOf(sentence, builder))).toBeNull(),
);
