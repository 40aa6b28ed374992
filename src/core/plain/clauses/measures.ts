import { type Draft } from "../draft";
import type { Question } from "../question";
import { AGGREGATES, AMOUNTS, HOW_LONG, HOW_OLD } from "../words/measures";

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
    if (draft.measure) draft.doubts.push("one thing is measured at a time");
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
