import type { SharedKind } from "../entities";
import type { Viewer } from "./names";

/**
 * SQL: whether somebody may read a definition: its owner, an administrator, and whoever it is shared with, in person,
 * by one of their teams, or with everyone.
 * @param alias of the definition's row
 * @param person @param isAdministrator parameters, such as "$1"
 */
export const mayRead = (
  alias: string,
  kind: SharedKind,
  person: string,
  isAdministrator: string,
): string => allowed(alias, kind, person, isAdministrator, "");

/** The same for changing it: a share may say so. */
export const mayWrite = (
  alias: string,
  kind: SharedKind,
  person: string,
  isAdministrator: string,
): string => allowed(alias, kind, person, isAdministrator, "x.may_change AND ");

const allowed = (
  alias: string,
  kind: SharedKind,
  person: string,
  isAdministrator: string,
  more: string,
): string =>
  `(${alias}.owner_id = ${person} OR ${isAdministrator} OR EXISTS (SELECT 1 FROM shares x WHERE x.kind = '${kind}' AND x.target_id = ${alias}.id AND ${more}(x.everyone OR x.person_id = ${person} OR x.team_id IN (SELECT m.team_id FROM team_members m WHERE m.person_id = ${person}))))`;

/** The parameters $1 and $2 of the tests below: who asks, and whether as an administrator. */
export const asks = (viewer: Viewer): [number, boolean] => [
  viewer.person,
  viewer.role === "administrator",
];

/**
 * SQL: whether a dashboard that somebody may read shows a report. A tile gives no right of its own: it hands on what whoever
 * put it there may read, and no more.
 */
const shownOnBoard = (alias: string): string =>
  `EXISTS (SELECT 1 FROM dashboards b CROSS JOIN LATERAL jsonb_array_elements(b.tiles) tile JOIN people adder ON adder.id = coalesce((tile->>'by')::int, b.owner_id)
     WHERE b.deleted_at IS NULL AND b.tiles @> jsonb_build_array(jsonb_build_object('report', ${alias}.id)) AND tile->'report' = to_jsonb(${alias}.id)
       AND ${mayRead("b", "dashboard", "$1", "$2")} AND ${mayRead(alias, "report", "adder.id", "adder.role = 'administrator'")})`;

/** Reading: what one may read by its own shares, and a report also by a dashboard that shows it. */
export const readable = (alias: string, kind: SharedKind): string =>
  kind === "report"
    ? `(${mayRead(alias, kind, "$1", "$2")} OR ${shownOnBoard(alias)})`
    : mayRead(alias, kind, "$1", "$2");

export const writable = (alias: string, kind: SharedKind): string =>
  mayWrite(alias, kind, "$1", "$2");

/** SQL: whether somebody has it in their side list. */
export const pinned = (alias: string, kind: SharedKind): string =>
  `EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = '${kind}' AND x.target_id = ${alias}.id)`;
