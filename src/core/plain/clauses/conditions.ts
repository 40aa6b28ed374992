import type { Catalog } from "../../catalog";
import { nameText, quoted } from "../../sentence";
import { LAST, OPEN, type Draft } from "../draft";
import type { Question } from "../question";
import { fieldsSaid } from "../fieldsSaid";
import { PAUSED_WORDS, STAGES, STATES, STATUS_WORDS, type State } from "../words/states";

export function readTexts(question: Question, draft: Draft): void {
  readTitles(question, draft);
  readTags(question, draft);
}

/** Texts that a title has: "with radio in the title". */
function readTitles(question: Question, draft: Draft): void {
  const IN_TITLE = "(?: somewhere)? in (?:the|their|its) (?:title|name|subject)s?";
  const begins = question.take(
    `(?:whose |with (?:a )?)?(?:title|name|subject)s? (?:that )?(?:starts?|starting|begins?|beginning) with (?:"(?<quoted>[^"]+)"|(?<text>\\S+))`,
    "condition",
    "how the title begins",
  );
  if (begins)
    draft.conditions.push({
      text: `title starts with ${quoted(begins.groups.quoted ?? begins.groups.text ?? "")}`,
      at: begins.from,
    });
  const found =
    question.take(
      `(?:with|having|containing|that contain|contain(?:s|ing)?|mention(?:s|ing)?|saying|say|titled|called|named)? ?["“](?<text>[^"”]+)["”](?:${IN_TITLE})?`,
      "condition",
      "a text in the title",
    ) ??
    question.take(
      `(?:with|have|has|having|containing|contain(?:s|ing)?|mention(?:s|ing)?|say(?:s|ing)?) (?:the words? )?(?<text>\\S+(?: \\S+){0,3}?)${IN_TITLE}`,
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
}

function readTags(question: Question, draft: Draft): void {
  const tags = question.takeAll(
    `(?<not>not )?(?:tagged|labell?ed)(?: with| as)? (?<tag>[^\\s,?]+)|with (?:the )?(?:tag|label) (?<with>[^\\s,?]+)`,
    "condition",
    "a tag",
  );
  for (const { groups, from } of tags)
    draft.values.push({
      field: "tags",
      value: groups.tag ?? groups.with ?? "",
      isNot: Boolean(groups.not),
      at: from,
    });
}

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
export function readEmpty(question: Question, draft: Draft, catalog: Catalog): void {
  takeStates(question, draft, STATES.filter(isEmpty));
  for (const { said: words, text } of fieldsSaid(catalog, draft.subject).fields) {
    const take = taker(question, draft);
    take(
      `(?:without|with no|having no|(?:that |which )?(?:have|has) no|no) (?:an? |any |the )?(?:${words})`,
      `${nameText(text)} is empty`,
    );
    take(
      `(?:(?:with|having) (?:an?|any|some)|(?:that|which) (?:have|has)(?: an?| any| some)?) (?:${words})(?! of)`,
      `${nameText(text)} is not empty`,
    );
  }
}

export function readStates(question: Question, draft: Draft, catalog: Catalog): void {
  const take = taker(question, draft);
  takeStates(
    question,
    draft,
    STATES.filter((state) => !isEmpty(state)),
  );
  if (/reopened by\s+\u0000/u.test(question.rest))
    draft.doubts.push("who reopened something cannot be asked");
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
