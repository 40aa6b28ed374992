import { exportBundle, newSession } from "@/data";
import { fromCaller, runCommand } from "./run";

/** bin/export FOLDER */
runCommand(async () => {
  const [folder] = process.argv.slice(2);
  if (!folder) throw new Error("say where to write it: bin/export FOLDER");
  const files = await exportBundle(await newSession(), fromCaller(folder));
  process.stdout.write(`Wrote ${files.length} files to ${fromCaller(folder)}\n`);
});
