/** Sentences that several parts of a project's briefing ask. */

export const OF = "where project is this project";

/** Fields of the project itself. */
export const showing = (...fields: readonly string[]): string =>
  `list projects ${OF} showing ${fields.join(", ")}`;

/** What stands behind an amount of a project: its entries where it is a sum of them, else the project's own fields. */
export const BEHIND: Readonly<Record<string, string>> = {
  "actual cost": `sum of amount of cost entries ${OF} and spent on until today`,
  "planned to date": `list planned costs ${OF} showing planned for, category, amount sorted by planned for`,
  "planned cost": `sum of amount of planned costs ${OF}`,
  billed: `sum of amount of billings ${OF} and billed on until today`,
};

export const behind = (field: string, ...beside: readonly string[]): string =>
  BEHIND[field] ?? showing(...new Set([field, ...beside]));
