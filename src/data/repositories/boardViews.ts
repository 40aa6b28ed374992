import { fresh, unitOfWork, type EntityManager } from "../database";
import { BoardView } from "../entities";
import type { Viewer } from "./names";

/** How a viewer left a dashboard. Instants are ISO texts. */
export interface BoardViewRow {
  readonly chosen: Readonly<Record<string, string | null>>;
  /** When they saw it the time before this one; null at a first visit. */
  readonly before: string | null;
}

/** Seen again within this time it is still the same visit. */
const VISIT_MS = 30 * 60_000;

/** Notes that somebody looks at a dashboard, and tells how they left it. */
export const visitBoard = (
  em: EntityManager,
  viewer: Viewer,
  dashboardId: number,
  now: Date,
): Promise<BoardViewRow> =>
  unitOfWork(em, async (unit) => {
    const key = { person: viewer.person, dashboardId };
    const kept = await unit.findOne(BoardView, key);
    if (!kept) {
      unit.create(BoardView, { ...key, chosen: {}, seenAt: now, beforeAt: null });
      return { chosen: {}, before: null };
    }
    const isNewVisit = now.getTime() - kept.seenAt.getTime() > VISIT_MS;
    if (isNewVisit) kept.beforeAt = kept.seenAt;
    kept.seenAt = now;
    return { chosen: kept.chosen, before: kept.beforeAt?.toISOString() ?? null };
  });

/** How a viewer left a dashboard, without a visit; nothing where they never saw it. */
export async function boardViewOf(
  em: EntityManager,
  viewer: Viewer,
  dashboardId: number,
): Promise<BoardViewRow | null> {
  const kept = await fresh(em).findOne(BoardView, { person: viewer.person, dashboardId });
  return kept && { chosen: kept.chosen, before: kept.beforeAt?.toISOString() ?? null };
}

/** Keeps what somebody chose of a dashboard's filters. */
export const keepChosen = (
  em: EntityManager,
  viewer: Viewer,
  dashboardId: number,
  chosen: Readonly<Record<string, string | null>>,
  now: Date,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const key = { person: viewer.person, dashboardId };
    const kept = await unit.findOne(BoardView, key);
    if (kept) kept.chosen = { ...chosen };
    else unit.create(BoardView, { ...key, chosen: { ...chosen }, seenAt: now, beforeAt: null });
  });
