import type { Catalog } from "../catalog";
import { nameText } from "../sentence";
import { OPEN, type Draft, type GroupSaid } from "./draft";
import type { Question } from "./question";
import { EVENTS } from "./words/events";
import { FIELD_WORDS, REACHED } from "./words/fields";
import { AGGREGATES, AMOUNTS, HOW_LONG, HOW_OLD } from "./words/measures";
import { NOUNS } from "./words/nouns";
import { NUMBER, numberOf } from "./words/numbers";
import { SHAPE_WORDS } from "./words/shapes";
import { FINISHED_STATE, PAUSED_WORDS, STAGES, STATES, STATUS_WORDS } from "./words/states";

const escaped = (words: string): string =>
  words.replace(/[.*+?^${}()|[\]\\]/g, "\\$&").toLowerCase();

/** Texts that a title has: "with radio in the title". */
export function readTexts(question: Question, draft: Draft): void {
  const IN_TITLE = "(?: somewhere)? in (?:the|their|its) (?:title|name|subject)s?";
  const found =
    question.take(
      `(?:with|having|containing|that contain|contain(?:s|ing)?|mention(?:s|ing)?|saying|say)? ?["“](?<text>[^"”]+)["”](?:${IN_TITLE})?`,
      "condition",
      "a text in the title",
    ) ??
    question.take(
      `(?:with|having|containing|contain(?:s|ing)?|mention(?:s|ing)?|say(?:s|ing)?) (?:the words? )?(?<text>\\S+(?: \\S+){0,3}?)${IN_TITLE}`,
      "condition",
      "a text in the title",
    ) ??
    question.take(
      `(?:whose |with )?(?:a )?(?:title|name|subject)s? (?:that )?(?:contain(?:s|ing)?|with|mention(?:s|ing)?|includ(?:es|ing)) (?<text>\\S+(?: \\S+)?)`,
      "condition",
      "a text in the title",
    );
  if (found)
    draft.conditions.push({ text: `title contains "${found.groups.text ?? ""}"`, at: found.from });
  const tag = question.takeAll(
    `(?<not>not )?(?:tagged|labell?ed)(?: with| as)? (?<tag>[^\\s,?]+)|with (?:the )?(?:tag|label) (?<with>[^\\s,?]+)`,
    "condition",
    "a tag",
  );
  for (const { groups, from } of tag)
    draft.values.push({
      field: "tags",
      value: groups.tag ?? groups.with ?? "",
      isNot: Boolean(groups.not),
      at: from,
    });
}

const UNIT_WORDS = "minutes?|hours?|(?:working |business )?days?|weeks?|fortnights?|months?|years?";
/** An amount of time in the units that durations have. */
function inDays(count: number, unit: string): string {
  if (/^(?:minute|hour)/.test(unit)) return `${count} ${unit.replace(/s?$/, "s")}`;
  const days = /^week/.test(unit)
    ? 7
    : /^fortnight/.test(unit)
      ? 14
      : /^month/.test(unit)
        ? 30
        : /^year/.test(unit)
          ? 365
          : 1;
  return `${count * days} days`;
}
const COMPARED: readonly (readonly [string, string])[] = [
  [
    "(?:for )?(?:more|longer|greater|older|over|above|bigger|higher) than|over|for over|exceeding|>",
    "over",
  ],
  ["(?:for )?(?:less|fewer|younger|newer|shorter|lower|smaller) than|under|below|<", "under"],
  ["(?:for )?at least|(?:for )?a minimum of|>=", "at least"],
  ["at most|no more than|up to|a maximum of|<=", "at most"],
];

/** Conditions with a number: older than, reopened more than twice, stuck for more than a week. */
export function readAmounts(question: Question, draft: Draft): void {
  const say = (text: string, at: number) => draft.conditions.push({ text, at });
  const STUCK =
    "stuck|stale|stalled|idle|sitting|sat|lingering|in the same status|not moved|unchanged|hanging|waiting";
  const stuck = question.find(STUCK);
  for (const [said, operator] of COMPARED) {
    const counted = `(?<more>${said}) (?<n>${NUMBER})`;
    for (const [what, field] of [
      ["reassigned|reassignments?", "reassigned"],
      ["reopened|reopenings?", "reopened"],
    ] as const) {
      const found =
        question.take(`(?:${what}) ${counted}(?: times?)?`, "condition", `how often ${field}`) ??
        question.take(
          `(?:with |having )?${counted} (?:${what})`,
          "condition",
          `how often ${field}`,
        );
      if (found) say(`${field} ${operator} ${numberOf(found.groups.n ?? "")}`, found.from);
    }
    const points = question.take(
      `(?:with |worth |of |having )?${counted} (?:story )?points`,
      "condition",
      "points",
    );
    if (points) say(`points ${operator} ${numberOf(points.groups.n ?? "")}`, points.from);
    const took = question.take(
      `(?:that )?(?:took|taking|needed|needing) ${counted} (?<unit>${UNIT_WORDS})`,
      "condition",
      "lead time",
    );
    if (took)
      say(
        `lead time ${operator} ${inDays(numberOf(took.groups.n ?? ""), took.groups.unit ?? "")}`,
        took.from,
      );
    const lasting = question.find(`${counted} (?<unit>${UNIT_WORDS})(?<tail> old| of age)?`);
    if (lasting) {
      const amount = inDays(numberOf(lasting.groups.n ?? ""), lasting.groups.unit ?? "");
      const isAge =
        /older|younger|newer/.test(lasting.groups.more ?? "") ||
        Boolean(lasting.groups.tail) ||
        (!stuck && !/^for /.test(lasting.groups.more ?? ""));
      question.use(lasting, "condition", isAge ? "age" : "age in status");
      say(`${isAge ? "age" : "age in status"} ${operator} ${amount}`, lasting.from);
    }
  }
  const twice = question.take(
    `(?<what>reopened|reassigned) (?<n>once|twice|${NUMBER} times?)`,
    "condition",
    "how often",
  );
  if (twice)
    say(
      `${twice.groups.what} at least ${numberOf((twice.groups.n ?? "").replace(/ times?$/, ""))}`,
      twice.from,
    );
  // "untouched for two weeks": without "more than" it is at least that.
  const idle = question.take(
    `(?:(?:nobody|no one) has |not |un)?(?:touched|looked at|worked on|updated|changed|moved)(?: (?:in|for|since))? (?:the last |over )?(?<n>${NUMBER}) (?<unit>${UNIT_WORDS})`,
    "condition",
    "not changed for so long",
  );
  if (idle) {
    const amount = inDays(numberOf(idle.groups.n ?? ""), idle.groups.unit ?? "");
    say(`last changed before ${DAYS_AGO}${amount}`, idle.from);
    say(OPEN, 10_000);
  }
  if (!stuck) return;
  const forLong = question.take(
    `(?:${STUCK}).{0,40}? for (?<n>${NUMBER}) (?<unit>${UNIT_WORDS})`,
    "condition",
    "age in status",
  );
  if (forLong)
    say(
      `age in status over ${inDays(numberOf(forLong.groups.n ?? ""), forLong.groups.unit ?? "")}`,
      forLong.from,
    );
  else if (draft.conditions.some(({ text }) => text.startsWith("age in status")))
    question.take(STUCK, "condition", "age in status");
}
/** Stands for a day counted back from today; it is filled in when the sentence is made. */
export const DAYS_AGO = "days-ago:";

export function readStates(question: Question, draft: Draft, catalog: Catalog): void {
  const take = (said: string, means: string, rule = means) => {
    const found = question.take(said, "condition", rule);
    if (found) draft.conditions.push({ text: means, at: found.from });
    return found;
  };
  for (const { said, means, open } of STATES)
    if (take(said, means) && open) draft.conditions.push({ text: OPEN, at: 10_000 });
  const isCounted = draft.conditions.some(({ text }) => text.startsWith("reopened"));
  if (!isCounted && !draft.measure && take("reopened", "reopened over 0") && draft.times.length)
    draft.doubts.push("when something was reopened cannot be asked, only how often");
  const statuses = catalog.names.list("status");
  const anyOf = (names: readonly string[]) =>
    names.length === 1
      ? `status is ${nameText(names[0])}`
      : `status is any of (${names.map(nameText).join(", ")})`;
  for (const { said, names } of STATUS_WORDS) {
    const has = statuses.filter(({ label }) => names.includes(label.toLowerCase()));
    if (has.length) take(said, anyOf(has.map(({ label }) => label)), "a status");
  }
  const paused = statuses.filter((status) => status.paused);
  if (paused.length)
    take(
      PAUSED_WORDS,
      anyOf(paused.map(({ label }) => label)),
      "a status in which time does not run",
    );
  for (const { said, means } of STAGES) take(said, means);
}

/** The average age, how long it takes, the total points, the share of some. */
export function readMeasures(question: Question, draft: Draft): void {
  if (draft.subject === "time entries" || draft.subject === "cost entries") return;
  if (
    question.take(
      "(?:what )?(?:share|percentage|percent|proportion|fraction|rate|part)(?: of)?|what %|% of",
      "measure",
      "a share of them",
    )
  ) {
    draft.isShare = true;
    return;
  }
  const taking =
    question.find("how long(?: do| does| did)?") &&
    question.find(
      "take(?:s|n)?(?: us)?(?: to (?:finish|close|resolve|complete|fix|solve))?(?: on average)?",
    );
  if (taking && !question.find(HOW_LONG)) {
    question.take("how long(?: do| does| did)?", "measure", "average lead time");
    question.use(taking, "measure", "average lead time");
    draft.measure = "average lead time";
  }
  const long = question.take(HOW_LONG, "measure", "average lead time");
  if (long) draft.measure = "average lead time";
  if (question.take(HOW_OLD, "measure", "average age")) draft.measure = "average age";
  const often = question.take(
    "how (?:often|many times) (?:were|was|are|is|did|have|has)(?=.*(?:reassigned|reopened))",
    "measure",
    "a sum",
  );
  for (const { said, field } of AMOUNTS) {
    const aggregate = AGGREGATES.find(({ said: how }) =>
      question.find(`(?:${how})(?: of)?(?: the)? (?:${said})`),
    );
    const amount = aggregate
      ? question.take(
          `(?:${aggregate.said})(?: of)?(?: the)? (?:${said})`,
          "measure",
          `${aggregate.measure} ${field}`,
        )
      : ["reassigned", "reopened"].includes(field) && !often
        ? null
        : question.take(said, "measure", field);
    if (!amount) continue;
    const usual = field === "points" || field.includes("estimate") || often ? "sum of" : "average";
    draft.measure = `${aggregate?.measure ?? usual} ${field}`;
  }
  if (!draft.measure) return;
  for (const { said, measure } of AGGREGATES) {
    const alone = question.take(said, "measure", measure);
    if (alone) draft.measure = draft.measure.replace(/^(?:average|sum of)/, measure);
  }
}

/** Hours, costs: what time entries and cost entries tell of. */
export function readEntries(question: Question, draft: Draft): void {
  const hours = question.take(
    "(?<bill>(?:non-?)?billable )?(?<!\\d )(?:hours|manhours|man hours)(?: (?:logged|booked|spent|worked|written|recorded|tracked))?|how many hours",
    "measure",
    "hours of time entries",
  );
  const time =
    hours ??
    question.take(
      "(?<bill>(?:non-?)?billable )?(?:time|effort|work) (?:spent|logged|booked|tracked|recorded)|logged time|booked time|(?<also>(?:non-?)?billable )time",
      "measure",
      "minutes of time entries",
    );
  if (time) {
    draft.subject = "time entries";
    draft.measure = hours ? "sum of minutes in hours" : "sum of minutes";
    const bill = time.groups.bill ?? time.groups.also;
    if (bill)
      draft.conditions.push({
        text: `billable is ${bill.startsWith("non") ? "no" : "yes"}`,
        at: time.from,
      });
    question.takeAll(
      "log|logged|book|booked|spend|spent|work|worked|write|written|recorded?|tracked?",
      "filler",
      "said with the hours",
    );
    return;
  }
  if (
    question.take(
      "(?:total )?costs?(?: entries)?|(?:money|amount)(?: spent)?|spending|spend|expenses|expenditures?",
      "measure",
      "the amount of cost entries",
    )
  ) {
    draft.subject = "cost entries";
    draft.measure = "sum of amount";
    question.takeAll("spent", "filler", "said with the amount");
  }
}

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
function fieldsSaid(catalog: Catalog, subject: string): FieldSaid[] {
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

export const FIELD_LIST = fieldsSaid;

/** By what it is grouped, in the order of the words. */
export function readGroups(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject ?? "items");
  const whole = said.map((one) => one.said).join("|");
  const textOf = (words: string) =>
    said.find((one) => new RegExp(`^(?:${one.said.replaceAll(" ", "\\s+")})$`, "u").test(words));
  const connected = `(?<then>(?:,? ?and )?then )?(?<how>${SPLITTING}|${GROUPING}) (?:the |their |its |each |every )?(?:(?:kinds?|types?|sorts?) of )?(?<field>${whole})(?<more>(?:(?:,| and| then(?: by)?| by| \\/) (?:by )?(?:the |their |its )?(?:${whole}))*)(?! (?:than|spent|logged))`;
  for (;;) {
    const found = question.take(connected, "group", "a group");
    if (!found) break;
    const { then, how = "", field = "", more = "" } = found.groups;
    const splits = new RegExp(`^(?:${SPLITTING})$`, "u").test(how.replace(/\s+/g, " "));
    add(field, found.from, splits, Boolean(then));
    for (const [i, part] of more
      .split(/(?:,| and | then(?: by)? | \/ )\s*/)
      .filter(Boolean)
      .entries()) {
      const words = part.trim().replace(/^(?:by|the|their|its) /, "");
      if (words) add(words, found.from + 1 + i, !/then/.test(more), /then/.test(more));
    }
  }
  const adverb = question.take(
    "(?<grain>daily|weekly|monthly|quarterly|yearly)|(?:day|week|month|quarter) by (?<unit>day|week|month|quarter)",
    "group",
    "a stretch of time",
  );
  if (adverb) add(adverb.groups.grain ?? adverb.groups.unit ?? "", adverb.from, false, false);

  function add(words: string, at: number, splits: boolean, within: boolean): void {
    const one = textOf(words.replace(/\s+/g, " "));
    if (!one) return;
    const group: GroupSaid = {
      text: one.text,
      at,
      splits,
      ...(one.grain ? { grain: one.grain } : {}),
      ...(within ? { within } : {}),
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

export function readOrder(question: Question, draft: Draft): void {
  const oldest = question.take(
    `(?:the )?(?:(?:${NUMBER}) )?(?:oldest|longest open)(?: ones)?(?: first)?|(?:sorted|ordered|order|sort) by (?:age|created)`,
    "order",
    "the oldest first",
  );
  if (oldest) draft.sort = "created";
  const newest = question.take(
    `(?:the )?(?:(?:${NUMBER}) )?(?:newest|latest|most recent(?:ly created)?)(?: ones)?(?: first)?`,
    "order",
    "the newest first",
  );
  if (newest) draft.sort = "created descending";
  if (
    question.take(
      "(?:highest priority|most urgent|most important) first|(?:sorted|ordered|order|sort) by priority",
      "order",
      "by priority",
    )
  )
    draft.sort = "priority";
  if (
    question.take(
      "(?:soonest|earliest|next) due(?: first)?|(?:sorted|ordered|order|sort) by due(?: date)?",
      "order",
      "by due date",
    )
  )
    draft.sort = "due";
  const showing = question.take(
    "with their (?<fields>\\S+(?:(?:,| and) \\S+)*)",
    "order",
    "columns",
  );
  if (showing)
    draft.showing = (showing.groups.fields ?? "")
      .split(/,| and /)
      .map((one) => one.trim())
      .filter(Boolean);
}

export function readShape(question: Question, draft: Draft): void {
  const stack = question.find("stack(?:ed)?(?! (?:bars?|columns?))");
  if (stack) {
    question.use(stack, "shape", "stacked bars");
    draft.shape = "stacked bars";
  }
  for (const { said, shape } of SHAPE_WORDS) {
    const found = question.take(
      `(?:as (?:a |an )?|in (?:a |an )?|on (?:a |an )?)?(?:a |an )?(?:${said})(?: of| with| showing)?`,
      "shape",
      shape,
    );
    if (found && !draft.shape) draft.shape = shape;
  }
}

/** What happens to records, and when: a word for it that says no time is no condition, and so doubtful where it would be one. */
export function readEvents(question: Question, draft: Draft): void {
  const isTimed =
    draft.times.length > 0 || draft.groups.some(({ grain }) => grain) || draft.history !== null;
  for (const { said, date } of EVENTS)
    for (const { from, words } of question.takeAll(
      `(?:were |was |been |got |we |did we |have been |did )?(?:${said})`,
      "condition",
      `the date ${date}`,
    )) {
      draft.events.push({ date, at: from });
      const needsTime =
        /^(?:brand new|new|newly)$/.test(words) || date === "due" || date === "started";
      if (needsTime && !isTimed) draft.doubts.push(`"${words}" says no time`);
    }
}

/** What is counted. The workspace's own kinds come first; several kinds are items of one of them. */
export function readSubject(question: Question, draft: Draft, catalog: Catalog): void {
  if (draft.subject !== null) {
    question.takeAll("time entries|cost entries|entries", "subject", "what is counted");
    return;
  }
  const kinds = catalog.kinds();
  const NOT_A_GROUP = "(?<!(?:by|per|each|every|their|of the|which) )";
  const found: { subject: string; kind?: string; at: number }[] = [];
  for (const kind of kinds) {
    const words = [kind.label, kind.plural ?? kind.label].map(escaped).join("|");
    for (const { from } of question.takeAll(`${NOT_A_GROUP}(?:${words})`, "subject", "a kind"))
      found.push({ subject: kind.plural ?? kind.label, kind: kind.label, at: from });
  }
  for (const { said, subjects } of NOUNS) {
    const names = [...subjects];
    const kind = kinds.find(({ label }) => names.includes(label.toLowerCase()));
    const subject = kind
      ? (kind.plural ?? kind.label)
      : names.find((one) => !kinds.length || SUBJECTS.has(one));
    if (!subject) continue;
    for (const { from } of question.takeAll(
      `${NOT_A_GROUP}(?:${said})`,
      "subject",
      `read as ${subject}`,
    ))
      found.push({ subject, ...(kind ? { kind: kind.label } : {}), at: from });
  }
  const own = [
    ...new Map(found.filter(({ kind }) => kind).map((one) => [one.kind!, one])).values(),
  ];
  if (own.length > 1) {
    draft.subject = "items";
    for (const { kind = "", at } of own)
      draft.values.push({ field: "kind", value: kind, isNot: false, at });
  } else draft.subject = (own[0] ?? found.sort((a, b) => a.at - b.at)[0])?.subject ?? null;
}
const SUBJECTS: ReadonlySet<string> = new Set([
  "items",
  "time entries",
  "cost entries",
  "projects",
  "assets",
  "milestones",
  "weekly words",
]);

export { FINISHED_STATE };
