import { resolve } from "node:path";
import { closeDatabase } from "@/data";

/** Runs a command: its failures are one line on stderr, never a stack, and end with status 1. */
export function runCommand(work: () => Promise<void>): void {
  work()
    .catch((error: unknown) => {
      process.stderr.write(
        `grand tally: ${error instanceof Error ? error.message : String(error)}\n`,
      );
      process.exitCode = 1;
    })
    .finally(() => closeDatabase());
}

/** A path as the person who called meant it: the scripts change into the project's folder. */
export const fromCaller = (path: string): string => resolve(process.env.CALLED_FROM ?? ".", path);
