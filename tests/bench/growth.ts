import { type LevelReport, parseSentence } from "@/core/kinds";
import { planLevel } from "@/core/kinds/planned";
import { performance } from "node:perf_hooks";
import { PLAIN_DRESS } from "@/core/definition";

import { historyBuckets } from "@/core/plan/spans";

import type { RawBundle } from "@/core/bundle";
import { instantText, parseInstant, type Instant } from "@/core/time";
import {
  closeDatabase,
  createWorkspace,
  importBundle,
  migrate,
  newSession,
  runPlan,
  type EntityManager,
} from "@/data";
import { withConnection } from "@/data/database";
import { makeWorld } from "@/demo";
import { systemClock } from "@/server/clock";
import { changeItems } from "@/server/items/changeItems";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { makeCopies } from "./copies";
import { levelReference, LEVELS, naiveLevel } from "./reference";
import { deskFor, ms, say, timed } from "./timed";

const END = parseInstant("2026-11-24T15:30:00Z")!;
/** Items of the world that is copied, as a multiple of the demo. */
const SCALE = 1.7;
const RUNS = 7;
const NAIVE_AT_MOST = 60_000;

/** Questions of history, as the report room asks them. */
const QUESTIONS = [
  "level of items where status is open at day ends for last 30 days split by priority as area",
  "level of items where status is open at day ends for last 18 months split by priority as area",
  "arrivals and departures of faults where status is open by month for last 18 months as columns",
  "arrivals and departures of faults where status is open and priority is any of (P1, P2) by day for last 30 days as columns",
  "level of average age in days of items where status is open at month ends for last 18 months as line",
  'level of items where team is "Engine shop" at week ends for last 26 weeks split by status as area',
  "bridge of faults where status is open from 2026-10-01 to 2026-11-01 as waterfall",
  'burndown of sprint "Fares sprint 57" in points as planks',
];

async function fill(times: number): Promise<EntityManager> {
  await migrate();
  const em = await newSession();
  await createWorkspace(em, "Bench", null);
  await importBundle(em, makeWorld({ seed: 7, end: END, scale: SCALE }), { now: END });
  if (times > 1) await withConnection(em, (client) => makeCopies(client, times));
  return em;
}

const one = async (em: EntityManager, text: string): Promise<number> =>
  withConnection(em, async (client) => Number((await client.query<{ n: string }>(text)).rows[0].n));

/** Levels by the planner and by hand-written SQL, by turns; both as multiples of a plain count of the items in the same turns. */
async function levels(em: EntityManager, desk: Desk): Promise<void> {
  for (const { sentence, where } of LEVELS) {
    const parsed = parseSentence(sentence, desk.view);
    if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
    const report = parsed.value as LevelReport;
    const ours = () => runPlan(em, planLevel(report, desk.view));
    const { keys, levels: answer } = await ours();
    const borders = historyBuckets(report.period, report.grain, desk.view).borders.map(instantText);
    const asked = {
      text: levelReference(where),
      values: [desk.viewer.visible, borders, borders[0], borders[borders.length - 1]],
    };
    const theirs = () =>
      withConnection(
        em,
        async (client) => (await client.query<{ b: number; p: string; n: string }>(asked)).rows,
      );
    const wanted = new Map<string, number>();
    for (const row of await theirs())
      for (let b = row.b; b < borders.length; b += 1)
        wanted.set(`${b} ${row.p}`, (wanted.get(`${b} ${row.p}`) ?? 0) + Number(row.n));
    answer.forEach((level, b) =>
      keys.forEach((key, k) => {
        if (level && Number(level.parts[k].value) !== (wanted.get(`${b} ${key}`) ?? 0))
          throw new Error(
            `${sentence}: at ${borders[b]}, ${key}: ${level.parts[k].value}, by hand ${wanted.get(`${b} ${key}`)}`,
          );
      }),
    );
    const times: number[][] = [[], [], []];
    for (let run = 0; run < RUNS; run += 1) {
      const works = [ours, theirs, () => one(em, "SELECT count(*) AS n FROM items")];
      for (const [i, work] of works.entries()) times[i].push((await timed(work, 1)).median);
    }
    const [a, b, c] = times.map((list) => list.sort((x, y) => x - y)[Math.floor(RUNS / 2)]);
    say(
      `${ms(a)}, ${(a / b).toFixed(2)} x by hand (${ms(b)}), ${(a / c).toFixed(1)} x a count of the items (${ms(c)}): ${sentence} (medians of ${RUNS} by turns, warm; answers equal)`,
    );
    const naive = { text: naiveLevel(where), values: [desk.viewer.visible, borders] };
    const start = performance.now();
    await withConnection(em, async (client) => {
      await client.query(`SET statement_timeout = ${NAIVE_AT_MOST}`);
      await client.query(naive).then(
        () =>
          say(
            `  ${((performance.now() - start) / a).toFixed(0)} x that: a join of buckets with states (${ms(performance.now() - start)}, 1 run)`,
          ),
        () =>
          say(
            `  over ${(NAIVE_AT_MOST / a).toFixed(0)} x that: a join of buckets with states (given up after ${NAIVE_AT_MOST / 1000} s)`,
          ),
      );
      await client.query("RESET statement_timeout");
    });
  }
}

interface OpenItem {
  readonly key: string;
  readonly name: string;
  readonly title: string;
  readonly created: string;
}
const other = (name: string) => (name === "P3" ? "P4" : "P3");

/** Moves of the priority of items, to and fro, a second after one another. */
function movesOf(batch: readonly OpenItem[], each: number, now: Instant): RawBundle {
  const moves = batch.flatMap(({ key, name }) =>
    Array.from({ length: each }, (_, i) => {
      const [from, to] =
        i % 2 ? [other(name), i === each - 1 ? name : "P1"] : [i ? "P1" : name, other(name)];
      return [key, instantText(now - (each - i) * 1_000_000), "priority", from, to, "ines"];
    }),
  );
  const last = new Map(moves.map((move) => [move[0], move[4]]));
  return {
    items: {
      columns: ["key", "title", "created_at", "priority"],
      rows: batch.map(({ key, title, created }) => [key, title, created, last.get(key)!]),
    },
    moves: { columns: ["key", "at", "field", "from", "to", "by"], rows: moves },
  };
}

/** Moves that come in a batch, one for each item or four, and one at a time as from a list of items. */
async function moves(em: EntityManager, desk: Desk): Promise<void> {
  const open = await withConnection(
    em,
    async (client) =>
      (
        await client.query<OpenItem>(
          `SELECT i.key, p.name, i.title, to_char(i.created_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS created FROM items i JOIN priorities p ON p.id = i.priority_id
     WHERE i.is_open AND (i.project_id IS NULL OR $1::int[] IS NULL OR i.project_id = ANY($1)) ORDER BY md5(i.key) LIMIT 12900`,
          [desk.viewer.visible],
        )
      ).rows,
  );
  const [singles, fours, ones] = [open.slice(0, 400), open.slice(400, 2900), open.slice(2900)];
  for (const [batch, each] of [
    [ones, 1],
    [fours, 4],
  ] as const) {
    const now = systemClock.now();
    const start = performance.now();
    const outcome = await importBundle(em, movesOf(batch, each, now), { now });
    const took = performance.now() - start;
    say(
      `${Math.round((outcome.tables.moves!.fresh / took) * 1000)} moves a second: ${outcome.tables.moves!.fresh} in one bundle, ${each} for each item (${ms(took)}, ${outcome.refused.length} refused, 1 run)`,
    );
  }
  const ids = desk.view.catalog.names.list("priority");
  const times: number[] = [];
  for (const { key, name } of singles) {
    const change = {
      key,
      field: "priority",
      to: String(ids.find((priority) => priority.label === other(name))!.id),
    };
    const began = performance.now();
    const made = await changeItems(em, systemClock, desk, [change]);
    if (!made.ok || made.value.changed.length !== 1) throw new Error(`${key} was not moved`);
    times.push(performance.now() - began);
  }
  times.sort((x, y) => x - y);
  say(
    `${ms(times[Math.floor(times.length / 2)])} (p95 ${ms(times[Math.floor(times.length * 0.95)])}, ${times.length} runs, warm): a single move`,
  );
}

async function main(): Promise<void> {
  const em = process.argv[2] === "-" ? await newSession() : await fill(Number(process.argv[2]));
  const desk = await deskFor(em, "ines");
  const [items, kept, states] = [
    await one(em, "SELECT count(*) AS n FROM items"),
    await one(em, "SELECT count(*) AS n FROM moves"),
    await one(em, "SELECT count(*) AS n FROM state_spans"),
  ];
  const recent = await one(
    em,
    "SELECT count(*) AS n FROM moves WHERE at >= '2026-10-26T00:00:00Z'",
  );
  say(`\n${items} items, ${kept} moves (${recent} of them in the last 30 days), ${states} states`);
  await levels(em, desk);
  for (const sentence of QUESTIONS) {
    const parsed = parseSentence(sentence, desk.view);
    if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
    const { median, least, most } = await timed(
      () => askFigure(em, desk, parsed.value, PLAIN_DRESS),
      RUNS,
    );
    say(`${ms(median)} (${ms(least)} to ${ms(most)}, median of ${RUNS}, warm): ${sentence}`);
  }
  await moves(em, desk);
}

main()
  .catch((error: unknown) => {
    process.stderr.write(`growth: ${(error as Error).message}\n`);
    process.exitCode = 1;
  })
  .finally(() => closeDatabase());
