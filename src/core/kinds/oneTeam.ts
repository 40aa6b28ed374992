import type { Condition } from "../filter";

/** The team that a condition asks for, where it asks for one and nothing else; null for any other condition. */
export function oneTeamOf(where: Condition): number | null {
  if (where.kind !== "test" || where.asOf || where.field.join() !== "team") return null;
  if (where.operator !== "is" && where.operator !== "isAnyOf") return null;
  const [value, ...others] = where.values;
  return others.length === 0 && value?.kind === "thing" ? value.id : null;
}
