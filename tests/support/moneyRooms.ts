import { parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { MONEY_BUNDLE } from "../golden/money/load";
import { acting } from "./acting";
import { freshDatabase } from "./database";
import { deskFor } from "./desk";

/** The golden world of projects and money, in which people act. */
export const NOW = parseInstant("2026-11-24T15:30:00Z")!;
export const clock = { now: () => NOW };
export const { as, whyNot } = acting(clock);
export let em: EntityManager;
/** The refit, which cal manages. */
export let heron: number;

/** Makes it, in a database of this name. */
export async function beginMoneyRooms(database: string): Promise<void> {
  em = await freshDatabase(database);
  await importBundle(em, await readBundleFiles(MONEY_BUNDLE), { now: NOW });
  await withConnection(em, (client) =>
    client.query("UPDATE people SET email = login || '@saltmarsh.example'"),
  );
  heron = await projectNamed("Heron refit");
}

export async function projectNamed(name: string): Promise<number> {
  const { view } = await deskFor(em, "gil", clock);
  return view.catalog.names.named("project", name)[0].id;
}

/** Enters how far the refit is on a day, over what stands there. */
export async function enterDone(on: string, actual: string | null): Promise<void> {
  const line = (await as("cal", "progress", { project: heron })).find((one) => one.on === on);
  const was = line ? { actual: line.actual, planned: line.planned } : null;
  await as("cal", "saveProgress", { project: heron, on, actual, was });
}
