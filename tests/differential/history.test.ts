import { viewerNamed } from "../support/viewer";
import { openedRecords } from "../support/opened";
import {
  bridgeAnswer,
  burndownAnswer,
  crossingsAnswer,
  levelAnswer,
  velocityAnswer,
  planBridge,
  planBurndown,
  planCrossings,
  planLevel,
  planVelocity,
} from "@/core/kinds/planned";
import {
  type BridgeReport,
  type CrossingsReport,
  type LevelReport,
  type Report,
  printReport,
} from "@/core/kinds";
import type { Viewpoint } from "@/core/relation";
import fc from "fast-check";

import { parseInstant, type Bucket } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { deskOf } from "@/server/viewer/viewpoint";
import { arbitraryHistory } from "../support/arbitrary";
import { arbitraryCondition, namedFields } from "../support/arbitraryConditions";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { everyRecord } from "./records";
import { Replay } from "./replay";
import { existsAt, readTimelines, recordAt, type Timeline } from "./timeline";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
let em: EntityManager;
let view: Viewpoint;
let lines: readonly Timeline[];
let replay: Replay;

beforeAll(async () => {
  em = await goldenDatabase("differential_history");
  const viewer = await viewerNamed(em, "gil");
  view = (await deskOf(em, viewer!, { now: () => NOW })).view;
  const records = await everyRecord(em, { ...view, deletedToo: true });
  lines = await withConnection(em, (client) => readTimelines(client, records));
  replay = new Replay(lines, view);
});
afterAll(dropDatabase);

/** Fields whose value now is a fact and not an age: those that are tracked, and those that never change. */
const fields = () =>
  namedFields(view).filter(
    (field) =>
      field.tracked || ["title", "kind", "tags", "created by", "key", "stage"].includes(field.id),
  );
const where = () => fc.option(arbitraryCondition(view, fields(), 1), { nil: undefined, freq: 8 });
const levelAt = (report: object, at: number) => replay.levelAt(report, at);
const lastOf = (bucket: Bucket) => replay.lastOf(bucket);
const ofKind = <K extends string>(kind: K) =>
  arbitraryHistory(view).filter((report) => report.kind === kind);
const withOwn = <R extends object>(report: R, condition: unknown): R => ({
  ...report,
  ...(condition ? { where: condition } : { where: undefined }),
});

/** Every instant at which an item goes into a filter or out of it. */
const crossingsOf = (report: object) =>
  replay.stepsOf(report).map(({ key, at, is }) => ({ key, at, into: is !== null }));

test("levels are what a replay of every item finds at the end of each stretch", async () => {
  await fc.assert(
    fc.asyncProperty(ofKind("level"), where(), async (given, condition) => {
      const { split: _split, ...report } = withOwn(given as LevelReport, condition);
      const answer = levelAnswer(await runPlan(em, planLevel(report, view)));
      const told = answer.rows
        .filter((row) => row.cell !== null)
        .map((row) => Number(row.cell!.value));
      const wanted = answer.rows
        .filter((row) => row.cell !== null)
        .map((row) => levelAt(report, lastOf(row.bucket)));
      expect([printReport(report, view.catalog), told]).toEqual([expect.anything(), wanted]);
    }),
    { numRuns: 60, endOnFailure: true },
  );
}, 120_000);

test("the parts of a split level add up to it", async () => {
  await fc.assert(
    fc.asyncProperty(
      ofKind("level").filter((report) => "split" in report),
      async (report) => {
        const answer = levelAnswer(await runPlan(em, planLevel(report as LevelReport, view)));
        for (const row of answer.rows)
          if (row.cell)
            expect([
              printReport(report, view.catalog),
              row.parts.reduce((sum, part) => sum + Number(part!.value), 0),
            ]).toEqual([expect.anything(), Number(row.cell.value)]);
      },
    ),
    { numRuns: 30, endOnFailure: true },
  );
}, 120_000);

test("arrivals and departures are the steps of a replay, and carry one level to the next", async () => {
  await fc.assert(
    fc.asyncProperty(ofKind("crossings"), where(), async (given, condition) => {
      const report = withOwn(given as CrossingsReport, condition);
      const answer = crossingsAnswer(await runPlan(em, planCrossings(report, view)));
      const steps = crossingsOf(report);
      for (const { bucket, crossing } of answer.rows) {
        if (!crossing) continue;
        const inside = steps.filter((step) => step.at >= bucket.start && step.at <= lastOf(bucket));
        const says = printReport(report, view.catalog);
        expect([says, bucket.from, crossing.arrivals, crossing.departures]).toEqual([
          says,
          bucket.from,
          inside.filter((step) => step.into).length,
          inside.filter((step) => !step.into).length,
        ]);
        expect(Number(crossing.levelStart) + crossing.arrivals - crossing.departures).toBe(
          Number(crossing.levelEnd),
        );
        expect([says, Number(crossing.levelEnd)]).toEqual([says, levelAt(report, lastOf(bucket))]);
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
}, 120_000);

test("a bridge leads from one level to the other, and its parts name every item that made the difference", async () => {
  await fc.assert(
    fc.asyncProperty(
      ofKind("bridge").filter((report) => (report as BridgeReport).to < "2026-11-24"),
      where(),
      async (given, condition) => {
        const report = withOwn(given as BridgeReport, condition);
        const answer = bridgeAnswer(await runPlan(em, planBridge(report, view)));
        const says = printReport(report, view.catalog);
        expect([says, Number(answer.levelFrom), Number(answer.levelTo)]).toEqual([
          says,
          levelAt(report, answer.from - 1),
          levelAt(report, answer.to - 1),
        ]);
        expect([
          says,
          answer.parts.reduce((sum, part) => sum + Number(part.amount), Number(answer.levelFrom)),
        ]).toEqual([says, Number(answer.levelTo)]);
        const parted = lines.filter(
          (line) =>
            replay.isIn(report, line, answer.from - 1) !== replay.isIn(report, line, answer.to - 1),
        );
        expect(answer.parts.reduce((sum, part) => sum + part.count, 0)).toBeGreaterThanOrEqual(
          parted.length,
        );
      },
    ),
    { numRuns: 60, endOnFailure: true },
  );
}, 120_000);

test("a burndown is committed, added, removed, finished, reopened and estimated anew, to the last item", async () => {
  const closed = view.catalog.names.list("sprint").map((sprint) => sprint.id);
  for (const sprint of closed) {
    for (const unit of ["count", "points", "remaining estimate"] as const) {
      const { burndown } = burndownAnswer(
        await runPlan(
          em,
          planBurndown(
            { kind: "burndown", subject: { id: "items" }, of: { kind: "sprint", sprint }, unit },
            view,
          ),
        ),
      );
      if (!burndown) continue;
      const weight = (record: Record<string, unknown>) =>
        unit === "count" ? 1 : Number(record[unit] ?? 0);
      const remainingAt = (at: number) =>
        lines.reduce((sum, line) => {
          const record = recordAt(line, at, view);
          return existsAt(line, at) &&
            record.sprint === sprint &&
            (record.stage === "waiting" || record.stage === "under way")
            ? sum + weight(record)
            : sum;
        }, 0);
      const { totals } = burndown;
      const left =
        Number(burndown.committed) +
        Number(totals.added) -
        Number(totals.removed) -
        Number(totals.finished) +
        Number(totals.reopened) +
        Number(totals["re-estimated"]);
      expect([sprint, unit, left]).toEqual([sprint, unit, Number(burndown.remaining)]);
      expect([sprint, unit, Number(burndown.committed)]).toEqual([
        sprint,
        unit,
        remainingAt(burndown.start),
      ]);
      expect([sprint, unit, Number(burndown.remaining)]).toEqual([
        sprint,
        unit,
        remainingAt(burndown.until),
      ]);
    }
  }
});

test("velocity is what the burndowns of the closed sprints say", async () => {
  const team = view.catalog.names.list("team").map((one) => one.id);
  for (const id of team) {
    const { sprints } = velocityAnswer(
      await runPlan(
        em,
        planVelocity(
          { kind: "velocity", subject: { id: "items" }, team: id, unit: "points", last: 5 },
          view,
        ),
      ),
    );
    for (const sprint of sprints) {
      const { burndown } = burndownAnswer(
        await runPlan(
          em,
          planBurndown(
            {
              kind: "burndown",
              subject: { id: "items" },
              of: { kind: "sprint", sprint: sprint.id },
              unit: "points",
            },
            view,
          ),
        ),
      );
      expect([sprint.name, Number(sprint.committed), Number(sprint.finished)]).toEqual([
        sprint.name,
        Number(burndown!.committed),
        Number(burndown!.totals.finished) - Number(burndown!.totals.reopened),
      ]);
    }
  }
});

test("each level, each crossing and each part of a bridge opens exactly its records", async () => {
  await fc.assert(
    fc.asyncProperty(
      ofKind("level"),
      ofKind("crossings"),
      ofKind("bridge"),
      async (level, crossings, bridge) => {
        const open = async (report: Report, path: string[], split?: string) =>
          (
            await runPlan(
              em,
              openedRecords(
                report,
                {
                  opened: { path, ...(split === undefined ? {} : { split }) },
                  showing: [["key"]],
                  sorts: [],
                  offset: 0,
                  limit: 500,
                },
                view,
              ),
            )
          ).rows.map((row) => row.key);
        const levels = levelAnswer(await runPlan(em, planLevel(level as LevelReport, view)));
        for (const [i, row] of levels.rows.entries()) {
          if (!row.cell || i % Math.ceil(levels.rows.length / 8)) continue;
          expect((await open(level, [`b${i}`])).length).toBe(Number(row.cell.value));
          for (const [j, part] of row.parts.entries())
            expect((await open(level, [`b${i}`], levels.split[j].key)).length).toBe(
              Number(part!.value),
            );
        }
        const flows = crossingsAnswer(
          await runPlan(em, planCrossings(crossings as CrossingsReport, view)),
        );
        const steps = crossingsOf(crossings);
        for (const [i, { bucket, crossing }] of flows.rows.entries()) {
          if (!crossing || i % Math.ceil(flows.rows.length / 8)) continue;
          const inside = steps.filter(
            (step) => step.at >= bucket.start && step.at <= lastOf(bucket),
          );
          for (const [way, into] of [
            ["in", true],
            ["out", false],
          ] as const)
            expect((await open(crossings, [`b${i}`, way])).sort()).toEqual(
              inside
                .filter((step) => step.into === into)
                .map((step) => step.key)
                .sort(),
            );
        }
        const parts = bridgeAnswer(
          await runPlan(em, planBridge(bridge as BridgeReport, view)),
        ).parts;
        for (const [i, part] of parts.entries())
          expect((await open(bridge, [`p${i}`])).length).toBe(part.count);
      },
    ),
    { numRuns: 25, endOnFailure: true },
  );
}, 120_000);
