import { isDate, lastOf, type AskContext, type FieldPath, type SubjectId } from "../catalog";
import {
  OPERATOR_IDS,
  operators,
  STATUS_IS_OPEN,
  type Condition,
  type Operator,
  type OperatorId,
  type Value,
} from "../filter";
import { readPeriod } from "../time";
import type { Cursor } from "./cursor";
import { parsePath } from "./fields";
import { closeBracket, parseNamed, parseOperands, parsePeriodHere, parseValue } from "./values";

/** Every way of saying an operator, the longest first, so that "is not" is not read as "is". */
const BY_LENGTH = OPERATOR_IDS.flatMap((id) => {
  const { words, synonyms = [] }: Operator = operators[id];
  return [words, ...synonyms].map((said) => ({ id, said }));
}).sort((a, b) => b.said.length - a.said.length);

/** What people say of open items in one word; it is printed as the conditions that it means. */
const STATES: readonly { readonly said: string; readonly means: readonly Condition[] }[] = [
  {
    said: "overdue",
    means: [
      {
        kind: "test",
        field: ["due"],
        operator: "before",
        values: [{ kind: "period", period: { kind: "day", which: "today" } }],
      },
    ],
  },
  {
    said: "unassigned",
    means: [{ kind: "test", field: ["assignee"], operator: "isEmpty", values: [] }],
  },
];

/** condition = all { "or" all } */
export function parseCondition(cursor: Cursor, context: AskContext, subject: SubjectId): Condition {
  const start = cursor.at;
  const parts = [parseAll(cursor, context, subject)];
  while (cursor.phrase("or", "keyword")) parts.push(parseAll(cursor, context, subject));
  return parts.length === 1
    ? parts[0]
    : cursor.mark({ kind: "any", of: flat("any", parts) }, start);
}

/** all = not { "and" not } */
function parseAll(cursor: Cursor, context: AskContext, subject: SubjectId): Condition {
  const start = cursor.at;
  const parts = [parseNot(cursor, context, subject)];
  while (!cursor.isAndBeforeStop && cursor.phrase("and", "keyword"))
    parts.push(parseNot(cursor, context, subject));
  return parts.length === 1
    ? parts[0]
    : cursor.mark({ kind: "all", of: flat("all", parts) }, start);
}

/** (a and b) and c means a and b and c. */
const flat = (kind: "all" | "any", parts: readonly Condition[]): Condition[] =>
  parts.flatMap((part) => (part.kind === kind ? [...part.of] : [part]));

/** not = [ "not" ] ( "(" condition ")" | test ) */
function parseNot(cursor: Cursor, context: AskContext, subject: SubjectId): Condition {
  const start = cursor.at;
  if (cursor.phrase("not", "keyword"))
    return cursor.nest(() =>
      cursor.mark({ kind: "not", of: parseNot(cursor, context, subject) }, start),
    );
  if (cursor.sign("(")) {
    const inner = cursor.nest(() => parseCondition(cursor, context, subject));
    closeBracket(cursor, start);
    return inner;
  }
  return parseTest(cursor, context, subject);
}

function parseTest(cursor: Cursor, context: AskContext, subject: SubjectId): Condition {
  const start = cursor.at;
  const { catalog } = context;
  if (catalog.filters.length && cursor.phrase("in filter", "keyword"))
    return cursor.mark(
      {
        kind: "filter",
        filter: parseNamed(
          cursor,
          catalog.filters.filter((filter) => filter.subject.id === subject),
          "saved filter",
        ).id,
      },
      start,
    );
  if (subject === "items") {
    const no = cursor.phrase("no link", "keyword");
    if (no || cursor.phrase("link", "keyword"))
      return cursor.mark(parseLink(cursor, context, no), start);
  }
  if (subject === "items") {
    const state = STATES.find(
      ({ said }) =>
        !catalog.fieldsOf(subject).some(({ words }) => words === said) &&
        cursor.phrase(said, "keyword"),
    );
    if (state) return cursor.mark({ kind: "all", of: [...state.means, STATUS_IS_OPEN] }, start);
  }
  if (subject === "projects" && cursor.phrase("owes a weekly word for", "keyword"))
    return cursor.mark({ kind: "owes", during: parsePeriodHere(cursor, context) }, start);
  const path = parsePath(cursor, catalog, subject);
  const field = path.map((step) => step.id);
  if (isMoved(path, subject) && cursor.phrase("became", "operator"))
    return cursor.mark(parseBecame(cursor, context, path), start);
  const asOf =
    isOfItem(path, subject) && cursor.phrase("as of", "operator")
      ? parsePeriodHere(cursor, context)
      : undefined;
  const operator = parseOperator(cursor, path[path.length - 1], lastOf(path).words);
  const values: Value[] = parseOperands(cursor, context, path, operators[operator].takes);
  return cursor.mark({ kind: "test", field, operator, values, ...(asOf ? { asOf } : {}) }, start);
}

/** Whether the last field of a path is an item's own. */
const isItemsOwn = (path: FieldPath, subject: SubjectId): boolean =>
  path.length === 1 ? subject === "items" : path[path.length - 2].reaches === "item";
/** Whether moves of it are kept. */
export const isMoved = (path: FieldPath, subject: SubjectId): boolean =>
  lastOf(path).tracked === true && isItemsOwn(path, subject);
/** Whether it is reached through an item, which has a past. */
export const isOfItem = (path: FieldPath, subject: SubjectId): boolean =>
  subject === "items" || path.slice(0, -1).some((step) => step.reaches === "item");

/** "became" value [ "after being" value ] [ "during" period ] */
function parseBecame(cursor: Cursor, context: AskContext, path: FieldPath): Condition {
  const to = parseValue(cursor, context, lastOf(path));
  const from = cursor.phrase("after being", "keyword")
    ? parseValue(cursor, context, lastOf(path))
    : undefined;
  const during = cursor.phrase("during", "keyword") ? parsePeriodHere(cursor, context) : undefined;
  return {
    kind: "became",
    field: path.map((step) => step.id),
    to,
    ...(from ? { from } : {}),
    ...(during ? { during } : {}),
  };
}

/** [ "no" ] "link" name [ "to it" ] */
function parseLink(cursor: Cursor, context: AskContext, no: boolean): Condition {
  const link = parseNamed(
    cursor,
    context.catalog.links.map((name) => ({ name })),
    "link",
  ).name;
  const toIt = cursor.phrase("to it", "keyword");
  return { kind: "link", link, ...(toIt ? { toIt } : {}), ...(no ? { no } : {}) };
}

function parseOperator(
  cursor: Cursor,
  field: ReturnType<typeof lastOf>,
  called: string,
): OperatorId {
  if (cursor.phraseLength("is not set")) {
    cursor.at += 3;
    return "isEmpty";
  }
  const fitting = OPERATOR_IDS.filter((id) => operators[id].fits(field));
  for (const id of fitting)
    cursor.offer({ kind: "operator", words: operators[id].words, called: operators[id].words });
  for (const { id, said } of BY_LENGTH) {
    const length = fitting.includes(id) ? cursor.phraseLength(said) : 0;
    if (length) {
      cursor.at += length;
      return id;
    }
  }
  if (isDate(field) && readPeriod(cursor.words()).ok) return "during";
  const unfit = BY_LENGTH.find(({ said }) => cursor.phraseLength(said));
  if (unfit) {
    const { id: other, said } = unfit;
    const length = cursor.phraseLength(said);
    const hint = isDate(field)
      ? "say on, before, after, since, until or during"
      : `${called} takes ${fitting
          .map((id) => operators[id].words)
          .slice(0, 6)
          .join(", ")}`;
    cursor.stop(
      {
        code: "sentence.operator",
        message: `"${operators[other].words}" needs ${operators[other].needs}; ${called} is ${field.many ? "a list" : isDate(field) ? "a date" : "none"}`,
        hint,
      },
      cursor.at,
      cursor.at + length,
    );
  }
  return cursor.unexpected();
}
