/** Words for what happens to a record on a day, and the date that tells of it. */
export const EVENTS: readonly { readonly said: string; readonly date: string }[] = [
  {
    said: "created|opened|raised|reported|submitted|received|arrived|arriving|arrive|registered|came in|come in|comes in|coming in|incoming|brand new|new|newly|intake|inflow|came|comes|come|coming",
    date: "created",
  },
  {
    said: "closed?|closes|closing|finish(?:ed|es|ing)?|resolved?|resolves|resolving|completed?|completes|done|solved?|fixed|fix|delivered|throughput|got done|outflow",
    date: "finished",
  },
  { said: "started|begun|picked up|taken up", date: "started" },
  {
    said: "(?:with (?:a )?)?due(?: dates?)?|(?:will )?(?:be|fall|come|falls?|coming) due|coming due|deadlines?",
    date: "due",
  },
  { said: "last changed|changed|updated|touched", date: "last changed" },
  { said: "worked on|worked", date: "worked on" },
  { said: "spent on", date: "spent on" },
];

/** The date of a subject where none is said. */
export const USUAL_DATE: Readonly<Record<string, string>> = {
  "time entries": "worked on",
  "cost entries": "spent on",
  "planned costs": "planned for",
  billings: "billed on",
  "person days": "date",
  moves: "moved on",
  milestones: "due",
};
export const ITEM_DATE = "created";
