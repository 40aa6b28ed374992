import type { AskContext } from "../../catalog";
import { nameText } from "../../sentence";
import type { Draft } from "../draft";
import type { NamedPlace } from "../names";
import type { Question } from "../question";
import { PRIORITY_WORDS } from "../words/states";

const NEGATION =
  /(?:^|[^\p{L}])(?:not|except(?: for)?|excluding|other than|without|but not|aren't|isn't|are not|is not|no|minus|all but|anything but|everything but)(?: (?:for|in|on|from|the|by|a))*\s*$/u;
const RAISED =
  /(?<!\p{L})(?:raised by|reported by|requested by|created by|opened by|submitted by|logged by|from|by requester|requester(?: is)?|reporter(?: is)?)\s+$/u;

const MANAGED =
  /(?<!\p{L})(?:managed by|run by|led by|headed by|with manager|manager(?: is)?)\s+$/u;

/** "logged by Halvard": a status that is called as what somebody does is no status before who did it. */
export function addNames(
  question: Question,
  draft: Draft,
  places: readonly NamedPlace[],
  optionAt: (at: number, options: number, words: string) => number,
): void {
  const isDone = (one: NamedPlace, next: NamedPlace | undefined) =>
    next !== undefined &&
    one.names.some(({ field }) => field === "status") &&
    next.names.some(({ field }) => field === "assignee") &&
    /^\s+by\s+$/.test(question.text.slice(one.to, next.from));
  for (const [i, place] of places.entries())
    if (!isDone(place, places[i + 1]))
      addName(question, draft, place, optionAt, i > 0 && isDone(places[i - 1], place));
}

function addName(
  question: Question,
  draft: Draft,
  { from, to, names }: NamedPlace,
  optionAt: (at: number, options: number, words: string) => number,
  isRaiser = false,
): void {
  const before = question.rest.slice(0, from);
  const fitting = names.filter(
    ({ field }) =>
      fieldWordsBefore(before, field) || fieldWordsAfter(question.rest.slice(to), field),
  );
  const ofForm =
    draft.history === "velocity" ? "team" : draft.history === "burndown" ? "sprint" : null;
  const asked = names.filter((name) => name.field === ofForm);
  const options = asked.length ? asked : fitting.length ? fitting : names;
  const { field, value, rule } =
    options[optionAt(from, options.length, question.text.slice(from, to))] ?? options[0];
  let named = field;
  const managed = MANAGED.exec(before);
  if (field === "assignee" && managed) {
    question.use({ from: managed.index, to: from }, "condition", "who manages it");
    named = "manager";
  }
  const raised = RAISED.exec(before);
  if (field === "assignee" && (raised || isRaiser)) {
    if (raised) question.use({ from: raised.index, to: from }, "condition", "who raised it");
    named = "raised by";
  }
  const last = draft.values[draft.values.length - 1];
  if (field === "assignee" && last?.field === "raised by" && JOINED.test(before))
    named = "raised by";
  const became =
    /(?:moved|changed|went|gone|set|put|turned|switched|came)(?: back)?(?: (?:in)?to)\s+$/u.exec(
      before,
    );
  if (field === "status" && became) {
    question.use({ from: became.index, to: from }, "condition", "became");
    draft.conditions.push({ text: `status became ${nameText(value)}`, at: from });
    return;
  }
  const own = fieldWordsBefore(before, field);
  const isSignedNot = own !== null && /!=|<>|is not|are not/.test(before.slice(own.from));
  if (own) question.use({ from: own.from, to: from }, "condition", rule);
  const after = fieldWordsAfter(question.rest.slice(to), field);
  if (after) question.use({ from: to + after.from, to: to + after.to }, "condition", rule);
  const not = NEGATION.exec(question.rest.slice(0, own?.from ?? from));
  if (not) {
    const start = not.index + (/^[^\p{L}]/u.test(not[0]) ? 1 : 0);
    question.use({ from: start, to: own?.from ?? from }, "condition", "not");
  }
  const isNot = isSignedNot || not !== null || wasNot(draft, named, before);
  draft.values.push({ field: named, value, isNot, at: from });
}

/** What stands before is joined to what was taken before it. */
const JOINED = /\u0000\s*(?:,|or|and|nor)\s*$/u;

/** "not P3 or P4": what joins a name to one that is excluded excludes it too. */
const wasNot = (draft: Draft, field: string, before: string): boolean => {
  const last = draft.values[draft.values.length - 1];
  return last !== undefined && last.isNot && last.field === field && JOINED.test(before);
};

const WORDS_OF: Readonly<Record<string, string>> = {
  assignee: "assignee|agent|technician|owner|assigned to|owned by|handled by|held by|responsible",
  "raised by": "raised by|requester|reporter",
  priority: "priority|priorities|prio",
  status: "status|statuses|state",
  team: "team|teams|crew|squad",
  service: "service|services",
  project: "project|projects",
  sprint: "sprint",
  asset: "asset|assets",
  release: "release|version",
};
function fieldWordsBefore(before: string, field: string): { from: number } | null {
  const words = WORDS_OF[field] ?? field;
  const match = new RegExp(
    `(?<!\\p{L})(?:in |with |of |for |on |by |from )?(?:the )?(?:${words})(?:\\s*(?:is not|are not|!=|<>|is|are|=|was|called|named|of|in))?[\\s:=(]+$`,
    "u",
  ).exec(before);
  return match && { from: match.index };
}
function fieldWordsAfter(after: string, field: string): { from: number; to: number } | null {
  const match = new RegExp(`^\\s+(?:${WORDS_OF[field] ?? field})(?!\\p{L})`, "u").exec(after);
  return match && { from: 0, to: match[0].length };
}

export function readPriorities(
  question: Question,
  draft: Draft,
  { catalog }: AskContext,
  optionAt: (at: number, options: number, words: string) => number,
): void {
  const list = catalog.names.list("priority");
  if (list.length === 0) return;
  for (const { said, ranks } of PRIORITY_WORDS) {
    const found = question.take(
      `(?:with )?(?:a )?(?:${said})(?: ones)?(?! first)`,
      "condition",
      "a priority by its rank",
    );
    if (!found) continue;
    const chosen = ranks[optionAt(found.from, ranks.length, found.words)] ?? ranks[0];
    for (const rank of chosen) {
      const priority = list.at(rank);
      if (priority)
        draft.values.push({
          field: "priority",
          value: priority.label,
          isNot: false,
          at: found.from,
        });
    }
  }
}

/**
 * "or" joins values of one field, which are one or another of them anyway. Between other things a sentence would say something
 * else than "and", which is how they are put together, so it is a doubt.
 */
export function readOr(question: Question, draft: Draft): void {
  for (const { from, to } of question.findAll("or")) {
    const before = question.uses.filter((use) => use.to <= from).sort((a, b) => b.to - a.to)[0];
    const after = question.uses.filter((use) => use.from >= to).sort((a, b) => a.from - b.from)[0];
    const [one, other] = [before, after].map((use) => use && valueIn(draft, use));
    const isSame = one && other && one.field === other.field && one.isNot === other.isNot;
    question.use(
      { from, to },
      isSame ? "filler" : "not understood",
      isSame ? "one or another" : "or",
    );
    if (!isSame) draft.doubts.push('"or" joins different things');
  }
}

const valueIn = (draft: Draft, { from, to }: { readonly from: number; readonly to: number }) =>
  draft.values.find(({ at }) => from <= at && at < to);
