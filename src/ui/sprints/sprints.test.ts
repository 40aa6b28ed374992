import type { SprintLine } from "@/contract/figures";
import { checkReport, printReport } from "@/core/kinds";
import type { Forecast } from "@/core/history";

import { sampleContext } from "../../../tests/support/sample";
import { oddsWords, sharesWords } from "./odds";
import { cumulativeFlow } from "./sprintReports";

const context = sampleContext();
const [sprint] = context.catalog.names.list("sprint");
const line = (more: Partial<SprintLine>): SprintLine => ({
  id: sprint.id,
  name: sprint.label,
  team: null,
  teamId: null,
  starts: "2026-11-16",
  ends: "2026-11-27",
  stage: "running",
  ...more,
});

describe("the cumulative flow of a sprint", () => {
  const says = (given: SprintLine, without: readonly number[] = []) => {
    const report = cumulativeFlow(given, context.now, context, without);
    expect(checkReport(report, context)).toEqual([]);
    return printReport(report, context.catalog);
  };
  test("goes from its first day until today, or until its end once that is over", () => {
    expect(says(line({}))).toContain("for 2026-11-16 to 2026-11-24 split by status as area");
    expect(says(line({ ends: "2026-11-20" }))).toContain("for 2026-11-16 to 2026-11-20");
  });
  test("of one that has not begun is of its first day alone", () =>
    expect(says(line({ starts: "2026-12-01", ends: "2026-12-11" }))).toContain("2026-12-01"));
  test("leaves statuses out", () =>
    expect(says(line({}), [1])).toContain("split by status without Logged"));
});

describe("the odds of a planned end", () => {
  const fan = (done: readonly number[]): Forecast => ({
    days: { p50: null, p85: null, p95: null },
    runs: 10_000,
    rests: 60,
    fan: done.map((share, day) => ({ day, p5: 0, p15: 0, p50: 0, p85: 0, p95: 0, done: share })),
  });
  const days = ["2026-11-24", "2026-11-25", "2026-11-26"];
  const odds = (done: readonly number[], planned: string) =>
    oddsWords({ why: null, forecast: fan(done), days }, planned);
  test.each([
    [[0, 0.07, 0.4], "2026-11-25", "1 run in 14 makes"],
    [[0, 0.07, 0.62], "2026-11-27", "62 in 100 runs make"],
    [[0, 0, 0.5], "2026-11-25", "No run makes"],
    [[0, 0.999, 1], "2026-11-26", "Nearly every run makes"],
    [[0, 0.5, 1], "2026-11-20", "No run makes"],
  ])("%j by %s: %s", (done, planned, words) => expect(odds(done, planned)).toBe(words));
  test("say when the shares are done, and where none of two years is enough", () => {
    expect(
      sharesWords({
        why: null,
        forecast: { ...fan([0, 1]), days: { p50: 1, p85: 2, p95: null } },
        days,
      }),
    ).toBe(
      "Half of the runs are done by 25 Nov 2026, 85 % by 26 Nov 2026, 95 % not within two years.",
    );
  });
});
