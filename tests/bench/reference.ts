/**
 * Hand-written SQL for sentences of every day, with the same row rights; $1 is the visible projects (null: all). Names are looked up once
 * and groups are named after they are counted, as one who knows the schema writes it. The indexes are those of the migration.
 */
const RIGHTS = "($1::int[] IS NULL OR i.project_id = ANY($1::int[]) OR i.project_id IS NULL)";
const ids = (table: string, test: string): string =>
  `ANY (ARRAY(SELECT id FROM ${table} WHERE ${test}))`;
const OPEN = "i.is_open";
const counted = (
  group: string,
  names: string,
  name: string,
  where: string,
  value = "count(*)",
): string =>
  `SELECT t.${name} AS k, c.n FROM (SELECT i.${group} AS g, ${value} AS n FROM items i WHERE i.deleted_at IS NULL AND ${where} AND ${RIGHTS} GROUP BY 1) c LEFT JOIN ${names} t ON t.id = c.g`;

export const REFERENCES: readonly { readonly sentence: string; readonly sql: string }[] = [
  {
    sentence: "count faults where status is open and priority is any of (P1, P2) by team",
    sql: counted(
      "team_id",
      "teams",
      "name",
      `i.kind_id = ${ids("kinds", "name = 'fault'")} AND ${OPEN} AND i.priority_id = ${ids("priorities", "name IN ('P1', 'P2')")}`,
    ),
  },
  {
    sentence:
      'count items where team is any of ("Engine shop", "Landing systems") and created during 2026 by status',
    sql: counted(
      "status_id",
      "statuses",
      "name",
      `i.team_id = ${ids("teams", "name IN ('Engine shop', 'Landing systems')")} AND i.created_at >= '2026-01-01T00:00:00Z' AND i.created_at < '2027-01-01T00:00:00Z'`,
    ),
  },
  {
    sentence: "count items where tags include any of (storm) and priority is P1 by service",
    sql: counted(
      "service_id",
      "services",
      "name",
      `i.tags_folded && ARRAY['storm'] AND i.priority_id = ${ids("priorities", "name = 'P1'")}`,
    ),
  },
  {
    sentence: "sum of estimate of items where status is open and weather is storm by assignee",
    sql: counted(
      "assignee_id",
      "people",
      "login",
      `${OPEN} AND i.custom_folded @> jsonb_build_object((SELECT id::text FROM fields WHERE name = 'weather'), 'storm')`,
      "coalesce(sum(i.estimate_minutes), 0)",
    ),
  },
];

const SPAN_RIGHTS =
  "($1::int[] IS NULL OR s.rights_project_id = ANY($1::int[]) OR s.rights_project_id IS NULL)";

/** Levels by priority, each with its conditions on states as one who knows the schema writes them. */
export const LEVELS: readonly { readonly sentence: string; readonly where: string }[] = [
  {
    sentence:
      "level of items where status is open at month ends for last 18 months split by priority as area",
    where: "s.is_open",
  },
  {
    sentence:
      'level of items where team is any of ("Engine shop", "Landing systems") and status is any of (Triaged, "In hand") at month ends for last 18 months split by priority as area',
    where: `s.is_open AND s.team_id = ${ids("teams", "name IN ('Engine shop', 'Landing systems')")} AND s.status_id = ${ids("statuses", "name IN ('Triaged', 'In hand')")}`,
  },
  {
    sentence:
      'level of items where team is any of ("Engine shop", "Landing systems") and status is any of (Triaged, "In hand") at week ends for last 156 weeks split by priority as area',
    where: `s.is_open AND s.team_id = ${ids("teams", "name IN ('Engine shop', 'Landing systems')")} AND s.status_id = ${ids("statuses", "name IN ('Triaged', 'In hand')")}`,
  },
];

/** What changes at each border, in one scan of the states: $2 the ends of the buckets, $3 the first and $4 the last of them. */
export const levelReference = (
  where: string,
): string => `WITH g AS MATERIALIZED (SELECT width_bucket(s.valid_from, $2::timestamptz[]) a, width_bucket(s.valid_to, $2::timestamptz[]) z, s.priority_id p, count(*) n FROM state_spans s
  WHERE ${where} AND s.valid_from < $4 AND s.valid_to >= $3 AND ${SPAN_RIGHTS} GROUP BY 1, 2, 3)
SELECT b, coalesce('v' || p, 'n') p, sum(n) n FROM (SELECT a b, p, n FROM g WHERE a < z UNION ALL SELECT z, p, -n FROM g WHERE a < z) d GROUP BY 1, 2`;

/** The same without a thought for what it costs. */
export const naiveLevel = (where: string): string =>
  `SELECT b.at, s.priority_id, count(*) FROM unnest($2::timestamptz[]) b(at) JOIN state_spans s ON s.valid_from < b.at AND s.valid_to >= b.at WHERE ${where} AND ${SPAN_RIGHTS} GROUP BY 1, 2`;
