import { LAST, OPEN, type Draft } from "../draft";
import type { Found, Question } from "../question";
import { NUMBER, numberOf } from "../words/numbers";

const DAY_UNITS = "(?:working |business )?days?|weeks?|fortnights?|months?|years?";
const UNIT_WORDS = `minutes?|hours?|${DAY_UNITS}`;
/** How many days there are in a unit; of a duration a month has thirty. */
const DAYS_IN: readonly (readonly [unit: RegExp, days: number])[] = [
  [/^week/, 7],
  [/^fortnight/, 14],
  [/^month/, 30],
  [/^year/, 365],
];
const daysIn = (unit: string): number => DAYS_IN.find(([said]) => said.test(unit))?.[1] ?? 1;

/** An amount of time in the units that durations have, from the groups `n` and `unit` of what was found. */
function durationIn({ groups: { n = "", unit = "" } }: Found): string {
  if (/^(?:minute|hour)/.test(unit)) return `${numberOf(n)} ${unit.replace(/s?$/, "s")}`;
  return `${numberOf(n) * daysIn(unit)} days`;
}
/** Stands for a day counted back from today; it is filled in when the sentence is made. */
export const DAYS_AGO = "days-ago:";

const COMPARED: readonly (readonly [said: string, operator: string])[] = [
  [
    "(?:for )?(?:more|longer|greater|older|over|above|bigger|higher) than|over|for over|exceeding|>",
    "over",
  ],
  ["(?:for )?(?:less|fewer|younger|newer|shorter|lower|smaller) than|under|below|<", "under"],
  ["(?:for )?at least|(?:for )?a minimum of|>=", "at least"],
  ["at most|no more than|up to|a maximum of|<=", "at most"],
];
const STUCK =
  "stuck|stale|stalled|idle|sitting|sat|lingering|in (?:the|their|its) (?:same |present |current )?status|not moved|unchanged|hanging";

/** Conditions with a number: older than, reopened more than twice, overdue by more than a week, stuck for two. */
export function readAmounts(question: Question, draft: Draft): void {
  const isStuck = question.find(`${STUCK}|waiting`) !== null;
  for (const [said, operator] of COMPARED) {
    const counted = `(?<more>${said}) (?<n>${NUMBER})`;
    readFields(question, draft, counted, operator);
    readHowOften(question, draft, counted, operator);
    readPointsAndTaking(question, draft, counted, operator);
    readOverdueBy(question, draft, counted, operator);
    readAges(question, draft, counted, operator, isStuck);
  }
  readTwice(question, draft);
  readUntouched(question, draft);
  if (isStuck) readStuck(question, draft);
}

/** "points > 3", "lead time of more than 10 days". */
function readFields(question: Question, draft: Draft, counted: string, operator: string): void {
  const found = question.take(
    `(?:with (?:an? )?|having (?:an? )?)?(?<field>points|age in (?:the )?(?:present )?status|age|lead time|cycle time|estimate)s?(?: of| is| are)? ?${counted}(?: (?<unit>${UNIT_WORDS}))?`,
    "condition",
    "an amount",
  );
  if (!found) return;
  const { field = "", n = "", unit } = found.groups;
  const isCounted = field === "points";
  const named = field.startsWith("age in") ? "age in status" : field;
  const amount = unit ? durationIn(found) : isCounted ? `${numberOf(n)}` : `${numberOf(n)} days`;
  if (isCounted === Boolean(unit)) draft.doubts.push(`"${found.words}" has no such unit`);
  say(draft, `${named} ${operator} ${amount}`, found);
}

function readHowOften(question: Question, draft: Draft, counted: string, operator: string): void {
  for (const [what, field] of [
    ["reassigned|reassignments?|handed over|handed on|passed on", "reassigned"],
    ["reopened|reopenings?", "reopened"],
  ] as const) {
    const rule = `how often ${field}`;
    const found =
      question.take(`(?:${what}) ${counted}(?: times?)?`, "condition", rule) ??
      question.take(`(?:with |having )?${counted} (?:${what})`, "condition", rule);
    if (found) say(draft, `${field} ${operator} ${numberOf(found.groups.n ?? "")}`, found);
  }
}

function readPointsAndTaking(
  question: Question,
  draft: Draft,
  counted: string,
  operator: string,
): void {
  const points = question.take(
    `(?:with |worth |of |having )?${counted} (?:story )?points`,
    "condition",
    "points",
  );
  if (points) say(draft, `points ${operator} ${numberOf(points.groups.n ?? "")}`, points);
  const took = question.take(
    `(?:that )?(?:(?:were |was |got )?(?:finished|closed|resolved|completed|fixed|solved|done) (?:with)?in|took|taking|needed|needing) ${counted} (?<unit>${UNIT_WORDS})`,
    "condition",
    "lead time",
  );
  if (took) say(draft, `lead time ${operator} ${durationIn(took)}`, took);
}

/** "overdue by more than a week": due so many days before today. */
function readOverdueBy(question: Question, draft: Draft, counted: string, operator: string): void {
  if (operator !== "over") return;
  const late =
    question.take(
      `(?:overdue|late|past due|behind)(?: by| for)? ${counted} (?<unit>${DAY_UNITS})`,
      "condition",
      "overdue for so long",
    ) ??
    question.take(
      `${counted} (?<unit>${DAY_UNITS}) (?:overdue|late|past due|behind)`,
      "condition",
      "overdue for so long",
    );
  if (!late) return;
  say(draft, `due before ${DAYS_AGO}${durationIn(late)}`, late);
  draft.conditions.push({ text: OPEN, at: LAST });
}

function readAges(
  question: Question,
  draft: Draft,
  counted: string,
  operator: string,
  isStuck: boolean,
): void {
  const lasting = question.find(`${counted} (?<unit>${UNIT_WORDS})(?<tail> old| of age)?`);
  if (!lasting) return;
  if (/blocked\s+$/u.test(question.rest.slice(0, lasting.from)))
    draft.doubts.push("how long something has been blocked cannot be asked");
  const { more = "", tail } = lasting.groups;
  const isAge =
    /older|younger|newer/.test(more) ||
    Boolean(tail) ||
    (!isStuck && !/^for /.test(more)) ||
    isOpenFor(question, lasting);
  const field = isAge ? "age" : "age in status";
  question.use(lasting, "condition", field);
  say(draft, `${field} ${operator} ${durationIn(lasting)}`, lasting);
}

/** "open for more than 90 days" tells of the age: open is no single status. */
const isOpenFor = (question: Question, { from }: Found): boolean =>
  /(?:open|opened|around|here|unresolved|unfinished)\s+$/u.test(question.rest.slice(0, from));

function readTwice(question: Question, draft: Draft): void {
  const twice = question.take(
    `(?<what>reopened|reassigned) (?<n>once|twice|${NUMBER} times?)`,
    "condition",
    "how often",
  );
  if (!twice) return;
  const { what = "", n = "" } = twice.groups;
  say(draft, `${what} at least ${numberOf(n.replace(/ times?$/, ""))}`, twice);
}

/** "untouched for two weeks": without "more than" it is at least that. */
function readUntouched(question: Question, draft: Draft): void {
  const idle = question.take(
    `(?:inactive|(?:with |having )no (?:activity|changes?|updates?)) (?:for|in) (?:the last |over )?(?<n_>${NUMBER}) (?<unit_>${DAY_UNITS})|(?:(?:nobody|no one) (?:has |have |had )?|(?:have |has )?not (?:been )?|(?:haven't|hasn't) (?:been )?|un)(?:touched|looked at|worked on|updated|changed|moved)(?: by (?:anyone|anybody))?(?: (?:in|for|since))? (?:the last |over )?(?<n>${NUMBER}) (?<unit>${DAY_UNITS})`,
    "condition",
    "not changed for so long",
  );
  if (!idle) return;
  const { n_, unit_, n = n_, unit = unit_ } = idle.groups;
  const long = durationIn({ ...idle, groups: { n, unit } });
  say(draft, `last changed before ${DAYS_AGO}${long}`, idle);
  draft.conditions.push({ text: OPEN, at: LAST });
}

function readStuck(question: Question, draft: Draft): void {
  const forLong = question.take(
    `(?:${STUCK}).{0,40}? for (?<n>${NUMBER}) (?<unit>${UNIT_WORDS})`,
    "condition",
    "age in status",
  );
  if (forLong) say(draft, `age in status over ${durationIn(forLong)}`, forLong);
  else if (draft.conditions.some(({ text }) => text.startsWith("age in status")))
    question.take(STUCK, "condition", "age in status");
}

const say = (draft: Draft, text: string, { from }: Found): void => {
  draft.conditions.push({ text, at: from });
};
