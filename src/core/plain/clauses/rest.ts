import type { Catalog } from "../../catalog";
import { fieldsSaid } from "../fieldsSaid";
import { isAboutOpen, type Draft } from "../draft";
import type { Question } from "../question";
import { EVENTS } from "../words/events";
import { SHAPE_WORDS } from "../words/shapes";

export function readOrder(question: Question, draft: Draft, catalog: Catalog): void {
  // What has been open longest was created first.
  if (isAboutOpen(draft) && question.take("(?:the )?longest", "order", "the oldest first"))
    draft.sort = "created";
  const oldest = question.take(
    `(?:the )?(?:oldest|longest open)(?: ones)?(?: first)?|(?:sorted|ordered|order|sort) by (?:age|created)`,
    "order",
    "the oldest first",
  );
  if (oldest) draft.sort = "created";
  const newest = question.take(
    `(?:the )?(?:newest|latest|most recent(?:ly created)?)(?: ones)?(?: first)?`,
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
  if (draft.sort) question.take("first", "order", "the order");
  const showing = question.take(
    "(?:with|and) (?:their|its) (?<fields>\\S+(?:(?:,| and) \\S+)*)",
    "order",
    "columns",
  );
  const said = fieldsSaid(catalog, draft.subject);
  if (showing)
    draft.showing = (showing.groups.fields ?? "")
      .split(/,| and /)
      .map((one) => said.called(one.trim())?.text ?? one.trim())
      .filter(Boolean);
}

/** "sorted by due date", "ordered by age": how a list stands. */
export function readSorted(question: Question, draft: Draft, catalog: Catalog): void {
  const said = fieldsSaid(catalog, draft.subject);
  const isList = draft.asks === "list" && question.find("by due(?: date)?");
  const found = question.take(
    `(?:sorted|ordered|sort|order${isList ? "|" : ""}) ?by (?:the )?(?<field>due(?: date)?|${said.anyField})(?<down> descending| desc|,? (?:highest|latest|largest|newest|most) first)?`,
    "order",
    "the order",
  );
  const field = found && said.called(found.groups.field ?? "")?.text;
  if (!field) return;
  // Who sorts by age wants the oldest first.
  draft.sort = field === "age" ? "created" : `${field}${found.groups.down ? " descending" : ""}`;
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

const WHAT_CHANGED = "what(?:'s|s| has| have)? changed";

/** What happens to records, and when: a word for it that says no time is no condition, and so doubtful where it would be one. */
export function readEvents(question: Question, draft: Draft): void {
  if (question.find(WHAT_CHANGED))
    draft.doubts.push('"what changed" may be what was edited, or what came and went');
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
        /^(?:brand new|new|newly)$/.test(words) ||
        ["due", "started", "last changed"].includes(date);
      if (needsTime && !isTimed) draft.doubts.push(`"${words}" says no time`);
    }
}
