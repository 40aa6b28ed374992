export type SharedKind = "report" | "dashboard" | "filter";

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
