import { planBriefing } from "@/core/briefing/planned";
import { partsOf } from "@/core/briefing";
import { PLAIN_DRESS } from "@/core/definition";
import { parseSentence, type Report } from "@/core/kinds";
import { parseInstant } from "@/core/time";
import {
  closeDatabase,
  createWorkspace,
  importBundle,
  migrate,
  newSession,
  runPlan,
  type EntityManager,
} from "@/data";
import { withConnection } from "@/data/database";
import { makeWorld } from "@/demo";
import { askFigure } from "@/server/reports/room";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";
import { viewerNamed } from "../support/viewer";
import { ms, say, timed } from "./timed";

/** Projects, money and time at 200 projects, 600,000 time entries and 60,000 cost entries, against SQL by hand in the same run. */
const END = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => END };
const RUNS = 7;

/** A copy of the demo's ten projects for each of 19 further rows of them, and entries spread over three years. */
const FILL = [
  `INSERT INTO projects (name, type, portfolio, client, manager_id, starts_on, ends_on, budget, started_on, billing)
     SELECT p.name || ' ' || n, p.type, p.portfolio, p.client, p.manager_id, p.starts_on - n * 40, p.ends_on, 1000000, p.started_on - n * 40, 'time'
     FROM projects p, generate_series(1, 19) n`,
  `INSERT INTO progress (project_id, "on", planned_percent, actual_percent)
     SELECT p.id, date '2026-01-01' + n * 30, n * 9, n * 8 FROM projects p, generate_series(1, 10) n ON CONFLICT DO NOTHING`,
  `INSERT INTO planned_costs (project_id, month, category, amount)
     SELECT p.id, (date '2024-01-01' + n * interval '1 month')::date, c, 9000 FROM projects p, generate_series(0, 35) n, unnest(ARRAY['labour', 'materials']) c ON CONFLICT DO NOTHING`,
  `INSERT INTO milestones (project_id, name, due_on, baseline_on)
     SELECT p.id, 'Step ' || n, date '2026-01-15' + n * 50, date '2026-01-10' + n * 50 FROM projects p, generate_series(1, 8) n ON CONFLICT DO NOTHING`,
  `INSERT INTO cost_entries (project_id, "on", category, amount, billable)
     SELECT p.id, date '2024-01-02' + (n * 7 % 1050), (ARRAY['yard', 'hire', 'materials'])[1 + n % 3], 40 + n % 900, n % 2 = 0 FROM projects p, generate_series(1, 300) n`,
  `INSERT INTO time_entries (project_id, person_id, worked_on, minutes, billable)
     SELECT 1 + n % 200, (ARRAY(SELECT id FROM people WHERE client IS NULL ORDER BY id))[1 + n % 50], date '2024-01-02' + (n % 1050), 15 + n % 400, n % 3 = 0 FROM generate_series(1, 600000) n`,
  `UPDATE workspace SET names_version = names_version + 1`,
  `VACUUM ANALYZE`,
];

const PORTFOLIO =
  "list projects showing project, budget, actual cost, planned to date, projected cost, overrun, budget used, actual percent, planned percent, schedule gap, schedule verdict, cost verdict, health sorted by project";
const CURVE = "S-curve of cost of projects by month for 2024-01-01 to 2026-12-31 as S-curve";
const UTILISATION =
  'measure "utilisation" of person days where date during 2025-12-01 to 2026-11-30 by person split by week of date as heat map';

/** What somebody would write by hand for each: the least for the heaviest part of it. */
const BY_HAND: Readonly<Record<string, string>> = {
  [PORTFOLIO]: `SELECT p.name, p.budget, a.cost, b.planned, w.health FROM projects p
     LEFT JOIN (SELECT project_id, sum(amount) AS cost FROM (SELECT project_id, amount FROM cost_entries WHERE "on" <= '2026-11-24' AND deleted_at IS NULL
       UNION ALL SELECT charged_project_id, cost FROM time_entries WHERE worked_on <= '2026-11-24' AND gone_at IS NULL AND cost IS NOT NULL) e GROUP BY 1) a ON a.project_id = p.id
     LEFT JOIN (SELECT project_id, sum(amount) AS planned FROM planned_costs WHERE month <= '2026-11-01' GROUP BY 1) b ON b.project_id = p.id
     LEFT JOIN LATERAL (SELECT health FROM weekly_words WHERE project_id = p.id ORDER BY week DESC LIMIT 1) w ON TRUE
     LEFT JOIN LATERAL (SELECT actual_percent FROM progress WHERE project_id = p.id AND "on" <= '2026-11-24' ORDER BY "on" DESC LIMIT 1) g ON TRUE ORDER BY p.name`,
  [CURVE]: `SELECT month, sum(amount) OVER (ORDER BY month) FROM (SELECT date_trunc('month', day) AS month, sum(amount) AS amount FROM
     (SELECT "on" AS day, amount FROM cost_entries WHERE deleted_at IS NULL UNION ALL SELECT worked_on, cost FROM time_entries WHERE gone_at IS NULL AND cost IS NOT NULL
       UNION ALL SELECT month, amount FROM planned_costs) e GROUP BY 1) m ORDER BY 1`,
  [UTILISATION]: `SELECT c.id, c.week, w.worked / nullif(c.capacity, 0) FROM
       (SELECT p.id, date_trunc('week', d) AS week, sum(coalesce(p.capacity_minutes_a_day, 480) * (1 - coalesce(a.part, 0))) AS capacity
          FROM people p CROSS JOIN generate_series(timestamp '2025-12-01', timestamp '2026-11-24', interval '1 day') d
          LEFT JOIN LATERAL (SELECT sum(coalesce(x.part, 1)) AS part FROM absences x WHERE x.person_id = p.id AND d BETWEEN x."from" AND x."to") a ON TRUE
          WHERE p.client IS NULL AND extract(isodow FROM d) < 6 AND d::date <> ALL('{2025-12-25,2026-01-01,2026-05-01,2026-11-05}'::date[]) GROUP BY 1, 2) c
     LEFT JOIN (SELECT person_id, date_trunc('week', worked_on) AS week, sum(minutes) AS worked FROM time_entries
          WHERE worked_on BETWEEN '2025-12-01' AND '2026-11-24' AND gone_at IS NULL GROUP BY 1, 2) w ON w.person_id = c.id AND w.week = c.week`,
};

async function fill(): Promise<EntityManager> {
  await migrate();
  const em = await newSession();
  await createWorkspace(em, "Bench", null);
  await importBundle(em, makeWorld({ seed: 7, end: END, scale: 17 }), { now: END });
  for (const text of FILL) await withConnection(em, (client) => client.query(text));
  return em;
}

function read(says: string, { view }: Desk): Report {
  const parsed = parseSentence(says, view);
  if (!parsed.ok) throw new Error(`${says}: ${parsed.problems[0].message}`);
  return parsed.value;
}

async function main(): Promise<void> {
  const em = await fill();
  const desk = await deskOf(em, await viewerNamed(em, "runa"), clock);
  for (const [says, sql] of Object.entries(BY_HAND)) {
    const report = read(says, desk);
    const ours = await timed(() => askFigure(em, desk, report, PLAIN_DRESS, 500), RUNS);
    const theirs = await timed(() => withConnection(em, (client) => client.query(sql)), RUNS);
    say(
      `${ms(ours.median)} (${ms(ours.least)} to ${ms(ours.most)}), ${(ours.median / theirs.median).toFixed(2)} x by hand (${ms(theirs.median)}), medians of ${RUNS}, warm: ${says}`,
    );
  }
  const [project] = desk.view.catalog.names.named("project", "Heron refit");
  const briefing = {
    kind: "project" as const,
    here: { thing: "project" as const, id: project.id },
    name: project.name,
    parts: partsOf("project", project.name).map(({ id }) => ({ id, made: id })),
    stood: null,
    since: null,
    company: "Saltmarsh Ferries",
  };
  const made = await timed(() => runPlan(em, planBriefing(briefing, desk.view)), RUNS);
  say(`${ms(made.median)} (${ms(made.least)} to ${ms(made.most)}), warm: a whole briefing`);
  await closeDatabase();
}

await main();
