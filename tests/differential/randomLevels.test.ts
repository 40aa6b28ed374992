import { levelAnswer, planLevel } from "@/core/kinds/planned";
import { type LevelReport } from "@/core/kinds";
import fc from "fast-check";

import { TRACKED } from "@/core/history";

import { workClock } from "@/core/time";
import { runPlan } from "@/data";
import { withConnection } from "@/data/database";
import { dropDatabase } from "../support/database";
import { sum } from "./replay";
import { recordAt } from "./timeline";

import {
  NOW,
  SEED,
  em,
  view,
  replay,
  beginWorld,
  says,
  where,
  stretch,
  items,
  measured,
  close,
  mean,
  check,
} from "./randomWorld";

beforeAll(() => beginWorld("random_levels"));
afterAll(dropDatabase);

test("every state that is kept is what its moves come to", async () => {
  const rows = await withConnection(
    em,
    async (client) =>
      (
        await client.query<{
          item_id: number;
          at: string;
          status_id: number | null;
          priority_id: number | null;
          points: string | null;
          is_open: boolean;
          began: number;
          ended: number;
          valid_to: string;
        }>(
          "SELECT item_id, (extract(epoch FROM valid_from) * 1e6)::bigint::text AS at, status_id, priority_id, points::text, is_open, began, ended, valid_to::text FROM state_spans ORDER BY item_id, valid_from",
        )
      ).rows,
  );
  expect(rows.length).toBeGreaterThan(replay.lines.length);
  for (const [i, row] of rows.entries()) {
    const line = replay.lines.find((one) => one.id === row.item_id);
    if (!line) continue;
    const then = recordAt(line, Number(row.at), view);
    expect([
      SEED,
      line.key,
      row.status_id,
      row.priority_id,
      row.points === null ? null : Number(row.points),
    ]).toEqual([SEED, line.key, then.status, then.priority, then.points]);
    expect([SEED, line.key, row.is_open]).toEqual([
      SEED,
      line.key,
      then.stage === "waiting" || then.stage === "under way",
    ]);
    // What a state ended with is what the next one began with; the first begins with being there.
    const before = rows[i - 1]?.item_id === row.item_id ? rows[i - 1] : undefined;
    expect([SEED, line.key, row.began]).toEqual([
      SEED,
      line.key,
      before ? before.ended : 1 << (TRACKED.length + 1),
    ]);
    if (row.valid_to === "infinity") expect(row.ended).toBe(0);
  }
});

test("levels of counts, sums, averages, medians and largest values are what a replay finds, in all and by group", async () => {
  const measures = fc.oneof(
    fc.constant(undefined),
    fc
      .tuple(
        fc.constantFrom("sum" as const, "average" as const, "median" as const, "highest" as const),
        measured,
      )
      .map(([measure, field]) => ({ measure, field: [...field] })),
  );
  const split = fc.option(fc.constantFrom("status", "priority", "team", "assignee"), {
    nil: undefined,
  });
  await check(
    fc.tuple(stretch(), where(), measures, split),
    async ([at, condition, measure, by]) => {
      const report: LevelReport = {
        kind: "level",
        ...items,
        ...at,
        ...(condition ? { where: condition as LevelReport["where"] } : {}),
        ...(measure ? { measure } : {}),
        ...(by ? { split: { field: [by] } } : {}),
      };
      const answer = levelAnswer(await runPlan(em, planLevel(report, view)));
      for (const row of answer.rows) {
        if (!row.cell) continue;
        const instant = replay.lastOf(row.bucket);
        const of = (lines: readonly { readonly key: string }[]) => {
          const there = replay.thereAt(report, instant).filter((line) => lines.includes(line));
          const values = measure
            ? there
                .map((line) => recordAt(line, instant, view)[measure.field[0]])
                .filter((value) => value !== null && value !== undefined)
                .map(Number)
                .sort((a, b) => a - b)
            : [];
          if (!measure) return there.length;
          if (measure.measure === "sum") return sum(values);
          if (measure.measure === "highest")
            return values.length ? values[values.length - 1] : null;
          if (measure.measure === "average") return mean(values);
          const middle = (values.length - 1) / 2;
          return values.length
            ? (values[Math.floor(middle)] + values[Math.ceil(middle)]) / 2
            : null;
        };
        expect([
          says(report),
          row.bucket.from,
          row.cell.value,
          close(row.cell.value, of(replay.lines)),
        ]).toEqual([says(report), row.bucket.from, row.cell.value, true]);
        for (const [i, head] of answer.split.entries()) {
          const key = head.key === "n" ? null : Number(head.key.slice(1));
          const group = replay.lines.filter(
            (line) => (recordAt(line, instant, view)[by!] ?? null) === key,
          );
          const part = row.parts[i]!;
          expect([
            says(report),
            row.bucket.from,
            head.label,
            part.value,
            close(part.value, of(group)),
          ]).toEqual([says(report), row.bucket.from, head.label, part.value, true]);
        }
      }
    },
    60,
  );
}, 300_000);

test("average ages at the ends of buckets are those of what was open then, by the clock and in working time", async () => {
  const clock = workClock(view.calendar);
  await check(
    fc.tuple(stretch(), where(), fc.constantFrom("age", "age in status"), fc.boolean()),
    async ([at, condition, field, working]) => {
      const report: LevelReport = {
        kind: "level",
        ...items,
        ...at,
        ...(condition ? { where: condition as LevelReport["where"] } : {}),
        measure: {
          measure: "average",
          field: [field],
          unit: "minutes",
          ...(working ? { working: true as const } : {}),
        },
      };
      const answer = levelAnswer(await runPlan(em, planLevel(report, view)));
      for (const row of answer.rows) {
        if (!row.cell) continue;
        const instant = replay.lastOf(row.bucket);
        const end = Math.min(row.bucket.end, NOW);
        const ages = replay
          .thereAt(report, instant)
          .filter((line) =>
            ["waiting", "under way"].includes(recordAt(line, instant, view).stage as string),
          )
          .map((line) => {
            // Of two moves at one instant only what stands after both counts.
            const changed = line.moves
              .filter(
                (move) =>
                  move.field === "status" &&
                  move.at <= instant &&
                  move.at > line.createdAt &&
                  recordAt(line, move.at - 1, view).status !== recordAt(line, move.at, view).status,
              )
              .map((move) => move.at);
            const since = field === "age" ? line.createdAt : Math.max(line.createdAt, ...changed);
            return (working ? clock.at(end) - clock.at(since) : end - since) / 60_000_000;
          });
        expect([
          says(report),
          row.bucket.from,
          row.cell.value,
          mean(ages),
          close(row.cell.value, mean(ages)),
        ]).toEqual([says(report), row.bucket.from, row.cell.value, mean(ages), true]);
      }
    },
    50,
  );
}, 300_000);
