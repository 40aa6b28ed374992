import type { Catalog } from "../../catalog";
import { OPEN, type Draft, type GroupSaid } from "../draft";
import type { Question } from "../question";
import { FIELD_WORDS, REACHED } from "../words/fields";
import { NUMBER, numberOf } from "../words/numbers";
import { escaped } from "./escaped";

const GRAINS: readonly (readonly [string, string])[] = [
  ["day of (?:the )?week|weekdays?", "weekday"],
  ["hours? of (?:the )?day|hours?", "hour"],
  ["days?|daily", "day"],
  ["weeks?|weekly", "week"],
  ["months?|monthly", "month"],
  ["quarters?|quarterly", "quarter"],
  ["years?|yearly", "year"],
];
const SPLITTING =
  "split (?:up )?(?:by|into|per)|broken (?:down|out|up) (?:by|into|per)|break (?:it )?down by|divided (?:by|into)|colou?r(?:ed)? by|stacked by|stack by|against|with colou?rs? by|segmented by|subdivided by";
const GROUPING =
  "grouped by|group by|arranged by|according to|for each|for every|in each|of each|by each|by|per|each|every|across";

interface FieldSaid {
  readonly said: string;
  readonly text: string;
  readonly grain?: string;
}

/** What can stand after "by", the longest first: fields by their words and by what people call them, and stretches of time. */
export function fieldsSaid(catalog: Catalog, subject: string): FieldSaid[] {
  const id =
    subject === "time entries"
      ? "timeEntries"
      : subject === "cost entries"
        ? "costEntries"
        : subject;
  const own = catalog.fieldsOf(
    (
      [
        "moves",
        "timeEntries",
        "costEntries",
        "projects",
        "assets",
        "milestones",
        "weeklyWords",
      ] as const
    ).find((one) => one === id) ?? "items",
  );
  const reached = REACHED[subject] ?? {};
  const known = new Set(own.map(({ words }) => words));
  const plural = (words: string) => `${escaped(words)}(?:s|es)?`;
  const fields = own.map(({ words, synonyms = [] }) => ({
    said: [words, ...synonyms].map(plural).join("|"),
    text: words,
  }));
  const called = FIELD_WORDS.flatMap(({ said, field }) => {
    const text = reached[field] ?? (known.has(field) ? field : undefined);
    return text ? [{ said, text }] : [];
  });
  const grains = GRAINS.map(([said, grain]) => ({ said, text: grain, grain }));
  // How other subjects reach a field comes before a field of their own that is called the same.
  return [...(subject === "items" ? [] : called), ...fields, ...called, ...grains];
}

/** By what it is grouped, in the order of the words. */
export function readGroups(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject ?? "items");
  const whole = said.map((one) => one.said).join("|");
  const textOf = (words: string) =>
    said.find((one) => new RegExp(`^(?:${one.said.replaceAll(" ", "\\s+")})$`, "u").test(words));
  const connected = `(?:(?:,? ?and )?then )?(?<how>${SPLITTING}|${GROUPING}) (?:the |their |its |each |every )?(?:(?:kinds?|types?|sorts?) of )?(?<field>${whole})(?<more>(?:(?:,| and| then(?: by)?| by| \\/) (?:by )?(?:the |their |its )?(?:${whole}))*)(?! (?:than|spent|logged))`;
  for (;;) {
    const found = question.take(connected, "group", "a group");
    if (!found) break;
    const { how = "", field = "", more = "" } = found.groups;
    const splits = new RegExp(`^(?:${SPLITTING})$`, "u").test(how.replace(/\s+/g, " "));
    add(field, found.from, splits);
    for (const [i, part] of more
      .split(/(?:,| and | then(?: by)? | \/ )\s*/)
      .filter(Boolean)
      .entries()) {
      const words = part.trim().replace(/^(?:by|the|their|its) /, "");
      if (words) add(words, found.from + 1 + i, !/then/.test(more));
    }
  }
  const adverb = question.take(
    "(?<grain>daily|weekly|monthly|quarterly|yearly)|(?:day|week|month|quarter) by (?<unit>day|week|month|quarter)",
    "group",
    "a stretch of time",
  );
  if (adverb) add(adverb.groups.grain ?? adverb.groups.unit ?? "", adverb.from, false);

  function add(words: string, at: number, splits: boolean): void {
    const one = textOf(words.replace(/\s+/g, " "));
    if (!one) return;
    const group: GroupSaid = {
      text: one.text,
      at,
      splits,
      ...(one.grain ? { grain: one.grain } : {}),
    };
    if (!draft.groups.some(({ text }) => text === group.text)) draft.groups.push(group);
  }
}

/** "top 5 assignees by", "the 10 services with the most", "who has the most", "which team has the fewest". */
export function readRanks(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject ?? "items").filter(({ grain }) => !grain);
  const whole = said.map((one) => one.said).join("|");
  const MOST = "most|fewest|least|highest|largest|lowest|biggest|smallest|busiest|worst|best";
  const field = (words: string) =>
    said.find((one) => new RegExp(`^(?:${one.said.replaceAll(" ", "\\s+")})$`, "u").test(words))
      ?.text;
  const group = (words: string | undefined, at: number) => {
    const text = words && field(words.replace(/\s+/g, " "));
    if (text && !draft.groups.some((one) => one.text === text))
      draft.groups.unshift({ text, at: at - 1000, splits: false });
    draft.asks = "count";
  };
  const top =
    question.take(
      `(?:the )?(?:top|first|busiest|worst|biggest|largest) (?<n>${NUMBER}) (?<field>${whole})(?: by(?: number of)?| with the (?:${MOST})| having the most| for)?`,
      "order",
      "the largest groups",
    ) ??
    question.take(
      `(?:the |our )?(?<n>${NUMBER}) (?:busiest |worst |biggest )?(?<field>${whole}) (?:with|having|that have|who have|by) (?:the )?(?:${MOST})`,
      "order",
      "the largest groups",
    ) ??
    question.take(
      `(?:the |our )?(?<n>${NUMBER}) (?:busiest|worst|biggest|largest) (?<field>${whole})`,
      "order",
      "the largest groups",
    );
  if (top) {
    draft.top = numberOf(top.groups.n ?? "");
    group(top.groups.field, top.from);
  }
  const who = question.take(
    `(?:which|what) (?<field>${whole}) (?:has|have|had|gets?|got|closed?|finished|resolved|handles?|carr(?:y|ies)|raised|raises|created?|takes?|took|receives?|received)?(?= |)(?: on)?(?=.*(?:${MOST}|more))`,
    "group",
    "which of them",
  );
  if (who) {
    const verb = /\b(closed?|finished|resolved)$/.exec(who.words)
      ? "finished"
      : /\b(raised|raises|created?|received)$/.exec(who.words)
        ? "created"
        : null;
    if (verb) draft.events.push({ date: verb, at: who.from });
    group(who.groups.field, who.from);
  }
  if (question.find(`who(?! has the (?:oldest|newest))(?=.* (?:${MOST}|more))`)) {
    const found = question.take("who", "group", "by assignee")!;
    group("assignee", found.from);
  }
  const least = question.take(
    `(?:the |our )?(?:most |least )(?:busy|loaded|idle|burdened) (?<field>${whole})|(?:the |our )?busiest (?<one>${whole})`,
    "order",
    "open work by them",
  );
  if (least) {
    draft.conditions.push({ text: OPEN, at: least.from });
    group(least.groups.field ?? least.groups.one, least.from);
  }
  if (draft.groups.length)
    question.takeAll(
      `(?:with |having )?(?:the )?(?:${MOST})(?: of)?`,
      "order",
      "the order of the answer",
    );
}
