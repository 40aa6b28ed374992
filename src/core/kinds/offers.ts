import type { AskContext, Catalog, SubjectId } from "../catalog";
import type { ReportBase } from "../definition";
import { parseSentence } from "./parseSentence";
import { kindOf, type Report, type ReportKind } from "./registry";

/** Likely questions about each subject; "$" stands for its words. */
const LIKELY: Readonly<Partial<Record<SubjectId, readonly string[]>>> = {
  items: [
    "count $ where status is open by priority as bars",
    "count $ by week of created for last 12 full weeks as columns",
    "count $ where status is open by team split by priority as pivot",
    "count $ where status is open by service as donut",
    "level of $ where status is open at week ends for last 12 full weeks as line",
    "arrivals and departures of $ where status is open by week for last 12 full weeks as columns",
    "count $ by month of finished for last 12 months to date as line",
    "list $ where assignee is me and status is open showing key, title, priority, age sorted by age descending as list",
    "count $ where created during last 3 full months by weekday of created split by hour of created as heat map",
    "median of lead time in days of $ where finished during last 6 full months by team as bars",
  ],
  moves: [
    "count moves by moved by top 10 as bars",
    "count moves by week of moved on for last 12 full weeks as columns",
    "count moves where field is status by new value as bars",
    "count moves where field is assignee by old value top 12 split by new value top 12 as heat map",
  ],
  timeEntries: [
    "sum of minutes in hours of time entries by person top 10 as bars",
    "sum of minutes in hours of time entries by month of worked on for last 12 months to date as columns",
    "sum of minutes in hours of time entries by billable as donut",
  ],
  costEntries: [
    "sum of amount of cost entries by category as bars",
    "sum of amount of cost entries by month of spent on for last 12 months to date as columns",
    "sum of amount of cost entries by project top 10 as bars",
  ],
  projects: [
    "S-curve of cost of projects by month for this year as S-curve",
    "list projects showing project, manager, schedule verdict, cost verdict, health as list",
    "sum of budget, sum of actual cost, sum of projected cost of projects by portfolio then project as pivot",
    "burndown of budget of projects as line",
    "count projects by schedule verdict as bars",
  ],
  plannedCosts: [
    "sum of amount of planned costs by month of planned for for this year as columns",
    "sum of amount of planned costs by project as bars",
  ],
  billings: [
    "sum of amount of billings by month of billed on for last 12 months to date as columns",
    "sum of amount of billings by project as bars",
  ],
  personDays: [
    'measure "utilisation" of person days by person for last 4 full weeks as bars',
    "sum of capacity in hours, sum of worked in hours of person days by week of date for last 8 weeks to date as columns",
  ],
  assets: ["count assets by type as bars", "list assets as list"],
  milestones: ["list milestones as list", "count milestones by state as bars"],
  weeklyWords: ["list weekly words as list", "count weekly words by health as bars"],
};

/** Likely first questions about a subject; only those that the workspace can answer. */
export function offersOf(subject: ReportBase["subject"], context: AskContext): Report[] {
  const what = context.catalog.subjectWords(subject);
  return (LIKELY[subject.id] ?? []).flatMap((sentence) => {
    const parsed = parseSentence(sentence.replace("$", what), context);
    return parsed.ok ? [parsed.value] : [];
  });
}

/** Further words by which people look for each kind. */
const SOUGHT: { readonly [K in ReportKind]: string } = {
  count: "how many number",
  list: "table rows records",
  level: "history over time backlog open",
  crossings: "history created resolved opened closed came went inflow outflow net",
  bridge: "history why changed difference waterfall",
  budget: "project money left spent burn down",
  burndown: "sprint burn down remaining scope",
  velocity: "sprint speed points committed",
  sCurve: "project cost progress earned value plan cumulative",
};

/** Words by which people look for a report beside those of its sentence. */
export function soughtWords(report: Report, catalog: Catalog): string {
  const own = SOUGHT[report.kind];
  return kindOf(report).axis(report, { catalog }) ? `${own} trend over time` : own;
}
