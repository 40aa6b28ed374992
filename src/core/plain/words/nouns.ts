/** What people call what is counted. A kind or subject of the workspace that is called so itself comes first. */
export const NOUNS: readonly { readonly said: string; readonly subjects: readonly string[] }[] = [
  {
    said: "incidents?|bugs?|defects?|problems?|breakdowns|failures|outages",
    subjects: ["incident", "bug", "problem", "fault"],
  },
  { said: "requests?|service requests?", subjects: ["request", "items"] },
  { said: "user stories|story", subjects: ["story"] },
  { said: "to-?dos?|jobs", subjects: ["task"] },
  {
    said: "tickets?|issues?|cases?|items?|work items?|calls?|cards?|pieces of work|backlog items?",
    subjects: ["items"],
  },
  { said: "time entries|time entry|timesheets?|bookings of time", subjects: ["time entries"] },
  { said: "cost entries|cost entry|expenses", subjects: ["cost entries"] },
  { said: "person days?", subjects: ["person days"] },
  { said: "projects?", subjects: ["projects"] },
  { said: "moves", subjects: ["moves"] },
  { said: "assets?", subjects: ["assets"] },
  { said: "milestones?", subjects: ["milestones"] },
  { said: "weekly words?", subjects: ["weekly words"] },
];
