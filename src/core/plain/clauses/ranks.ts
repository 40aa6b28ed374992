import type { Catalog } from "../../catalog";
import { OPEN, type Draft } from "../draft";
import { fieldsSaid, type FieldsSaid } from "../fieldsSaid";
import type { Question } from "../question";
import { NUMBER, numberOf } from "../words/numbers";

export const MOST = "most|fewest|least|highest|largest|lowest|biggest|smallest|busiest|worst|best";

/** Groups that are named by their place among the others come first, before all that is said with "by". */
const RANK_FIRST = -1000;

/** "top 5 assignees by", "the 10 services with the most", "who has the most", "which team has the fewest". */
export function readRanks(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject);
  readTop(question, draft, said);
  readThose(question, draft, said);
  readWho(question, draft, said);
  readBusy(question, draft, said);
}

function readTop(question: Question, draft: Draft, said: FieldsSaid): void {
  const field = `(?<field>${said.anyField})`;
  const n = `(?<n>${NUMBER})`;
  const patterns = [
    `(?:the )?(?:top|first|busiest|worst|biggest|largest) ${n} ${field}(?: by(?: number of)?| with the (?:${MOST})| having the most| for)?`,
    `(?:the |our )?${n} (?:busiest |worst |biggest )?${field} (?:with|having|that have|who have|by) (?:the )?(?:${MOST})`,
    `(?:the |our )?${n} (?:busiest|worst|biggest|largest) ${field}`,
  ];
  for (const pattern of patterns) {
    const top = question.take(pattern, "order", "the largest groups");
    if (!top) continue;
    draft.top = numberOf(top.groups.n ?? "");
    group(draft, said, top.groups.field, top.from);
    return;
  }
}

/** "services with the most", "which team has the fewest", "what landing gets the most". */
function readThose(question: Question, draft: Draft, said: FieldsSaid): void {
  const those = question.take(
    `(?:the )?(?<field>${said.anyField})(?= (?:with|having) (?:the )?(?:${MOST}))`,
    "group",
    "which of them",
  );
  if (those) group(draft, said, those.groups.field, those.from);
  const which = question.take(
    `(?:which|what) (?<field>${said.anyField}) (?<did>has|have|had|gets?|got|closed?|finished|resolved|handles?|carr(?:y|ies)|raised|raises|created?|takes?|took|receives?|received)?(?= |)(?: on)?(?=.*(?:${MOST}|more))`,
    "group",
    "which of them",
  );
  if (!which) return;
  const { field, did = "" } = which.groups;
  if (/^(?:closed?|finished|resolved)$/.test(did))
    draft.events.push({ date: "finished", at: which.from });
  if (/^(?:raised|raises|created?|received)$/.test(did))
    draft.events.push({ date: "created", at: which.from });
  group(draft, said, field, which.from);
}

/** "who has the most", "who finished how many". */
function readWho(question: Question, draft: Draft, said: FieldsSaid): void {
  if (question.find(`who(?! has the (?:oldest|newest))(?=.* (?:${MOST}|more))`)) {
    const who = question.take("who", "group", "by assignee");
    if (who) group(draft, said, "assignee", who.from);
  }
  if (draft.asks !== "count") return;
  const doer = question.take(
    "(?<!(?:people|persons|agents|those) )who (?<did>finished|closed|resolved|completed|fixed|raised|reported|created|opened)",
    "group",
    "by who did it",
  );
  if (!doer) return;
  const isRaiser = /^(?:raised|reported|created|opened)/.test(doer.groups.did ?? "");
  draft.events.push({ date: isRaiser ? "created" : "finished", at: doer.from });
  group(draft, said, isRaiser ? "raised by" : "assignee", doer.from);
}

/** "least busy agents": by the work that they have open. */
function readBusy(question: Question, draft: Draft, said: FieldsSaid): void {
  const busy = question.take(
    `(?:the |our )?(?:(?:most |least )(?:busy|loaded|idle|burdened)|busiest) (?<field>${said.anyField})`,
    "order",
    "open work by them",
  );
  if (!busy) return;
  draft.conditions.push({ text: OPEN, at: busy.from });
  group(draft, said, busy.groups.field, busy.from);
}

function group(draft: Draft, said: FieldsSaid, words: string | undefined, at: number): void {
  const text = words && said.called(words)?.text;
  if (text && !draft.groups.some((one) => one.text === text))
    draft.groups.unshift({ text, at: at + RANK_FIRST, splits: false });
  draft.asks = "count";
}
