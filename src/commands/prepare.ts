import { migrate } from "@/data/database";
import { prepareWorkspace } from "@/server/bundles/prepareWorkspace";
import { systemClock } from "@/server/clock";
import { parseInstant } from "@/core/time";
import { runCommand } from "./run";

/** Brings the schema up to date and fills a new workspace. GRAND_TALLY_END fixes the instant at which the demo ends (tests). */
runCommand(async () => {
  await migrate();
  const end = process.env.GRAND_TALLY_END ? parseInstant(process.env.GRAND_TALLY_END) : null;
  await prepareWorkspace(process.argv.includes("--empty") ? "empty" : "demo", end ?? systemClock.now(), (line) => process.stdout.write(`${line}\n`));
});
