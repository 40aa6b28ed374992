import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import type { Clock } from "@/server/clock";
import { GOLDEN_BUNDLE } from "../golden/load";
import { freshDatabase } from "./database";
import { fixedClock } from "./desk";

/** A database of this test file's own with the golden world in it, as of an instant. Call `dropDatabase` when done. */
export async function goldenDatabase(
  name: string,
  clock: Clock = fixedClock,
): Promise<EntityManager> {
  const em = await freshDatabase(name);
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now: clock.now() });
  return em;
}
