import { LockMode, unitOfWork, type EntityManager } from "../database";
import { BoardView } from "../entities";
import type { Viewer } from "./names";

/** What somebody chose of a dashboard's filters: a condition in words for each; null is "any". */
type Chosen = Readonly<Record<string, string | null>>;

/** How a viewer left a dashboard. */
export interface BoardViewRow {
  readonly chosen: Chosen;
  /** When they saw it the time before this one, as ISO text; null at a first visit. */
  readonly before: string | null;
}

/** Seen again within this time it is still the same visit. */
const VISIT_MS = 30 * 60_000;

/** The view that somebody has of a dashboard, made where there is none; it may be opened in several windows at once. */
async function ownView(unit: EntityManager, viewer: Viewer, dashboardId: number, now: Date) {
  const key = { person: viewer.person, dashboardId };
  const fresh = { ...key, chosen: {}, seenAt: now, beforeAt: null };
  await unit.upsert(BoardView, fresh, { onConflictAction: "ignore" });
  return unit.findOneOrFail(BoardView, key, {
    lockMode: LockMode.PESSIMISTIC_WRITE,
    refresh: true,
  });
}

/** Notes that somebody looks at a dashboard, and tells how they left it. */
export const visitBoard = (
  em: EntityManager,
  viewer: Viewer,
  dashboardId: number,
  now: Date,
): Promise<BoardViewRow> =>
  unitOfWork(em, async (unit) => {
    const kept = await ownView(unit, viewer, dashboardId, now);
    const isNewVisit = now.getTime() - kept.seenAt.getTime() > VISIT_MS;
    if (isNewVisit) kept.beforeAt = kept.seenAt;
    if (now > kept.seenAt) kept.seenAt = now;
    return { chosen: kept.chosen, before: kept.beforeAt?.toISOString() ?? null };
  });

/** Keeps what somebody chose of a dashboard's filters. */
export const keepChosen = (
  em: EntityManager,
  viewer: Viewer,
  dashboardId: number,
  chosen: Chosen,
  now: Date,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const kept = await ownView(unit, viewer, dashboardId, now);
    kept.chosen = { ...chosen };
  });
