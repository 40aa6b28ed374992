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
 * SQL: whether a dashboard hands a report on to those who read the dashboard. A tile gives no right of its own: it hands on
 * what whoever put it there may read, and no more.
 * @param board @param report aliases of their rows
 */
export const handedOn = (board: string, report: string): string =>
  `(${board}.deleted_at IS NULL AND ${board}.tiles @> jsonb_build_array(jsonb_build_object('report', ${report}.id)) AND EXISTS (SELECT FROM jsonb_array_elements(${board}.tiles) tile
     JOIN people adder ON adder.id = coalesce((tile->>'by')::int, ${board}.owner_id)
     WHERE tile->'report' = to_jsonb(${report}.id) AND ${mayRead(report, "report", "adder.id", "adder.role = 'administrator'")}))`;

/** SQL: what somebody may read by its own shares, and a report also by a dashboard that shows it. */
export const readableBy = (
  alias: string,
  kind: SharedKind,
  person: string,
  isAdministrator: string,
): string =>
  kind === "report"
    ? `(${mayRead(alias, kind, person, isAdministrator)} OR EXISTS (SELECT FROM dashboards b WHERE ${handedOn("b", alias)} AND ${mayRead("b", "dashboard", person, isAdministrator)}))`
    : mayRead(alias, kind, person, isAdministrator);

/** Reading, by whoever asks. */
export const readable = (alias: string, kind: SharedKind): string =>
  readableBy(alias, kind, "$1", "$2");

export const writable = (alias: string, kind: SharedKind): string =>
  mayWrite(alias, kind, "$1", "$2");

/** SQL: whether somebody has it in their side list. */
export const pinned = (alias: string, kind: SharedKind): string =>
  `EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = '${kind}' AND x.target_id = ${alias}.id)`;
