/** Hand-written SQL for sentences of every day, with the same row rights; $1 is the visible projects (null: all). The indexes are those of the migration. */
const RIGHTS = "($1::int[] IS NULL OR i.project_id = ANY($1::int[]) OR i.project_id IS NULL)";

export const REFERENCES: readonly { readonly sentence: string; readonly sql: string }[] = [
  {
    sentence: "count faults where status is open and priority is any of (P1, P2) by team",
    sql: `SELECT t.name AS k, count(*) AS n FROM items i LEFT JOIN teams t ON t.id = i.team_id JOIN statuses s ON s.id = i.status_id JOIN priorities p ON p.id = i.priority_id JOIN kinds d ON d.id = i.kind_id
          WHERE i.deleted_at IS NULL AND d.name = 'fault' AND s.stage IN ('waiting', 'under way') AND p.name IN ('P1', 'P2') AND ${RIGHTS} GROUP BY 1`,
  },
  {
    sentence: 'count items where team is any of ("Engine shop", "Landing systems") and created during 2026 by status',
    sql: `SELECT s.name AS k, count(*) AS n FROM items i JOIN statuses s ON s.id = i.status_id JOIN teams t ON t.id = i.team_id
          WHERE i.deleted_at IS NULL AND t.name IN ('Engine shop', 'Landing systems') AND i.created_at >= '2026-01-01T00:00:00Z' AND i.created_at < '2027-01-01T00:00:00Z' AND ${RIGHTS} GROUP BY 1`,
  },
  {
    sentence: "count items where tags include any of (storm) and priority is P1 by service",
    sql: `SELECT v.name AS k, count(*) AS n FROM items i LEFT JOIN services v ON v.id = i.service_id JOIN priorities p ON p.id = i.priority_id
          WHERE i.deleted_at IS NULL AND i.tags_folded && ARRAY['storm'] AND p.name = 'P1' AND ${RIGHTS} GROUP BY 1`,
  },
  {
    sentence: "sum of estimate of items where status is open and weather is storm by assignee",
    sql: `SELECT p.login AS k, coalesce(sum(i.estimate_minutes), 0) AS n FROM items i LEFT JOIN people p ON p.id = i.assignee_id JOIN statuses s ON s.id = i.status_id
          WHERE i.deleted_at IS NULL AND s.stage IN ('waiting', 'under way') AND i.custom_folded @> jsonb_build_object((SELECT id::text FROM fields WHERE name = 'weather'), 'storm') AND ${RIGHTS} GROUP BY 1`,
  },
];
