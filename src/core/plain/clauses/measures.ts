import type { Catalog } from "../../catalog";
import { nameText } from "../../sentence";
import { LAST, type Draft } from "../draft";
import { plainLetters, type Question } from "../question";
import { escaped } from "./escaped";
import { fieldsSaid } from "../fieldsSaid";
import { AGGREGATES, AMOUNTS, HOW_LONG, HOW_OLD } from "../words/measures";

/** Fields whose names are what is counted themselves. */
const COUNTED_ITSELF: ReadonlySet<string> = new Set(["project", "asset", "kind"]);
const HAVING =
  "have|has|had|with|got|get|raised|reported|created|opened|logged|closed|finished|resolved|handled|received|were affected|are affected";

/** "how many different landings", "how many teams have": how many values there are, and not how many records. */
export function readDistinct(question: Question, draft: Draft, catalog: Catalog): void {
  for (const { said, text } of fieldsSaid(catalog, null).fields) {
    const counting = "(?:how many|(?:the )?(?:number|count) of|count(?: the)?)";
    const odd = "(?:different|distinct|unique) ";
    const alone = COUNTED_ITSELF.has(text) ? "" : `|${counting} (?:${said})(?= (?:${HAVING}) )`;
    const found = question.take(
      `(?:${counting} )?${odd}(?:${said})${alone}`,
      "measure",
      `how many different ${text}`,
    );
    if (!found) continue;
    const raises = /^ (?:raised|reported|created|opened|logged)/.test(
      question.rest.slice(found.to),
    );
    draft.measure = `distinct ${text === "assignee" && raises ? "raised by" : nameText(text)}`;
    draft.asks = "count";
    return;
  }
}

/** "average time in Triaged", "how long do faults stay in Triaged": how long a status lasted. */
export function readTimeIn(question: Question, draft: Draft, catalog: Catalog): void {
  const statuses = catalog.names.list("status").map(({ label }) => escaped(plainLetters(label)));
  if (statuses.length === 0) return;
  const which = `(?<status>${statuses.join("|")})`;
  const lasting = statuses.filter((label) => /^\p{L}+ing(?!\p{L})/u.test(label)).join("|");
  const how = AGGREGATES.map(({ said }) => said).join("|");
  const taken = `(?:the )?(?:(?<how>${how}) )?`;
  const direct =
    question.find(`${taken}(?:time|days|hours) (?:spent |spend )?in ${which}`) ??
    (lasting ? question.find(`${taken}time (?:spent )?(?<status>${lasting})`) : null);
  const asked =
    question.find("how long (?:do|does|did|are|is|were|was)") &&
    question.find(
      `(?:stay|stays|remain|remains|sit|sits|spend|spent|are|be|kept)?(?: in| on)? ?${which}`,
    );
  const found = direct ?? asked;
  if (!found) return;
  if (!direct) question.take("how long (?:do|does|did|are|is|were|was)", "measure", "how long");
  const label = catalog.names
    .list("status")
    .find((one) => plainLetters(one.label) === found.groups.status)?.label;
  question.use(found, "measure", `time in ${label}`);
  const measure = found.groups.how
    ? AGGREGATES.find(({ said }) => new RegExp(`^(?:${said})$`, "u").test(found.groups.how ?? ""))
    : undefined;
  draft.measure = `${measure?.measure ?? "average"} time in ${label}`;
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
    draft.shareFrom = question.find("that|which|who|whose")?.from ?? null;
    return;
  }
  const kept = question.take(
    "(?<which>resolution |response )?(?:sla|slas|promise) (?:compliance|attainment|adherence)|compliance with (?:the )?(?<of>resolution |response )?slas?",
    "measure",
    "the share that met its promise",
  );
  if (kept) {
    const which = (kept.groups.which ?? kept.groups.of ?? "resolution").trim();
    draft.isShare = true;
    draft.conditions.push({ text: `SLA ${which} is met`, at: LAST });
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
    "(?:how (?:often|many times) (?:were|was|are|is|did|have|has)|(?:the )?number of times(?: that)?)(?=.*(?:reassigned|reopened))",
    "measure",
    "a sum",
  );
  const counted =
    draft.asks === "count" &&
    question.take("(?<what>reassign|reopen)(?:ment|ing)s?(?: of| for)?", "measure", "a sum");
  if (counted) draft.measure = `sum of ${counted.groups.what}ed`;
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
    if (!aggregate && /by\s+$/u.test(question.rest.slice(0, amount.from)))
      draft.doubts.push(`"by ${amount.words}" would need ranges`);
    const usual = field === "points" || field.includes("estimate") || often ? "sum of" : "average";
    if (draft.measure) draft.doubts.push("one thing is measured at a time");
    draft.measure = `${aggregate?.measure ?? usual} ${field}`;
  }
  if (!draft.measure) return;
  for (const { said, measure } of AGGREGATES) {
    const alone = question.take(said, "measure", measure);
    if (alone) draft.measure = draft.measure.replace(/^(?:average|sum of)/, measure);
  }
}

/** What is planned and billed, in money. */
const BOOKS = [
  { said: "planned (?:costs?|spending|expenses)", subject: "planned costs" },
  { said: "billings?|invoices?|(?:amount )?(?:billed|invoiced)", subject: "billings" },
] as const;

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
      "how much time (?:did|has|have|does|do|was|were|is)(?=.* (?:log|spen[dt]|book|work|track|record))|(?<bill>(?:non-?)?billable )?(?:time|effort|work) (?:spent|logged|booked|tracked|recorded)|logged time|booked time|(?<also>(?:non-?)?billable )time",
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
  const books = BOOKS.find(({ said }) => question.take(said, "measure", "an amount of money"));
  if (books) {
    draft.subject = books.subject;
    draft.measure = "sum of amount";
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
