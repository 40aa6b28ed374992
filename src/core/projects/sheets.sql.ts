import type { SheetId } from "../catalog/derived/defineDerived";
import type { MoneyRules } from "../catalog";
import { bind, sql, type Fragment } from "../sql";
import { localDay, type Instant, type WorkCalendar } from "../time";
import { plannedPercentAt } from "./plannedPercent.sql";
import { countedWords, workedInWeek } from "./weeks.sql";
import { passedOfMonth } from "./workdays.sql";

/** What sheets of projects are made from. */
export interface Books {
  readonly now: Instant;
  readonly calendar: WorkCalendar;
  readonly money: MoneyRules;
  /** The rows of a subject that the viewer may see, with the named fields as columns c0, c1 … */
  readonly rows: (
    subject: "timeEntries" | "costEntries" | "billings" | "plannedCosts",
    fields: readonly string[],
  ) => Fragment;
}

const today = ({ now, calendar }: Books): Fragment =>
  sql`${bind(localDay(now, calendar.zone), "date")}`;

/** When it began and ended, how it bills, and the budget in force: as of today. */
const terms = (books: Books): Fragment => {
  const day = today(books);
  return sql`SELECT p.id AS project_id,
      CASE WHEN coalesce(p.started_on, p.starts_on) <= ${day} THEN coalesce(p.started_on, p.starts_on) END AS started,
      CASE WHEN p.finished_on <= ${day} THEN p.finished_on END AS finished,
      coalesce(p.billing, CASE WHEN p.client IS NULL THEN 'none' ELSE 'time' END) AS billing,
      ${budgetAt(day)} AS budget
    FROM projects p${budgetChanges(day)}`;
};

/** The budget of a project `p` at the end of a day: needs the joined changes. */
const budgetAt = (day: Fragment): Fragment =>
  sql`CASE WHEN changes.first_on IS NULL THEN p.budget WHEN changes.first_on > ${day} THEN changes.at_first ELSE changes.now END`;
const budgetChanges = (day: Fragment): Fragment =>
  sql` LEFT JOIN (SELECT c.project_id, min(c."on") AS first_on,
        (array_agg(c."from" ORDER BY c."on"))[1] AS at_first,
        (array_agg(c."to" ORDER BY c."on" DESC) FILTER (WHERE c."on" <= ${day}))[1] AS now
      FROM budget_changes c GROUP BY c.project_id) changes ON changes.project_id = p.id`;

const statusOf = (day: Fragment): Fragment =>
  sql`SELECT DISTINCT ON (g.project_id) g.project_id, g."on" AS status_date, g.actual_percent
    FROM progress g WHERE g.actual_percent IS NOT NULL AND g."on" <= ${day} ORDER BY g.project_id, g."on" DESC`;

/** How far it is, and how far it should be, on the day of its last report. */
const progress = (books: Books): Fragment => {
  const day = today(books);
  const planned = plannedPercentAt(
    sql`coalesce(status.status_date, ${day})`,
    "p",
    "plan",
    books.calendar,
  );
  return sql`SELECT p.id AS project_id, status.status_date, status.actual_percent, ${planned.value} AS planned_percent
    FROM projects p LEFT JOIN (${statusOf(day)}) status ON status.project_id = p.id${planned.joins}`;
};

const spending = (books: Books): Fragment =>
  sql`SELECT e.c0 AS project_id, sum(e.c2) AS actual, sum(e.c2) FILTER (WHERE e.c3) AS billable
    FROM (${books.rows("costEntries", ["project", "spent on", "amount", "billable"])}) e
    WHERE e.c1 <= ${today(books)} GROUP BY e.c0`;

/** What was spent until the day of the last report. */
const statusSpending = (books: Books): Fragment =>
  sql`SELECT e.c0 AS project_id, sum(e.c2) AS spent
    FROM (${books.rows("costEntries", ["project", "spent on", "amount"])}) e
    JOIN (${statusOf(today(books))}) status ON status.project_id = e.c0 AND e.c1 <= status.status_date GROUP BY e.c0`;

const earning = (books: Books): Fragment =>
  sql`SELECT e.c0 AS project_id, sum(e.c2) AS value
    FROM (${books.rows("timeEntries", ["project", "worked on", "billable value"])}) e
    WHERE e.c1 <= ${today(books)} GROUP BY e.c0`;

const billed = (books: Books): Fragment =>
  sql`SELECT e.c0 AS project_id, sum(e.c2) AS billed
    FROM (${books.rows("billings", ["project", "billed on", "amount"])}) e
    WHERE e.c1 <= ${today(books)} GROUP BY e.c0`;

/** Of a month's plan, what lies until today (`passed`), or after it. */
export function partOfMonth(
  month: Fragment,
  amount: Fragment,
  which: "passed" | "to come",
  { now, calendar }: Pick<Books, "now" | "calendar">,
): Fragment {
  const day = localDay(now, calendar.zone);
  const { passed, of } = passedOfMonth(day, calendar);
  const [share, side] = which === "passed" ? [passed, sql`<`] : [of - passed, sql`>`];
  const current = sql`${bind(`${day.slice(0, 7)}-01`, "date")}`;
  return sql`CASE WHEN ${month} ${side} ${current} THEN ${amount}
    WHEN ${month} = ${current} THEN ${amount} * ${bind(share, "int")} / ${bind(of, "int")} ELSE 0 END`;
}

const plan = (books: Books): Fragment =>
  sql`SELECT e.c0 AS project_id, sum(e.c2) AS planned, sum(${partOfMonth(sql`e.c1`, sql`e.c2`, "passed", books)}) AS to_date
    FROM (${books.rows("plannedCosts", ["project", "planned for", "amount"])}) e GROUP BY e.c0`;

/** What is still to come: of each month the larger of its plan and its entries after today; of a finished project, its entries. */
const projection = (books: Books): Fragment => {
  const day = today(books);
  const toCome = partOfMonth(sql`e.c1`, sql`e.c2`, "to come", books);
  return sql`SELECT project_id, sum(CASE WHEN p.finished_on <= ${day} THEN coalesce(spent, 0) ELSE greatest(coalesce(planned, 0), coalesce(spent, 0)) END) AS to_come
    FROM (SELECT e.c0 AS project_id, e.c1 AS month, sum(${toCome}) AS planned
        FROM (${books.rows("plannedCosts", ["project", "planned for", "amount"])}) e GROUP BY 1, 2) plans
    FULL JOIN (SELECT e.c0 AS project_id, date_trunc('month', e.c1)::date AS month, sum(e.c2) AS spent
        FROM (${books.rows("costEntries", ["project", "spent on", "amount"])}) e WHERE e.c1 > ${day} GROUP BY 1, 2) entries
      USING (project_id, month)
    JOIN projects p ON p.id = project_id GROUP BY project_id`;
};

/** How it is, in the latest week with a word that says so: its manager's own, else the worst. */
const words = (books: Books): Fragment =>
  sql`SELECT DISTINCT ON (w.project_id) w.project_id, w.health, w.begins AS health_week
    FROM (${countedWords(books)}) w JOIN projects p ON p.id = w.project_id
    WHERE w.health IS NOT NULL
    ORDER BY w.project_id, w.begins DESC, (w.person_id = p.manager_id) IS TRUE DESC,
      array_position(${bind(books.money.healthWords, "text[]")}, w.health) DESC NULLS LAST`;

/** Of a project under way, the weeks that are over, were worked in, and have no word since the last that has one. */
const silence = (books: Books): Fragment => {
  const day = today(books);
  const started = sql`coalesce(p.started_on, p.starts_on)`;
  const lastWeek = sql`(date_trunc('week', ${day}::timestamp)::date - 7)`;
  return sql`SELECT p.id AS project_id, (SELECT count(*) FROM generate_series(
        greatest(date_trunc('week', ${started}::timestamp)::date, latest.begins + 7)::timestamp, ${lastWeek}::timestamp, interval '7 days') AS monday(at)
      WHERE ${workedInWeek(sql`monday.at::date`, "p", books.calendar)}) AS weeks
    FROM projects p LEFT JOIN (SELECT w.project_id, max(w.begins) AS begins FROM (${countedWords(books)}) w GROUP BY 1) latest ON latest.project_id = p.id
    WHERE ${started} <= ${day} AND (p.finished_on IS NULL OR p.finished_on > ${day})`;
};

/** Figures of all projects at once, a row for each by `project_id`; joined to whatever asks for one of them. */
export const sheets = {
  terms,
  progress,
  spending,
  statuscost: statusSpending,
  earning,
  billed,
  plan,
  projection,
  words,
  silence,
} as const satisfies Record<SheetId, (books: Books) => Fragment>;
export { budgetAt, budgetChanges };
