import type { RoomKind } from "@/contract/rooms";
import { fresh, unitOfWork, withConnection, type EntityManager } from "../database";
import { DashboardEntity, RoomBoard } from "../entities";
import { isoDay } from "./instants";

/** The dashboards that the room of a thing shows: that of its type first, then its own. */
export async function roomBoards(
  em: EntityManager,
  kind: RoomKind,
  type: string,
  target: number,
): Promise<{ readonly id: number; readonly name: string; readonly isOwn: boolean }[]> {
  const found = await fresh(em).find(
    RoomBoard,
    { kind, $or: [{ type }, { targetId: target }], dashboard: { deletedAt: null } },
    { populate: ["dashboard"] },
  );
  return found
    .map(({ dashboard, targetId }) => ({
      id: dashboard.id,
      name: dashboard.name,
      isOwn: targetId !== null && targetId !== undefined,
    }))
    .sort((a, b) => Number(a.isOwn) - Number(b.isOwn));
}

/** Sets which dashboard rooms show; null takes it away. */
export const putRoomBoard = (
  em: EntityManager,
  kind: RoomKind,
  of: { readonly type: string } | { readonly target: number },
  dashboard: number | null,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const where =
      "type" in of
        ? { kind, type: of.type, targetId: null }
        : { kind, type: null, targetId: of.target };
    await unit.nativeDelete(RoomBoard, where);
    if (dashboard !== null)
      unit.create(RoomBoard, {
        ...where,
        dashboard: unit.getReference(DashboardEntity, dashboard),
      });
  });

/** A release as it is kept; days are local ones. */
export interface ReleaseRow {
  readonly id: number;
  readonly name: string;
  readonly project: number | null;
  readonly projectName: string | null;
  readonly starts: string | null;
  readonly due: string | null;
  readonly released: string | null;
}

/** All releases, whoever sees them: what is due last comes first, without a date at the end. */
export const releaseRows = (em: EntityManager): Promise<ReleaseRow[]> =>
  withConnection(em, async (client) => {
    const { rows } = await client.query<ReleaseRow & Record<string, unknown>>(
      `SELECT r.id, r.name, r.project_id AS project, p.name AS "projectName", ${isoDay("r.starts_on")} AS starts,
         ${isoDay("r.due_on")} AS due, ${isoDay("r.released_on")} AS released
       FROM releases r LEFT JOIN projects p ON p.id = r.project_id
       ORDER BY r.due_on DESC NULLS LAST, r.name COLLATE "natural"`,
    );
    return rows;
  });

/** Who leads the team of a sprint; null where nobody does. */
export const leaderOfSprint = (em: EntityManager, sprint: number): Promise<number | null> =>
  withConnection(em, async (client) => {
    const { rows } = await client.query<{ leader: number | null }>(
      "SELECT t.manager_id AS leader FROM sprints s JOIN teams t ON t.id = s.team_id WHERE s.id = $1",
      [sprint],
    );
    return rows[0]?.leader ?? null;
  });
