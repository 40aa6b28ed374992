import { setTimeout as wait } from "node:timers/promises";
import type { ItemChange } from "@/contract/items";
import { parseSentence, type ListReport } from "@/core/kinds";
import { planRecords } from "@/core/kinds/planned";
import { importBundle, loadViewer, newSession, runPlan, type EntityManager } from "@/data";
import { harbourStep, Random, type HarbourStep } from "@/demo";
import { systemClock } from "@/server/clock";
import { changeItems } from "@/server/items/changeItems";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";
import { runCommand } from "./run";

/** Who acts for the tool that this stands in for. */
const FEEDER = "runa";
/** How many of the oldest items of a status the next one is chosen among. */
const AMONG = 40;
const MOST_A_MINUTE = 1200;

/** bin/feed [STEPS A MINUTE] [MINUTES]: a stand-in for a live tool, which moves the demo on. */
runCommand(async () => {
  const [pace = "12", minutes] = process.argv.slice(2);
  const aMinute = Number(pace);
  if (!(aMinute > 0 && aMinute <= MOST_A_MINUTE))
    throw new Error(`say how many steps a minute, 1 to ${MOST_A_MINUTE}: bin/feed 12`);
  const until = minutes === undefined ? Infinity : Date.now() + Number(minutes) * 60_000;
  if (Number.isNaN(until)) throw new Error("say for how many minutes: bin/feed 12 5");
  const random = new Random(Date.now());
  let next = Date.now();
  while (Date.now() < until) {
    const told = await take(await newSession(), random);
    if (told) process.stdout.write(`${told}\n`);
    next += 60_000 / aMinute;
    await wait(Math.max(0, next - Date.now()));
  }
});

/** @returns what happened in a line; null where there was nothing that it could happen to */
async function take(em: EntityManager, random: Random): Promise<string | null> {
  const now = systemClock.now();
  const step = harbourStep(random, now);
  if (step.kind === "logged") {
    const outcome = await importBundle(em, step.bundle, { now });
    const [refused] = outcome.refused;
    if (refused) throw new Error(`${step.key} was refused: ${refused.reason}`);
    return `${step.key} was logged`;
  }
  const desk = await deskOfFeeder(em);
  const key = await someItem(em, desk, statusOf(step), random);
  if (key === null) return null;
  const change = changeOf(step, key, desk);
  const done = await changeItems(em, systemClock, desk, [change]);
  if (!done.ok) throw new Error(done.problems[0].message);
  return done.value.changed.length ? `${key}: ${change.field} is ${toldOf(step)}` : null;
}

type Change = Exclude<HarbourStep, { kind: "logged" }>;
const statusOf = (step: Change): string => (step.kind === "moved" ? step.from : step.status);
const toldOf = (step: Change): string => (step.kind === "taken" ? step.by : step.to);

async function deskOfFeeder(em: EntityManager): Promise<Desk> {
  const administrator = await loadViewer(em, 1);
  if (!administrator) throw new Error("the demo is not there: bin/start makes it");
  const { view } = await deskOf(em, administrator, systemClock);
  const [feeder] = view.catalog.names.named("person", FEEDER);
  const viewer = feeder && (await loadViewer(em, feeder.id));
  if (!viewer) throw new Error(`nobody is called ${FEEDER}: the feed moves the demo on, no other`);
  return deskOf(em, viewer, systemClock);
}

async function someItem(
  em: EntityManager,
  desk: Desk,
  status: string,
  random: Random,
): Promise<string | null> {
  const parsed = parseSentence(
    `list items where status is "${status}" sorted by created`,
    desk.view,
  );
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  const { showing, sorts } = parsed.value as ListReport;
  const wanted = { showing: showing ?? [], sorts: sorts ?? [], offset: 0, limit: AMONG };
  const { rows } = await runPlan(em, planRecords(parsed.value, wanted, desk.view));
  return rows.length ? random.pick(rows).key! : null;
}

const FIELD_OF = { moved: "status", taken: "assignee", ranked: "priority" } as const;
const TYPE_OF = { moved: "status", taken: "person", ranked: "priority" } as const;

function changeOf(step: Change, key: string, desk: Desk): ItemChange {
  const [thing] = desk.view.catalog.names.named(TYPE_OF[step.kind], toldOf(step));
  if (!thing) throw new Error(`there is no ${toldOf(step)}: the feed moves the demo on, no other`);
  return { key, field: FIELD_OF[step.kind], to: String(thing.id) };
}
