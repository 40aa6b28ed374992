import type { Catalog } from "../../catalog";
import { nameText, quoted } from "../../sentence";
import { LAST, OPEN, type Draft } from "../draft";
import type { Question } from "../question";
import { NUMBER, numberOf } from "../words/numbers";
import { PAUSED_WORDS, STAGES, STATES, STATUS_WORDS, type State } from "../words/states";

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
    draft.conditions.push({
      text: `title contains ${quoted(found.groups.text ?? "")}`,
      at: found.from,
    });
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
    `(?:(?:nobody|no one) (?:has |have |had )?|(?:have |has )?not (?:been )?|(?:haven't|hasn't) (?:been )?|un)(?:touched|looked at|worked on|updated|changed|moved)(?: by (?:anyone|anybody))?(?: (?:in|for|since))? (?:the last |over )?(?<n>${NUMBER}) (?<unit>${UNIT_WORDS})`,
    "condition",
    "not changed for so long",
  );
  if (idle) {
    const amount = inDays(numberOf(idle.groups.n ?? ""), idle.groups.unit ?? "");
    say(`last changed before ${DAYS_AGO}${amount}`, idle.from);
    say(OPEN, LAST);
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

const taker =
  (question: Question, draft: Draft) =>
  (said: string, means: string, rule = means) => {
    const found = question.take(said, "condition", rule);
    if (found) draft.conditions.push({ text: means, at: found.from });
    return found;
  };

function takeStates(question: Question, draft: Draft, states: readonly State[]): void {
  const take = taker(question, draft);
  for (const { said, means, open } of states)
    if (take(said, means) && open) draft.conditions.push({ text: OPEN, at: LAST });
}

const isEmpty = ({ means }: State): boolean => means.endsWith("is empty");

/** What is not set: before what could be measured or grouped by, which is called the same. */
export const readEmpty = (question: Question, draft: Draft): void =>
  takeStates(question, draft, STATES.filter(isEmpty));

export function readStates(question: Question, draft: Draft, catalog: Catalog): void {
  const take = taker(question, draft);
  takeStates(
    question,
    draft,
    STATES.filter((state) => !isEmpty(state)),
  );
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
