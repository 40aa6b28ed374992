import { parseInstant, type Instant } from "@/core/time";
import {
  createWorkspace,
  findPersonByLogin,
  findProjectByName,
  hasWorkspace,
  importBundle,
  migrate,
  newSession,
  refreshHistories,
} from "@/data";
import { DEMO_PASSWORD, FIGURES, makeWorld } from "@/demo";
import { setPasswords } from "@/server/accounts/signIn";
import { systemClock } from "@/server/clock";
import { makeFirstRoom } from "@/server/projects/firstRooms";
import { makeReadyMade } from "@/server/library/readyMade";
import { runCommand } from "./run";

const SEED = 7;
/** The project that has briefings from the start. */
const SHOWN_PROJECT = "Heron refit";
const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** Fills a new demo workspace: Saltmarsh Ferries with its history up to an instant, its sign-ins and its ready-made reports. */
async function makeDemo(end: Instant): Promise<void> {
  const em = await newSession();
  say("Making Saltmarsh Ferries: 26 months of a ferry company …");
  await createWorkspace(em, "Saltmarsh Ferries", {
    password: DEMO_PASSWORD,
    people: FIGURES.map(({ login, name, role, team, says }) => ({ login, name, role, team, says })),
  });
  const outcome = await importBundle(em, makeWorld({ seed: SEED, end }), { now: end });
  const [wrong] = outcome.refused;
  if (wrong)
    throw new Error(
      `the demo refuses ${outcome.refused.length} of its own rows: ${wrong.table} line ${wrong.line}, ${wrong.reason}`,
    );
  await setPasswords(
    em,
    FIGURES.map(({ login }) => ({ login, password: DEMO_PASSWORD })),
  );
  const builder = await findPersonByLogin(em, "ines");
  if (builder !== null) await makeReadyMade(em, builder);
  const project = await findProjectByName(em, SHOWN_PROJECT);
  if (project !== null) await makeFirstRoom(em, { now: () => end }, project);
}

/** Brings the schema up to date and fills a new workspace. GRAND_TALLY_END fixes the instant at which the demo ends (tests). */
runCommand(async () => {
  await migrate();
  const em = await newSession();
  await refreshHistories(em);
  if (await hasWorkspace(em)) return;
  if (process.argv.includes("--empty"))
    return void (await createWorkspace(em, "Our workspace", null));
  const end = process.env.GRAND_TALLY_END ? parseInstant(process.env.GRAND_TALLY_END) : null;
  await makeDemo(end ?? systemClock.now());
});
