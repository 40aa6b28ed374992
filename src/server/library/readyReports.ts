/** Reports for the common jobs of a desk, as ordinary definitions. */
export const REPORTS: readonly {
  readonly name: string;
  readonly sentence: string;
  readonly dress?: object;
  readonly category?: string;
  readonly purpose?: string;
}[] = [
  {
    name: "Open faults by priority",
    sentence: "count faults where status is open by priority split by status as stacked bars",
  },
  { name: "Open faults", sentence: "count faults where status is open as number" },
  {
    name: "Finished this month",
    sentence: "count items where finished during this month so far as number",
  },
  {
    name: "Faults by service",
    sentence: "count faults where status is open by service top 6 as donut",
    dress: { labels: "both" },
  },
  {
    name: "Requests each week",
    sentence: "count requests by week of created for last 12 full weeks as columns",
  },
  {
    name: "Finished each month, by kind",
    sentence: "count items by month of finished for last 12 months to date split by kind as line",
  },
  {
    name: "Who carries what",
    sentence: "count items where status is open by assignee top 7 without rest as bars",
  },
  {
    name: "Oldest open faults",
    sentence:
      "list faults where status is open showing key, title, priority, assignee, age sorted by age descending as list",
  },
  {
    name: "Done by now, of what came each week",
    sentence:
      "count where status is finished per count of faults by week of created for last 12 full weeks as columns",
    category: "History",
    purpose: "How much of what came in a week is finished today.",
  },
  {
    name: "Average age of open faults",
    sentence:
      "level of average age in days of faults where status is open at month ends for last 18 months to date as line",
    category: "History",
    purpose: "How old what was open was, at each month's end.",
  },
  {
    name: "Open faults by age and priority",
    sentence:
      "count faults where status is open by age in ranges (2, 7, 30, 90) split by priority as stacked bars",
    category: "Desk",
    purpose: "Ages in days; each range begins with its lower border.",
  },
  {
    name: "Lead time over time",
    sentence:
      "p85 lead time in days and median lead time in days of faults by month of finished for last 12 months to date as line",
    category: "History",
    purpose: "Within how many days 85 % and half of them were finished.",
  },
  {
    name: "How long finished faults took",
    sentence:
      "count faults where finished during last 3 months by lead time in ranges (1, 2, 5, 10, 20) as columns",
    category: "History",
  },
  {
    name: "SLA over time",
    sentence:
      "count faults by month of created for last 12 months to date split by SLA resolution as stacked columns",
    category: "Promises",
    purpose: "Met, missed and still running, by when they were created.",
  },
  {
    name: "Lead time of finished faults, one by one",
    sentence:
      "median lead time in days, p85 lead time in days and p95 lead time in days of faults by day of finished for last 3 months to date as dots",
    category: "Flow",
    purpose: "Each fault when it was finished, and within how many days half, 85 and 95 % were.",
  },
  {
    name: "About to be missed",
    sentence:
      "list faults where SLA resolution is running showing key, title, priority, assignee, status, resolution time left sorted by resolution time left as list",
    category: "Promises",
    purpose: "Promises still running, by the time that is left of them.",
  },
  {
    name: "Finished requests, last 30 business days",
    sentence:
      "count requests where finished during last 30 business days by assignee top 12 as bars",
    category: "Desk",
    purpose: "Who finished how much lately; each bar opens its requests.",
  },
  {
    name: "Open faults by person, waiting folded",
    sentence:
      'count faults where status is open by assignee top 8 split by status folding (Logged, Triaged, "In hand", "Waiting for parts" as Remaining) as stacked bars',
    category: "Desk",
  },
  {
    name: "Created this month, and still open",
    sentence:
      "count where created during this month, count where status is open, of faults by assignee top 8 as columns",
    category: "Desk",
  },
  {
    name: "SLA resolution by team",
    sentence:
      "count faults where priority is any of (P1, P2) by team split by SLA resolution as stacked bars to 100 %",
    category: "Promises",
    purpose: "How many promises were met, missed or are still running.",
  },
  {
    name: "Who passed what to whom",
    sentence:
      "count moves where field is assignee and old value is not empty and new value is not empty by old value top 8 split by new value as heat map",
    category: "Desk",
    purpose: "Handing on, from row to column.",
  },
  {
    name: "Open work by team and priority",
    sentence: "count items where status is open by team split by priority as pivot",
    dress: { rules: [{ kind: "over", value: 20, measure: 0, color: "c4", name: "over 20" }] },
    category: "Desk",
  },
  {
    name: "My open items",
    sentence:
      "list items where assignee is me and status is open showing key, title, status, priority, due, age sorted by age descending as list",
    category: "Mine",
    purpose: "The same report for everybody: each sees their own.",
  },
  {
    name: "Open faults of my team",
    sentence:
      "count faults where status is open and team is my team by priority split by status as stacked bars",
    category: "Mine",
  },
  {
    name: "Open faults over 18 months, by priority",
    sentence:
      "level of faults where status is open at month ends for last 18 months to date split by priority as area",
    category: "History",
    purpose: "How many were open, with the priority they had then.",
  },
  {
    name: "Arrivals and departures of P1 and P2",
    sentence:
      "arrivals and departures of faults where status is open and priority is any of (P1, P2) by quarter for last 2 years as columns",
    category: "History",
  },
  {
    name: "Days to finish, by team",
    sentence:
      "average lead time in days of items where finished during last 3 months by team as bars",
  },
  {
    name: "Promises kept",
    sentence:
      "count where SLA resolution is met per count where SLA resolution is any of (met, missed) of faults where created during last 3 months as gauge",
    dress: {
      low: 0,
      high: 1,
      target: 0.85,
      zones: [
        { name: "too many missed", to: 0.7, color: "g3" },
        { name: "near", to: 0.85, color: "g2" },
        { name: "kept", to: null, color: "g1" },
      ],
    },
    category: "Promises",
    purpose: "The share of faults that were finished within their target.",
  },
  {
    name: "Promises kept each month",
    sentence:
      "count where SLA resolution is met per count where SLA resolution is any of (met, missed) of faults by month of created for last 12 months to date as line",
    category: "Promises",
  },
  {
    name: "Promises kept, by team",
    sentence:
      "count where SLA resolution is met per count where SLA resolution is any of (met, missed) of faults where created during last 3 months by team as bars",
    category: "Promises",
  },
  {
    name: "Missed and still open",
    sentence:
      "list faults where SLA resolution is missed and status is open showing key, title, priority, assignee, resolution time, resolution target sorted by resolution time descending as list",
    category: "Promises",
    purpose: "With the time that each took so far, and what was promised.",
  },
  {
    name: "Open faults, week by week",
    sentence:
      "level of faults where status is open at week ends for last 26 full weeks split by priority as area",
    category: "History",
    purpose: "How many were open at the end of each week, as it was.",
  },
  {
    name: "What came and went",
    sentence:
      "arrivals and departures of faults where status is open by week for last 12 full weeks as columns",
    category: "History",
    purpose: "Faults that were opened or reopened, and that were finished.",
  },
  {
    name: "Burndown of the running sprint",
    sentence: "burndown of sprint current of team {team} in points as planks",
    category: "Sprints",
    purpose: "What is left of it, step by step; between two sprints, of the last.",
  },
  {
    name: "Velocity over eight sprints",
    sentence: "velocity of team {team} in points over last 8 sprints as columns",
    category: "Sprints",
  },
  {
    name: "Where the sprint stands",
    sentence: "count items where sprint is current by status as bars",
    category: "Sprints",
  },
  {
    name: "Still open in the sprint",
    sentence:
      "list items where sprint is current and status is open showing key, title, status, assignee, points sorted by points descending as list",
    category: "Sprints",
  },
  {
    name: "Time against money",
    sentence:
      'measure "schedule performance index", measure "budget used", sum of budget of projects where stage is not finished by project as bubbles',
    category: "Projects",
    purpose: "Right of 1 is ahead of its plan; the higher, the more of its budget is spent.",
  },
  {
    name: "Projects and their verdicts",
    sentence:
      'list projects where stage is "under way" showing project, schedule verdict, cost verdict, health, actual percent, planned percent, budget, projected cost, overrun sorted by project as list',
    category: "Projects",
    purpose: "Who is late, what costs too much, and what their managers say.",
  },
  {
    name: "Cost of all projects",
    sentence: "S-curve of cost of projects by month for this year as S-curve",
    category: "Projects",
    purpose: "The plan, what was spent, and what it will come to.",
  },
  {
    name: "What is left of the budgets",
    sentence: 'burndown of budget of projects where stage is "under way" as line',
    category: "Projects",
  },
  {
    name: "Cost each month, by category",
    sentence:
      "sum of amount of cost entries by month of spent on split by category for last 12 months to date as stacked columns",
    category: "Projects",
  },
  {
    name: "Cost, budget and projection by portfolio",
    sentence:
      "sum of budget, sum of actual cost, sum of projected cost of projects by portfolio then project as pivot",
    category: "Projects",
  },
  {
    name: "Milestones that slipped",
    sentence:
      "list milestones where slip over 0 and state is not reached showing project, name, due, state, slip sorted by slip descending as list",
    category: "Projects",
  },
  {
    name: "Who is booked, week by week",
    sentence:
      'measure "utilisation" of person days by person top 12 by sum of worked split by week of date for last 8 weeks to date as heat map',
    category: "Projects",
    purpose: "Hours worked, of those that there were.",
  },
  {
    name: "Who owes a weekly word",
    sentence:
      "list projects where owes a weekly word for last week showing project, manager, weeks silent sorted by project as list",
    category: "Projects",
  },
  {
    name: "Earned and not billed",
    sentence:
      'list projects where billing is not "none" showing project, billing, revenue, billed, unbilled, margin, margin percent sorted by unbilled descending as list',
    category: "Projects",
  },
];
