import type { Draft } from "./draft";
import { OPEN } from "./draft";
import type { Question } from "./question";
import { NUMBER, numberOf } from "./words/numbers";

const IN =
  "opened|created|new|arrivals?|incoming|raised|reported|logged|what came in|what comes in|in|came in|coming in|inflow";
const OUT =
  "closed|finished|resolved|solved|completed|done|departures?|outgoing|what went out|what goes out|out|went out|got finished|outflow";
const WITH = "vs\\.?|versus|against|and|compared (?:to|with)|to|or";

const BRIDGE =
  "(?:a |the )?bridge(?: charts?)?(?: (?:of|for))?|(?:what )?explains?(?: why)?(?: the)?(?: (?:change|rise|drop|growth|fall|increase|decrease))(?: (?:in|of))?";

/** Questions about how things were, and about sprints: each is asked in words of its own. */
export function readForms(question: Question, draft: Draft): void {
  const take = (pattern: string, rule: string) => question.take(pattern, "kind", rule);
  readMoves(question, draft);
  if (draft.subject === "moves") return;
  const oneWay = question.find("(?<side>arrivals|departures) of");
  if (oneWay && !question.find(`(?:${IN}) (?:${WITH}) (?:${OUT})`)) {
    question.use(oneWay, "kind", oneWay.groups.side ?? "");
    draft.history = "crossings";
    draft.side = oneWay.groups.side ?? null;
    draft.conditions.push({ text: OPEN, at: 0 });
    return;
  }
  if (
    take(`(?:${IN}) (?:${WITH}) (?:${OUT})`, "arrivals and departures") ??
    take(
      `(?:arrivals?|inflow|intake) (?:${WITH}) (?:departures?|outflow)`,
      "arrivals and departures",
    ) ??
    take("net (?:flow|change|growth)", "arrivals and departures, with their net")
  ) {
    draft.history = "crossings";
    draft.conditions.push({ text: OPEN, at: 0 });
    draft.net = question.uses.some(({ rule }) => rule.includes("their net"));
    return;
  }
  if (take(BRIDGE, "a bridge: why a level moved")) {
    draft.history = "bridge";
    return;
  }
  if (
    take(
      "why (?:did|have|has|are|is|do|were|was)(?: the)?(?: number of)?(?=.*(?:go|gone|went|going|rise|risen|rising|increas|drop|fall|grow|chang|shr[iu]nk|up|down|more|fewer))",
      "a bridge: why a level moved",
    )
  ) {
    draft.history = "bridge";
    question.take(
      "(?:go(?:ne|ing)?|went|rise|risen|rising|increase[ds]?|increasing|drop(?:ped|s)?|fallen|fall|fell|grow|grown|grew|change[ds]?|shrink|shrunk|shrank)?(?: (?:so )?(?:much|up|down|more|fewer))?(?: up| down)?(?<=[a-z])",
      "kind",
      "a level that moved",
    );
    return;
  }
  if (take("burn ?downs?(?: charts?)?", "a burndown")) draft.history = "burndown";
  else if (take("velocity|velocities", "a velocity")) draft.history = "velocity";
  else if (
    take(
      "trends?(?: lines?)?|(?:levels?|history)(?= of)|(?:development|evolution|course)(?= of)|over time|backlog(?: size| growth)?|(?:how )?(?:has|have|did)(?= .*(?:develop|evolve|chang))",
      "a level at the end of each stretch",
    )
  ) {
    draft.history = "level";
    question.takeAll(
      "backlog(?: size| growth)?|trends?|develop(?:ed|ing|s)?|evolv(?:ed|ing|es)|over time|chang(?:e|ed|ing)(?= (?:over|in|since|during|this|from)|$)",
      "kind",
      "a level at the end of each stretch",
    );
  }
}

/** Of moves: who passed what to whom, how often a field changed. */
function readMoves(question: Question, draft: Draft): void {
  if (
    question.take(
      "who (?:passes|hands|gives|sends)(?: over)?(?: work| items?| things)? (?:on )?to whom|hand-?overs?(?: between people)?",
      "subject",
      "moves of the assignee",
    )
  ) {
    draft.subject = "moves";
    draft.asks = "count";
    draft.conditions.push(
      { text: "field is assignee", at: 0 },
      { text: "old value is not empty", at: 1 },
      { text: "new value is not empty", at: 2 },
    );
    draft.groups.push(
      { text: "old value", at: 0, splits: false },
      { text: "new value", at: 1, splits: true },
    );
    return;
  }
  const changed =
    question.take(
      "how (?:many times|often) (?:did|has|have|does)(?: the)? (?<field>status|priority|assignee|team|sprint|service|due) (?:been )?chang(?:ed?|es|ing)",
      "subject",
      "moves of a field",
    ) ??
    question.take(
      "(?<field>status|priority|assignee|team|sprint) changes|(?:moves|changes) of (?:the )?(?<of>status|priority|assignee|team|sprint|service)",
      "subject",
      "moves of a field",
    );
  if (!changed) return;
  draft.subject = "moves";
  draft.asks = "count";
  draft.conditions.push({ text: `field is ${changed.groups.field ?? changed.groups.of}`, at: 0 });
}

const UNITS: readonly (readonly [string, string])[] = [
  ["(?:(?:in|by|of) )?(?:story )?points", "points"],
  ["(?:in|by) (?:items|count|tickets|stories|number)", "count"],
  ["(?:in|by) (?:remaining )?(?:estimates?|hours|work)", "remaining estimate"],
];

/** Which sprint, in what, of which team. */
export function readSprints(question: Question, draft: Draft): void {
  if (draft.history !== "burndown" && draft.history !== "velocity") return;
  for (const [said, unit] of UNITS)
    if (question.take(said, "measure", "the unit of work")) draft.unit = unit;
  if (draft.history === "burndown") {
    question.takeAll(
      "(?:of |for )?(?:the |our |my )?(?:current|running|this|present|ongoing) sprint|(?:of |for )?(?:the |our |my )?(?:team's )?sprint",
      "subject",
      "the current sprint",
    );
    draft.sprint = draft.values.find(({ field }) => field === "sprint")?.value ?? null;
    draft.team = draft.values.find(({ field }) => field === "team")?.value ?? null;
    draft.values = draft.values.filter(({ field }) => field !== "sprint" && field !== "team");
    return;
  }
  const over = question.take(
    `(?:over |for |of |in )?(?:the )?(?:last|past|previous) (?<n>${NUMBER}) sprints`,
    "period",
    "the last sprints",
  );
  if (over) draft.sprints = numberOf(over.groups.n ?? "");
  question.takeAll(
    "(?:per|each|every|by|over) sprints?|sprints?|over time",
    "filler",
    "a velocity is by sprint",
  );
  draft.team = draft.values.find(({ field }) => field === "team")?.value ?? null;
  draft.values = draft.values.filter(({ field }) => field !== "team");
}
