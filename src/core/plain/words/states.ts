/** What people say of a record, and the condition that it is. `open` ones speak of open records alone. */
export interface State {
  readonly said: string;
  readonly means: string;
  readonly open?: true;
}
const MISSED =
  "miss(?:ed|es|ing)?|breach(?:ed|es|ing)?|broke|violat(?:ed|es|ing)|fail(?:ed|s|ing)?|exceed(?:ed|s|ing)?|outside(?: of)?|out of|past|over";
const MET = "met|meet|meets|kept|keep|made|within|inside|hit|reached|in";
const ITS = "(?:their |its |the |our |a )?";
const SLA = "(?:slas?|targets?|promises?|deadlines?|times?)";

/** "whose response SLA was met": the promise before what became of it. */
const slaStates = (became: string, state: string): readonly State[] => {
  const was = `(?: (?:was|is|were|are|has been|have been))?(?: (?:${became}))`;
  return [
    {
      said: `(?:where |whose )?(?:the )?(?:first )?response ${SLA}${was}`,
      means: `SLA response is ${state}`,
    },
    {
      said: `(?:where |whose )?(?:the )?(?:resolution )?(?:slas?|promises?)${was}`,
      means: `SLA resolution is ${state}`,
    },
  ];
};

export const STATES: readonly State[] = [
  {
    said: `(?:${MISSED}) ${ITS}(?:resolution ${SLA}|${SLA} for resolution)`,
    means: "SLA resolution is missed",
  },
  { said: `(?:${MISSED}) ${ITS}(?:first )?response(?: ${SLA})?`, means: "SLA response is missed" },
  {
    said: `(?:${MET}) ${ITS}(?:resolution ${SLA}|${SLA} for resolution)`,
    means: "SLA resolution is met",
  },
  { said: `(?:${MET}) ${ITS}(?:first )?response ${SLA}`, means: "SLA response is met" },
  ...slaStates(MISSED, "missed"),
  ...slaStates(MET, "met"),
  {
    said: `(?:${MISSED}) ${ITS}(?:slas?|promises?)|breached|sla breach(?:es|ed)?|breaches|with (?:a )?missed sla`,
    means: "SLA resolution is missed",
  },
  { said: `(?:${MET}) ${ITS}(?:slas?|promises?)`, means: "SLA resolution is met" },
  {
    said: "overdue|(?:have |has )?(?:passed|gone past) (?:their |its |the )?(?:due dates?|deadlines?)|past (?:their |its |the )?due(?: date)?|late|behind schedule|past (?:their |its |the )?deadline",
    means: "due before today",
    open: true,
  },
  {
    said: "unassigned|not assigned(?: to (?:anyone|anybody))?|nobody has|no one has|(?:no one|nobody) is (?:on|working on|assigned(?: to)?)|(?:that )?(?:no one|nobody) owns|with(?:out| no) (?:an )?(?:assignee|owner|agent)|(?:has|have) no (?:assignee|owner|agent)|assigned to (?:nobody|no one)",
    means: "assignee is empty",
    open: true,
  },
  {
    said: "(?:have |has |with )?no due dates?|without (?:a )?due dates?|(?:with )?no deadlines?|without (?:a )?deadlines?|undated",
    means: "due is empty",
  },
  {
    said: "(?:have |has |with )?no points|without (?:any )?points|unestimated|not estimated|without (?:an )?estimates?",
    means: "points is empty",
  },
  {
    said: "(?:have |has |with )?no priority|without (?:a )?priority|unprioriti[sz]ed",
    means: "priority is empty",
  },
  { said: "(?:have |has |with )?no team|without (?:a )?team", means: "team is empty" },
  {
    said: "(?:in|have|has|with) no sprint|not in (?:any|a) sprint|without (?:a )?sprint|outside (?:of )?(?:any )?sprints?",
    means: "sprint is empty",
  },
  { said: "(?:have |has |with )?no tags?|without (?:any )?tags?|untagged", means: "tags is empty" },
  {
    said: "(?:have |has |with )?no (?:project )?manager|without (?:a )?manager",
    means: "manager is empty",
  },
  { said: "implements? (?:an?|any|some|another)(?: \\p{L}+)", means: "link implements" },
  { said: "implements? nothing", means: "no link implements" },
  { said: "(?:are |is )?(?:not blocked)|unblocked", means: 'no link "holds up" to it' },
  {
    said: "(?:blocking|blocks?)(?: (?:other|others|anything|something))?|holds? (?:(?:something|anything|others?|(?:other|another) \\S+|work) )?up|holding (?:up (?:other|others)|other \\S+ up|others up|up)",
    means: 'link "holds up"',
    open: true,
  },
  { said: "blocked|held up|being held up", means: 'link "holds up" to it', open: true },
  { said: "non-?billable|not billable|unbillable|unbilled hours", means: "billable is no" },
  { said: "billable", means: "billable is yes" },
  {
    said: "(?:planned |committed )?(?:in|for) (?:the|our|this) (?:current |running )?sprint|(?:planned |committed )?(?:in|for) (?:the )?current sprint|current sprint|this sprint|running sprint",
    means: "sprint is current",
  },
];

/** Finished without a date: how far it is. */
export const FINISHED_STATE = "status is finished";

/** Words for how far a record is: its status by stage. */
export const STAGES: readonly State[] = [
  { said: "status ?(?:!=|<>|is not) ?open", means: "status is not open" },
  { said: "status ?(?:=|:|is) ?(?:finished|closed|done|resolved)", means: FINISHED_STATE },
  {
    said: "(?:status ?(?:=|:|is) ?)?(?:not (?:yet )?(?:closed|finished|resolved|done|completed)|still open|unresolved|unfinished|unclosed|outstanding|open|active|on (?:the|my|our|their|his|her) plates?|plates?|in (?:the|our) backlog|remaining|left to do)",
    means: "status is open",
  },
  {
    said: "in progress|under way|underway|in work|being worked on|work in progress|wip",
    means: 'stage is "under way"',
  },
  {
    said: "not (?:yet )?started|waiting|queued|in (?:the )?queue|pending",
    means: "stage is waiting",
  },
];

/** Names that a status may have for what people say; those that the workspace has are meant. */
export const STATUS_WORDS: readonly { readonly said: string; readonly names: readonly string[] }[] =
  [
    {
      said: "cancell?ed|abandoned|rejected|withdrawn|discarded",
      names: ["cancelled", "canceled", "withdrawn", "dropped", "rejected", "abandoned"],
    },
  ];
export const PAUSED_WORDS = "on hold|paused|parked|suspended";

/** Words for priorities by rank: the first is 0, the last -1; several where it is not certain how far the word reaches. */
export const PRIORITY_WORDS: readonly {
  readonly said: string;
  readonly ranks: readonly (readonly number[])[];
}[] = [
  { said: "critical|top[- ]priority|highest[- ]priority|most important", ranks: [[0]] },
  { said: "urgent|high[- ]priority|important", ranks: [[0], [0, 1]] },
  { said: "medium[- ]priority|normal[- ]priority", ranks: [[2], [1, 2]] },
  { said: "lowest[- ]priority|low[- ]priority|minor|unimportant", ranks: [[-1]] },
];
