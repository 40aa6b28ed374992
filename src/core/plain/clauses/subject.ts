import type { Catalog } from "../../catalog";
import { type Draft } from "../draft";
import type { Question } from "../question";
import { SUBJECTS_ALONE } from "../words/fields";
import { NOUNS } from "../words/nouns";
import { escaped } from "./escaped";

/** What is counted. The workspace's own kinds come first; several kinds are items of one of them. */
export function readSubject(question: Question, draft: Draft, catalog: Catalog): void {
  if (draft.subject !== null) {
    question.takeAll("time entries|cost entries|entries", "subject", "what is counted");
    if (draft.subject === "time entries")
      for (const kind of catalog.kinds()) {
        const words = [kind.label, kind.plural ?? kind.label].map(escaped).join("|");
        for (const { from } of question.takeAll(`(?:on|for) (?:${words})`, "condition", "a kind"))
          draft.values.push({ field: "kind", value: kind.label, isNot: false, at: from });
      }
    return;
  }
  const kinds = catalog.kinds();
  const NOT_A_GROUP = "(?<!(?:by|per|each|every|their|of the|which) )";
  for (const kind of kinds) {
    const words = [kind.label, kind.plural ?? kind.label].map(escaped).join("|");
    for (const { from } of question.takeAll(
      `(?:except(?: for)?|excluding|without|but not|but no|other than) (?:the )?(?:${words})`,
      "condition",
      "not this kind",
    ))
      draft.values.push({ field: "kind", value: kind.label, isNot: true, at: from });
  }
  const all = kinds.flatMap(({ label, plural = label }) => [label, plural].map(escaped)).join("|");
  const typed =
    all && question.find(`(?:of )?(?:the )?(?:kind|type)s?(?: is| ?=| ?:)? ?(?<what>${all})`);
  if (typed)
    question.use(
      { from: typed.from, to: typed.to - (typed.groups.what ?? "").length },
      "filler",
      "said with the kind",
    );
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
const SUBJECTS: ReadonlySet<string> = new Set(["items", ...SUBJECTS_ALONE]);

/** Who speaks of story points means stories, where there are any. */
export const storiesOf = (catalog: Catalog): string | null =>
  catalog.kinds().find(({ label }) => label.toLowerCase() === "story")?.plural ?? null;

/** Everything that items are called: their kinds, and the words for any of them. */
const itemNouns = (catalog: Catalog): string =>
  [
    ...catalog.kinds().flatMap(({ label, plural }) => [label, plural ?? label].map(escaped)),
    ...NOUNS.filter(({ subjects }) => !subjects.some((one) => SUBJECTS_ALONE.has(one))).map(
      ({ said }) => said,
    ),
  ].join("|");
/** Subjects of their own are known before groups are, whose fields are theirs. */
export function readSubjectFirst(question: Question, draft: Draft, catalog: Catalog): void {
  if (draft.subject !== null || draft.values.length > 0) return;
  if (question.find(itemNouns(catalog))) return;
  for (const subject of ["projects", "milestones", "assets"]) {
    const found = question.find(
      `(?<!(?:by|per|each|every|their|my|across) )(?:list |which )?${subject}`,
    );
    if (!found) continue;
    question.use(found, "subject", subject);
    draft.subject = subject;
    return;
  }
}
