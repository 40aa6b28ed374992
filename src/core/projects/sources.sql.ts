import { invariant } from "../base";
import type { SubjectId } from "../catalog";
import { bind, sql, type Fragment } from "../sql";
import { localDay, WEEKDAYS } from "../time";
import type { Books } from "./sheets.sql";
import { beginsOf } from "./weeks.sql";

/** The days that are asked for: local, both inside. */
export interface Days {
  readonly from: string;
  readonly to: string;
}

const DATE_OF_DAY_ONE = "2000-01-01";
/** So many days lie between the identities of two people's days: more than a report may ask for. */
const DAYS_APART = 4_000;

/** Cost entries, and one for each time entry with a cost where labour is made from these: those have their identities below 0. */
const costEntries = ({ rows, money }: Books): Fragment => {
  const own = sql`SELECT e.id, e.project_id, e."on", e.category, e.amount, e.note, e.billable, NULL::int AS person_id, e.booked_at, e.deleted_at FROM cost_entries e`;
  if (!money.labourFromTime) return own;
  return sql`${own} UNION ALL SELECT -t.id, t.c0, t.c1, 'labour', t.c2, NULL, FALSE, t.c3, '-infinity'::timestamptz, NULL
    FROM (${rows("timeEntries", ["project", "worked on", "cost", "person"])}) t WHERE t.c2 IS NOT NULL`;
};

/** The plan in force: of each project, month and category the row that was planned last. */
const plannedCosts = ({ now, calendar }: Books): Fragment =>
  sql`SELECT DISTINCT ON (e.project_id, e.month, e.category) e.* FROM planned_costs e
    WHERE e.planned_on IS NULL OR e.planned_on <= ${bind(localDay(now, calendar.zone), "date")}
    ORDER BY e.project_id, e.month, e.category, e.planned_on DESC NULLS LAST`;

const weeklyWords = (): Fragment =>
  sql`SELECT w.*, ${beginsOf(sql`w.week`)} AS begins FROM weekly_words w`;

/** One row for each day on which somebody could work, or did. */
const personDays = ({ rows, calendar, days }: Books & { readonly days?: Days }): Fragment => {
  invariant(days, "the days of person days are known");
  const [from, to] = [sql`${bind(days.from, "date")}`, sql`${bind(days.to, "date")}`];
  const day = sql`d.at::date`;
  const { workingHours, workingDays, holidays } = calendar;
  const hours = bind(workingHours.to - workingHours.from, "int");
  const names = bind(workingDays.map((weekday) => WEEKDAYS[weekday - 1]).join(";"), "text");
  const free = bind(
    [...holidays].filter((holiday) => holiday >= days.from && holiday <= days.to),
    "date[]",
  );
  return sql`SELECT (b.person_id * ${bind(DAYS_APART, "int")} + (b.date - ${bind(DATE_OF_DAY_ONE, "date")}) % ${bind(DAYS_APART, "int")}) AS id,
      b.person_id, b.date, b.gross * (1 - b.away) AS capacity, b.gross * b.away AS absence, b.worked, b.billable_worked
    FROM (SELECT p.id AS person_id, ${day} AS date,
        CASE WHEN strpos(coalesce(c.working_days, p.working_days, ${names}), to_char(${day}, 'Dy')) > 0
            AND ${day} <> ALL(${free})
            AND (p.joined_on IS NULL OR p.joined_on <= ${day})
            AND CASE WHEN p.left_on IS NOT NULL THEN ${day} <= p.left_on ELSE p.active OR ${day} <= last.worked_on END
          THEN coalesce(c.minutes_a_day, p.capacity_minutes_a_day, ${hours}) ELSE 0 END AS gross,
        coalesce(a.part, 0) AS away, coalesce(w.worked, 0) AS worked, coalesce(w.billable, 0) AS billable_worked
      FROM people p
      CROSS JOIN generate_series(${from}::timestamp, ${to}::timestamp, interval '1 day') AS d(at)
      LEFT JOIN (SELECT k.*, lead(k."from") OVER (PARTITION BY k.person_id ORDER BY k."from" NULLS FIRST) AS until FROM capacities k) c
        ON c.person_id = p.id AND (c."from" IS NULL OR c."from" <= ${day}) AND (c.until IS NULL OR c.until > ${day})
      LEFT JOIN (SELECT x.person_id, y.at::date AS day, least(sum(coalesce(x.part, 1)), 1) AS part
          FROM absences x, generate_series(greatest(x."from", ${from})::timestamp, least(x."to", ${to})::timestamp, interval '1 day') AS y(at)
          GROUP BY 1, 2) a ON a.person_id = p.id AND a.day = ${day}
      LEFT JOIN (SELECT t.c0 AS person_id, t.c1 AS day, sum(t.c2) AS worked, sum(t.c2) FILTER (WHERE t.c3) AS billable
          FROM (${rows("timeEntries", ["person", "worked on", "minutes", "billable"])}) t
          WHERE t.c1 BETWEEN ${from} AND ${to} GROUP BY t.c1, t.c0) w ON w.person_id = p.id AND w.day = ${day}
      LEFT JOIN (SELECT t.person_id, max(t.worked_on) AS worked_on FROM time_entries t
          WHERE t.gone_at IS NULL AND t.person_id IN (SELECT q.id FROM people q WHERE NOT q.active AND q.left_on IS NULL)
          GROUP BY 1) last ON last.person_id = p.id
      WHERE p.client IS NULL) b
    WHERE b.gross > 0 OR b.worked > 0`;
};

/** Where the rows of a subject come from that are no table of their own; for others undefined. */
export const sources: {
  readonly [S in SubjectId]?: (books: Books & { readonly days?: Days }) => Fragment;
} = { costEntries, plannedCosts, weeklyWords, personDays };
