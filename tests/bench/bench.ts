import {
  findPersonByLogin,
  closeDatabase,
  createWorkspace,
  importBundle,
  migrate,
  newSession,
  runPlan,
  type EntityManager,
} from "@/data";
import { countAnswer, planCount, planRecords } from "@/core/kinds/planned";
import { type CountReport, parseSentence } from "@/core/kinds";
import { performance } from "node:perf_hooks";
import { parseInstant } from "@/core/time";

import { DEMO_PASSWORD, makeWorld } from "@/demo";
import { setPasswords } from "@/server/accounts/signIn";
import { makeReadyMade } from "@/server/library/readyMade";
import { withConnection } from "@/data/database";
import { PLAIN_DRESS } from "@/core/definition";
import { to as copyTo } from "pg-copy-streams";
import { exportReport } from "@/server/exports/exportReport";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { REFERENCES } from "./reference";
import { deskFor, ms, RUNS, say, timed } from "./timed";

const END = parseInstant("2026-11-24T15:30:00Z")!;

/** Questions of every kind, as the pickers make them. */
const QUESTIONS = [
  "count faults where status is open by priority split by status as stacked bars",
  "count requests by week of created for last 12 full weeks as columns",
  "average lead time in days of items where finished during last 3 months by team as bars",
  "median age in days of items where status is open by team",
  "count where created during this month, count where status is open, of faults by assignee top 8 as columns",
  "count faults where priority is any of (P1, P2) by team split by SLA resolution as stacked bars to 100 %",
  "count moves where field is assignee and old value is not empty and new value is not empty by old value top 8 split by new value as heat map",
  "count faults where status became Triaged during last 3 months by team as bars",
  "count items where priority as of 2026-06-30 is P1 by team as bars",
  "average time in Triaged in working hours of faults where finished during last 3 months by team as bars",
  "count faults by week of created for last 12 full weeks compared with the period before as columns",
  "level of faults where status is open at month ends for last 18 months split by priority as area",
  "arrivals and departures of faults where status is open by month for last 18 months as columns",
  "bridge of faults where status is open from 2026-10-01 to 2026-11-01 as waterfall",
  "burndown of sprint current in points as planks",
];

async function fill(scale: number): Promise<EntityManager> {
  await migrate();
  const em = await newSession();
  await createWorkspace(em, "Bench", null);
  const raw = makeWorld({ seed: 7, end: END, scale });
  const start = performance.now();
  let peak = 0;
  const watch = setInterval(() => (peak = Math.max(peak, process.memoryUsage().rss)), 200);
  const outcome = await importBundle(em, raw, { now: END });
  clearInterval(watch);
  say(
    `load: ${outcome.tables.items!.read} items, ${outcome.tables.moves!.read} moves in ${((performance.now() - start) / 1000).toFixed(1)} s, at most ${Math.round(peak / 1e6)} MB of memory, ${outcome.refused.length} refused (1 run, cold)`,
  );
  await setPasswords(em, [{ login: "ines", password: DEMO_PASSWORD }]);
  await makeReadyMade(em, (await findPersonByLogin(em, "ines"))!);
  return em;
}

async function compare(em: EntityManager, desk: Desk): Promise<void> {
  for (const { sentence, sql } of REFERENCES) {
    const parsed = parseSentence(sentence, desk.view);
    if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
    const report = parsed.value as CountReport;
    const ours = async () => countAnswer(await runPlan(em, planCount(report, desk.view)));
    const theirs = () =>
      withConnection(
        em,
        async (client) =>
          (await client.query<{ k: string | null; n: string }>(sql, [desk.viewer.visible])).rows,
      );
    const answer = await ours();
    const wanted = (await theirs()).map((row) => `${row.k ?? "not set"}=${Number(row.n)}`).sort();
    const got = answer.rows
      .map((row) => `${row.path[0].name ?? "not set"}=${Number(row.cells[0].value)}`)
      .sort();
    if (JSON.stringify(wanted) !== JSON.stringify(got))
      throw new Error(`${sentence}: answers differ\n${got.join(", ")}\n${wanted.join(", ")}`);
    // By turns, so that what else the machine does falls on both.
    const pairs = { ours: [] as number[], theirs: [] as number[] };
    for (let i = 0; i < RUNS; i += 1) {
      pairs.ours.push((await timed(ours, 1)).median);
      pairs.theirs.push((await timed(theirs, 1)).median);
    }
    const median = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)];
    const [a, b] = [median(pairs.ours), median(pairs.theirs)];
    say(
      `${(a / b).toFixed(2)} x reference: ${sentence} (${ms(a)} against ${ms(b)}, medians of ${RUNS} by turns, warm; answers equal)`,
    );
  }
}

async function main(): Promise<void> {
  const scale = Number(process.argv[2] ?? 1);
  const em = await fill(scale);
  const desk = await deskFor(em, "ines");
  say("\nPlanner against reference SQL");
  await compare(em, desk);
  say("\nReport answers at the server, as the room asks for them");
  for (const sentence of QUESTIONS) {
    const parsed = parseSentence(sentence, desk.view);
    if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
    const { median, least, most } = await timed(() =>
      askFigure(em, desk, parsed.value, PLAIN_DRESS),
    );
    say(`${ms(median)} (${ms(least)} to ${ms(most)}, median of ${RUNS}, warm): ${sentence}`);
  }
  const listed = parseSentence(
    "list faults where status is open showing key, title, age sorted by age descending",
    desk.view,
  );
  if (listed.ok) {
    const { median } = await timed(() =>
      runPlan(
        em,
        planRecords(
          listed.value,
          { showing: [["key"], ["title"], ["age"]], sorts: [], offset: 0, limit: 200 },
          desk.view,
        ),
      ),
    );
    say(`${ms(median)} (median of ${RUNS}, warm): a page of 200 records`);
  }
  await exported(em, desk);
}

/** The same rows as CSV, by the export and by a plain COPY of the table in their order and in none, by turns. */
async function exported(em: EntityManager, desk: Desk): Promise<void> {
  const parsed = parseSentence(
    "list items showing key, title, status, priority, created as list",
    desk.view,
  );
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  const drain = async (stream: AsyncIterable<Buffer>) => {
    let bytes = 0;
    for await (const chunk of stream) bytes += chunk.length;
    return bytes;
  };
  const ours = async () => {
    const made = await exportReport(
      em,
      desk,
      { draw: async () => new Uint8Array() },
      {
        format: "csv",
        of: "records",
        report: parsed.value,
        dress: PLAIN_DRESS,
        title: "x",
        link: "/",
      },
    );
    if ("why" in made) throw new Error(made.why);
    return drain(made.body as never);
  };
  const plain = (order: string) => () =>
    withConnection(em, (client) =>
      drain(
        client.query(
          copyTo(
            `COPY (SELECT i.key, i.title, s.name, p.name, i.created_at FROM items i LEFT JOIN statuses s ON s.id = i.status_id LEFT JOIN priorities p ON p.id = i.priority_id WHERE i.deleted_at IS NULL${order}) TO STDOUT (FORMAT csv)`,
          ),
        ) as never,
      ),
    );
  const times: number[][] = [];
  let most = 0;
  for (let run = 0; run < 12; run += 1) {
    const pair: number[] = [];
    for (const work of [ours, plain(" ORDER BY i.created_at DESC, i.id"), plain("")]) {
      const start = performance.now();
      await work();
      pair.push(performance.now() - start);
    }
    most = Math.max(most, process.memoryUsage().rss);
    if (run > 0) times.push(pair);
  }
  const middle = (at: number) => times.map((pair) => pair[at]).sort((a, b) => a - b)[5];
  say(
    `${(middle(0) / middle(1)).toFixed(2)} x COPY in the same order, ${(middle(0) / middle(2)).toFixed(2)} x in none: all items as CSV (${ms(middle(0))} against ${ms(middle(1))} and ${ms(middle(2))}, medians of 11 by turns, warm), at most ${Math.round(most / 1e6)} MB in the process`,
  );
}

main()
  .catch((error: unknown) => {
    process.stderr.write(`bench: ${(error as Error).message}\n`);
    process.exitCode = 1;
  })
  .finally(() => closeDatabase());
