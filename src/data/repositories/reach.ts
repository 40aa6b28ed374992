import type { ReachedBoard, ReachedReport, Stranger } from "@/contract/library";
import { withConnection, type EntityManager } from "../database";
import type { SharedKind } from "../entities";
import type { Viewer } from "./names";
import { asks, handedOn, mayRead, readableBy } from "./sharing";

/** SQL: with whom a dashboard is shared, in words. */
const SHARED_WITH = `ARRAY(SELECT CASE WHEN s.everyone THEN 'everyone' ELSE coalesce(p.name, t.name) END FROM shares s
   LEFT JOIN people p ON p.id = s.person_id LEFT JOIN teams t ON t.id = s.team_id
  WHERE s.kind = 'dashboard' AND s.target_id = b.id ORDER BY s.everyone DESC, t.name, p.name)`;

/** The dashboards that hand a report on to those who read them: of these, those that the viewer may read. */
export async function boardsThatHandOn(
  em: EntityManager,
  viewer: Viewer,
  report: number,
): Promise<ReachedBoard[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<ReachedBoard>(
      `SELECT b.id, b.name, ${SHARED_WITH} AS "with" FROM dashboards b JOIN reports r ON r.id = $3
        WHERE ${handedOn("b", "r")} AND ${mayRead("b", "dashboard", "$1", "$2")} ORDER BY b.name, b.id`,
      [...asks(viewer), report],
    ),
  );
  return rows;
}

/** The reports on a dashboard that come with it when it is shared: of these, those that the viewer may read themselves. */
export async function reportsHandedOn(
  em: EntityManager,
  viewer: Viewer,
  board: number,
): Promise<ReachedReport[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<ReachedReport>(
      `SELECT r.id, r.name, o.name AS owner FROM reports r JOIN people o ON o.id = r.owner_id JOIN dashboards b ON b.id = $3
        WHERE r.deleted_at IS NULL AND ${handedOn("b", "r")} AND ${readableBy("r", "report", "$1", "$2")} ORDER BY r.name, r.id`,
      [...asks(viewer), board],
    ),
  );
  return rows;
}

/** Of some people, and the members of some teams, those who may not read a report or a dashboard. */
export async function strangersTo(
  em: EntityManager,
  kind: Exclude<SharedKind, "filter">,
  id: number,
  people: readonly number[],
  teams: readonly number[],
): Promise<Stranger[]> {
  const table = kind === "report" ? "reports" : "dashboards";
  const { rows } = await withConnection(em, (client) =>
    client.query<Stranger>(
      `SELECT p.id, p.name FROM people p JOIN ${table} t ON t.id = $1
        WHERE (p.id = ANY($2) OR p.id IN (SELECT m.person_id FROM team_members m WHERE m.team_id = ANY($3)))
          AND NOT ${readableBy("t", kind, "p.id", "(p.role = 'administrator')")} ORDER BY p.name, p.id`,
      [id, people, teams],
    ),
  );
  return rows;
}
