import type { SprintLine } from "@/contract/figures";
import { checkReport, printReport } from "@/core/kinds";

import { sampleContext } from "../../../tests/support/sample";
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
