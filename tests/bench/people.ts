import { performance } from "node:perf_hooks";
import { parseSentence } from "@/core/kinds";
import { readQuestion } from "@/core/plain";

import { closeDatabase, newSession } from "@/data";
import { withConnection } from "@/data/database";
import { askValues } from "@/server/reports/room";
import { deskFor, ms, RUNS, say, timed } from "./timed";

/** Twelve words each; the last with two that are misspelt. */
const QUESTIONS = [
  "how many open P1 faults of Engine shop were created last month by assignee",
  "average lead time of requests finished in October by service and then priority",
  "falts closed by Tomas Reyl in the last 12 weeks split by priroity",
];

/** A letter more in the search of a workspace that has 100,000 people; they stay in it. */
async function main(): Promise<void> {
  const em = await newSession();
  await withConnection(em, async (client) => {
    await client.query(
      "INSERT INTO people (login, name, role, team_id) SELECT 'more' || n, (ARRAY['Ana','Bento','Clara','Duarte','Elia'])[1 + n % 5] || ' ' || (ARRAY['Costa','Dias','Esteves','Faria'])[1 + n % 4] || ' ' || n, 'member', (SELECT min(id) FROM teams) FROM generate_series(1, 100000) n",
    );
    await client.query(
      "INSERT INTO person_projects SELECT id, 0 FROM people ON CONFLICT DO NOTHING",
    );
    await client.query("UPDATE workspace SET names_version = names_version + 1");
  });
  const desk = await deskFor(em, "ines");
  const parsed = parseSentence("count items where status is open by team", desk.view);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  for (const words of ["cl", "clara faria 7"]) {
    const { median, most } = await timed(() =>
      askValues(em, desk, parsed.value, ["assignee"], undefined, words),
    );
    say(
      `${ms(median)} (at most ${ms(most)}, median of ${RUNS}, warm): "${words}" looked for among ${desk.view.catalog.names.list("person").length} people, with their counts`,
    );
  }
  const began = performance.now();
  readQuestion("open faults", desk.view);
  say(`${ms(performance.now() - began)} (1 run, cold): the first question among these names`);
  for (const question of QUESTIONS) {
    const { median, most } = await timed(async () => readQuestion(question, desk.view));
    say(`${ms(median)} (at most ${ms(most)}, median of ${RUNS}, warm): "${question}" is read`);
  }
}

main()
  .catch((error: unknown) => {
    process.stderr.write(`bench: ${(error as Error).message}\n`);
    process.exitCode = 1;
  })
  .finally(closeDatabase);
