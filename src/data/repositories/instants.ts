/** SQL: an instant of a column as ISO 8601 in UTC, whole seconds. */
export const ISO = (column: string): string =>
  `to_char(${column} AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`;

/** The same of a date that an entity has. */
export const isoText = (date: Date): string => `${date.toISOString().slice(0, 19)}Z`;

/** SQL: a local day of a column as ISO 8601. */
export const isoDay = (column: string): string => `${column}::text`;
