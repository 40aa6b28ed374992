import { DEMO_PASSWORD, FIGURES, makeWorld } from "@/demo";
import { newSession } from "@/data/database";
import { importBundle } from "@/data/importBundle";
import { createWorkspace, hasWorkspace } from "@/data/workspaces";
import type { Instant } from "@/core/time";
import { setPasswords } from "../accounts/signIn";
import { makeReadyMade } from "../library/readyMade";

export const DEMO_SEED = 7;

/** Makes an empty workspace, or Saltmarsh Ferries with its history up to an instant; does nothing when there is one already. */
export async function prepareWorkspace(kind: "demo" | "empty", now: Instant, say: (line: string) => void): Promise<void> {
  const em = await newSession();
  if (await hasWorkspace(em)) return;
  await createWorkspace(em, kind === "demo" ? "Saltmarsh Ferries" : "Our workspace", kind === "demo");
  if (kind === "empty") return;
  say("Making Saltmarsh Ferries: 26 months of a ferry company …");
  const outcome = await importBundle(em, makeWorld({ seed: DEMO_SEED, end: now }), { now, onProgress: (doing, done, of) => done === 0 && say(`  ${doing} (${of})`) });
  if (outcome.refused.length) throw new Error(`the demo refuses ${outcome.refused.length} of its own rows: ${outcome.refused[0].table} line ${outcome.refused[0].line}, ${outcome.refused[0].reason}`);
  await setPasswords(em, FIGURES.map(({ login }) => ({ login, password: DEMO_PASSWORD })));
  await makeReadyMade(em, "ines");
}
