import type { Catalog } from "../../catalog";
import type { Draft, GroupSaid } from "../draft";
import { fieldsSaid, GRAINS, type FieldsSaid } from "../fieldsSaid";
import type { Question } from "../question";
import { NUMBER, numberOf } from "../words/numbers";
import { MOST } from "./ranks";

const SPLITTING =
  "split (?:up )?(?:by|into|per)|broken (?:down|out|up) (?:by|into|per)|break (?:it )?down by|divided (?:by|into)|colou?r(?:ed)? by|stacked by|stack by|against|with colou?rs? by|segmented by|subdivided by";
const GROUPING =
  "grouped by|group by|arranged by|according to|for each|for every|in each|of each|by each|distributed (?:over|across|among)|spread (?:over|across|among)|by|per|each|every|across";
/** What joins a further group to the one before it. */
const JOINING = ",| and then(?: by)?| and| then(?: by)?| by| \\/";
const ITS = "(?:the |their |its )?";

/** By what it is grouped, in the order of the words. */
export function readGroups(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject);
  readAdverb(question, draft, said);
  readBreakdown(question, draft, said);
  readConnected(question, draft, said);
  if (draft.groups.length === 0) return;
  const top = question.take(`top (?<n>${NUMBER})(?! \\p{L})`, "order", "the largest groups");
  if (top) draft.top = numberOf(top.groups.n ?? "");
  question.takeAll(
    `(?:with |having )?(?:the )?(?:${MOST})(?: of)?`,
    "order",
    "the order of the answer",
  );
}

/** "by service and priority", "for each team", "broken down by status". */
function readConnected(question: Question, draft: Draft, said: FieldsSaid): void {
  const pattern = `(?:(?:,? ?and )?then )?(?<how>${SPLITTING}|${GROUPING}) (?:the |their |its |each |every )?(?:(?:kinds?|types?|sorts?) of )?(?<field>${said.any})(?<more>(?:(?:${JOINING}) (?:by )?${ITS}(?:${said.any}))*)(?! (?:than|spent|logged))`;
  for (;;) {
    const found = question.take(pattern, "group", "a group");
    if (!found) return;
    const { how = "", field = "", more = "" } = found.groups;
    const isSplitting = new RegExp(`^(?:${SPLITTING})$`, "u").test(how.replace(/\s+/g, " "));
    // "monthly faults by priority": what comes after a stretch of time parts it.
    const isAfterTime = draft.groups.some(({ grain, at }) => grain && at < found.from);
    add(draft, said, field, found.from, isSplitting || isAfterTime);
    const parts = more.split(/(?:,| and then(?: by)? | and | then(?: by)? | \/ )\s*/);
    for (const [i, part] of parts.filter(Boolean).entries()) {
      const words = part.trim().replace(/^(?:by|the|their|its) /, "");
      if (words) add(draft, said, words, found.from + 1 + i, !/then/.test(more));
    }
  }
}

/** "daily", "week by week". */
function readAdverb(question: Question, draft: Draft, said: FieldsSaid): void {
  const adverb = question.take(
    "(?<grain>daily|weekly|monthly|quarterly|yearly)|(?:day|week|month|quarter) by (?<unit>day|week|month|quarter)",
    "group",
    "a stretch of time",
  );
  const words = adverb?.groups.grain ?? adverb?.groups.unit;
  if (adverb && words) add(draft, said, words, adverb.from, false);
}

/** "status breakdown", "busiest hour of the day", "in which month". */
function readBreakdown(question: Question, draft: Draft, said: FieldsSaid): void {
  const grains = GRAINS.map(([words]) => words).join("|");
  const found =
    question.take(
      `(?<field>${said.any}) (?:breakdown|distribution|mix)(?: of| for)?`,
      "group",
      "a group",
    ) ??
    question.take(
      `(?:in |on |at )?(?:which|what|(?:the )?busiest) (?<field>${grains})`,
      "group",
      "a group",
    );
  if (!found) return;
  add(draft, said, found.groups.field ?? "", found.from, false);
  draft.asks = "count";
}

function add(draft: Draft, said: FieldsSaid, words: string, at: number, splits: boolean): void {
  const one = said.called(words);
  if (!one) return;
  const { text, grain } = one;
  const group: GroupSaid = { text, at, splits, ...(grain ? { grain } : {}) };
  if (!draft.groups.some((other) => other.text === text)) draft.groups.push(group);
}
