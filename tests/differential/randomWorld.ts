import fc from "fast-check";
import { printReport, type Report } from "@/core/kinds";
import type { Viewpoint } from "@/core/relation";
import { BUCKET_GRAINS, hasTooManyBuckets, parseInstant, resolvePeriod } from "@/core/time";
import { importBundle, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { deskOf } from "@/server/viewer/viewpoint";
import { arbitraryCondition, arbitraryPeriod, namedFields } from "../support/arbitraryConditions";
import { freshDatabase } from "../support/database";
import { randomHistories } from "../support/randomHistories";
import { viewerNamed } from "../support/viewer";
import { everyRecord } from "./records";
import { Replay } from "./replay";
import { readTimelines } from "./timeline";

/** A workspace of random histories, and a replay of it that answers without SQL. */

export const NOW = parseInstant("2026-11-24T15:30:00Z")!;
export const SEED = Number(process.env.HISTORY_SEED ?? Date.now() % 1_000_000);
export let em: EntityManager;
export let view: Viewpoint;
export let replay: Replay;

/** Makes it, in a database of this name. */
export async function beginWorld(database: string): Promise<void> {
  em = await freshDatabase(database);
  const { refused } = await importBundle(em, await randomHistories(SEED, 150), { now: NOW });
  if (refused.length) throw new Error(`seed ${SEED}: ${JSON.stringify(refused[0])}`);
  const viewer = await viewerNamed(em, "gil");
  view = (await deskOf(em, viewer!, { now: () => NOW })).view;
  const records = await everyRecord(em, { ...view, deletedToo: true });
  replay = new Replay(await withConnection(em, (client) => readTimelines(client, records)), view);
}

export const says = (report: Report): string =>
  `seed ${SEED}: ${printReport(report, view.catalog)}`;
export const fields = () =>
  namedFields(view).filter(
    (field) => field.tracked || ["title", "kind", "stage"].includes(field.id),
  );
export const where = () =>
  fc.option(arbitraryCondition(view, fields(), 1), { nil: undefined, freq: 6 });
export const stretch = () =>
  fc
    .record({ grain: fc.constantFrom(...BUCKET_GRAINS), period: arbitraryPeriod })
    .filter(
      ({ grain, period }) => !hasTooManyBuckets(resolvePeriod(period, NOW, view.calendar), grain),
    );
export const items = { subject: { id: "items" as const } };
export const measured = fc.constantFrom(["points"], ["remaining estimate"]);
export const close = (told: string | null, wanted: number | null) =>
  wanted === null
    ? told === null
    : told !== null && Math.abs(Number(told) - wanted) < 1e-6 * Math.max(1, Math.abs(wanted));
export const mean = (values: readonly number[]): number | null =>
  values.length ? values.reduce((all, value) => all + value, 0) / values.length : null;
export const check = <T>(
  arbitrary: fc.Arbitrary<T>,
  property: (value: T) => Promise<void>,
  numRuns: number,
) => fc.assert(fc.asyncProperty(arbitrary, property), { numRuns, endOnFailure: true });
