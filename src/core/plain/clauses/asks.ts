import { OPEN, type Draft } from "../draft";
import type { Question } from "../question";

export function readAsks(question: Question, draft: Draft): void {
  const counts = question.take(
    "how many(?! (?:hours|days|times))|(?:the |a )?(?:number|count|total number|amount|quantity) of(?! times)|count(?: up)?(?: the| all)?",
    "measure",
    "count",
  );
  if (counts) draft.asks = "count";
  else if (question.take("lists?(?: of)?(?: all)?(?: the)?", "kind", "a list")) draft.asks = "list";
}

/** How much there is to do: what is open. */
export function readWorkload(question: Question, draft: Draft): void {
  const load = question.take("(?:open )?work ?loads?", "measure", "open items");
  if (!load) return;
  draft.asks = "count";
  draft.conditions.push({ text: OPEN, at: load.from });
}

/** What asks which ones there are asks for them, unless it asks which group. */
export function readWhich(question: Question, draft: Draft): void {
  const which = question.take("which|what are|what is", "kind", "a list");
  if (which && draft.asks === null) draft.asks = "list";
}

export function readComparison(question: Question, draft: Draft): void {
  const earlier = question.take(
    "(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:(?:the )?same (?:time|period|month|week|quarter) (?:last year|a year ago|the year before)|a year (?:ago|earlier|before)|(?:the )?(?:year before|previous year))|year (?:on|over) year|yoy",
    "comparison",
    "a year earlier",
  );
  if (earlier) draft.comparedWith = "a year earlier";
  const before = question.take(
    "(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:the )?(?:period|one|month|week|quarter|year|time) before(?: (?:that|it))?|(?:compared (?:with|to)|vs\\.?|versus|than|against) (?:the )?(?:previous|prior|preceding) (?:period|one|month|week|quarter)|month (?:on|over) month|week (?:on|over) week",
    "comparison",
    "the period before",
  );
  if (before) draft.comparedWith = "the period before";
  if (
    question.take(
      "compare(?! .* per )|compared (?:with|to)|versus|vs\\.?|(?:more|fewer|less)(?=.* than (?:last|yesterday|in|the))",
      "comparison",
      "a comparison",
    )
  )
    draft.compares = true;
}

/** "at the end of each month": a level. */
export function readLevelEnds(question: Question, draft: Draft): void {
  const GRAIN = "day|week|month|quarter|year";
  const ends = question.take(
    `(?:at|on|by) (?:the )?(?:end|ends|close) of (?:each|every|all) (?<grain>${GRAIN})s?|at (?:each |every )?(?<one>${GRAIN}) ends?`,
    "kind",
    "a level at the end of each stretch",
  );
  const grain = ends?.groups.grain ?? ends?.groups.one;
  if (!ends || !grain) return;
  draft.history = "level";
  draft.groups.push({ text: grain, at: ends.from, splits: false, grain });
}

/** What somebody did themselves is theirs, and was done. */
function readMyDeeds(question: Question, draft: Draft): void {
  const mine = (at: number) =>
    draft.values.push({ field: "assignee", value: "me", isNot: false, at });
  const finished = question.take(
    "(?:that |which )?(?:(?:have |did )?i|i(?: have|'ve)?)(?: already)? (?:finish(?:ed)?|closed?|resolved?|completed?|fix(?:ed)?|solved?|done)",
    "condition",
    "finished by me",
  );
  if (finished) {
    mine(finished.from);
    draft.events.push({ date: "finished", at: finished.from });
  }
  const working = question.take(
    "(?:that |which )?(?:am i|i am|i'm)(?: currently| now)? working on(?: right now| now| at the moment)?",
    "condition",
    "mine and under way",
  );
  if (!working) return;
  mine(working.from);
  draft.conditions.push({ text: 'stage is "under way"', at: working.from });
}

/** Me, my team, my projects. */
export function readMine(question: Question, draft: Draft): void {
  readMyDeeds(question, draft);
  const put = (field: string, value: string, pattern: string) => {
    const found = question.take(`(?<not>not )?(?:${pattern})`, "condition", value);
    if (found)
      draft.values.push({ field, value, isNot: Boolean(found.groups.not), at: found.from });
    return found !== null;
  };
  if (draft.history !== "velocity") {
    put(
      "team",
      "my team",
      "(?:does |do |of |for |in |by |has |assigned to )?(?:my|our) team(?:'s)?(?: (?:have|has))?",
    );
    put("team", "my teams", "(?:of |for |in )?(?:my|our) teams(?:')?");
  } else if (question.take("(?:of |for )?(?:my|our) team(?:'s)?", "subject", "my team"))
    draft.team = null;
  put("project", "my projects", "(?:of |in |for |on )?my projects(?:')?");
  put(
    "raised by",
    "me",
    "(?:that |which )?(?:did i|have i|i(?: have|'ve)?) (?:raised?|report(?:ed)?|created?|open(?:ed)?|submit(?:ted)?|logged)|(?:raised|reported|created|opened|submitted|requested) by me",
  );
  put(
    "assignee",
    "me",
    "(?:assigned to|owned by|handled by|belonging to|with|for|on) (?:me|myself)|(?:that )?i (?:have|own|am (?:working on|assigned to)|work on)|my(?= )|mine|on my plate",
  );
}
