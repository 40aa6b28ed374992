import { folded, nearest } from "../base";
import {
  HERE_THINGS,
  UNITS,
  isDate,
  lastOf,
  typeOf,
  type AskContext,
  type Field,
  type FieldPath,
  type Thing,
  type ThingType,
  type Unit,
} from "../catalog";
import type { Takes, Value, ViewerWord } from "../filter";
import {
  PERIOD_EXAMPLES,
  parsePeriod,
  periodDatesText,
  readPeriod,
  resolvePeriod,
  type Period,
} from "../time";
import type { Cursor } from "./cursor";
import { meantBy } from "./meant";
import { nameText } from "./words";

const VIEWER_WORDS: Partial<Record<ThingType, readonly ViewerWord[]>> = {
  person: ["me"],
  team: ["my teams", "my team"],
  project: ["my projects"],
};
const NUMBER = /^-?\d+(\.\d+)?$/;

/** Reads what an operator takes; one to many values. */
export function parseOperands(
  cursor: Cursor,
  context: AskContext,
  path: FieldPath,
  takes: Takes,
): Value[] {
  const field = lastOf(path);
  switch (takes) {
    case "nothing":
      return [];
    case "value":
      return [parseValue(cursor, context, field)];
    case "values":
      return parseBracketed(cursor, () => parseValue(cursor, context, field));
    case "text":
      return [parseText(cursor)];
    case "number":
      return [withUnit(cursor, field, parseNumber(cursor))];
    case "numbers":
      return parseBetween(cursor, field);
    case "day":
    case "period":
      return [{ kind: "period", period: parsePeriodHere(cursor, context) }];
    case "days":
      return parseDays(cursor, context);
  }
}

export function parseBracketed<T>(cursor: Cursor, one: () => T): T[] {
  const open = cursor.at;
  if (!cursor.sign("(")) {
    cursor.expect({ kind: "keyword", words: "(", called: "(" });
    cursor.unexpected();
  }
  const values: T[] = [];
  do values.push(one());
  while (cursor.sign(","));
  closeBracket(cursor, open);
  return values;
}

export function closeBracket(cursor: Cursor, open: number): void {
  if (cursor.sign(")")) return;
  if (cursor.done)
    cursor.stop(
      {
        code: "sentence.bracketOpen",
        message: `the bracket opened at ${cursor.tokens[open].from + 1} is not closed`,
        hint: "add )",
      },
      open,
      open + 1,
    );
  cursor.expect({ kind: "keyword", words: ")", called: ")" });
  cursor.unexpected();
}

/** One value of a field: a thing by name, a text, a number, yes or no, or a word that stands for one. */
export function parseValue(cursor: Cursor, context: AskContext, field: Field): Value {
  if (cursor.phrase("not set", "value", "not set")) return { kind: "unset" };
  if (field.thing) return parseThing(cursor, context, field.thing);
  if (isDate(field)) return { kind: "period", period: parsePeriodHere(cursor, context) };
  const { kept } = typeOf(field);
  if (kept === "number") return withUnit(cursor, field, parseNumber(cursor));
  if (kept === "flag") return parseFlag(cursor);
  return field.choices ? parseChoice(cursor, field) : parseText(cursor);
}

function parseFlag(cursor: Cursor): Value {
  if (cursor.phrase("yes", "value")) return { kind: "flag", yes: true };
  if (cursor.phrase("no", "value")) return { kind: "flag", yes: false };
  return cursor.unexpected();
}

export function parseText(cursor: Cursor): Value {
  const token = cursor.token;
  cursor.expect({ kind: "value", words: "", called: "a text" });
  if (!token || token.kind === "sign") return cursor.unexpected();
  cursor.at += 1;
  return { kind: "text", text: token.text };
}

function parseChoice(cursor: Cursor, field: Field): Value {
  const isStage = field.source.kind === "derived" && field.source.name === "stage";
  if (isStage && cursor.phrase("open", "value")) return { kind: "stage", stage: "open" };
  const choices = [...field.choices!].sort((a, b) => b.length - a.length);
  for (const choice of choices) {
    if (
      cursor.token?.kind === "quoted"
        ? folded(cursor.token.text) === folded(choice)
        : cursor.phraseLength(choice)
    ) {
      cursor.at += cursor.token?.kind === "quoted" ? 1 : choice.split(" ").length;
      return isStage
        ? { kind: "stage", stage: choice as "waiting" }
        : { kind: "text", text: choice };
    }
  }
  field.choices!.forEach((choice) =>
    cursor.offer({ kind: "value", words: nameText(choice), called: `a ${field.words}` }),
  );
  return unknownName(cursor, `${field.words} has no value`, field.choices!);
}

export function parseThing(cursor: Cursor, context: AskContext, type: ThingType): Value {
  const { names } = context.catalog;
  for (const word of VIEWER_WORDS[type] ?? [])
    if (cursor.phrase(word, "value", word, "whoever is looking")) return { kind: "viewer", word };
  const here = parseHere(cursor, context, type);
  if (here) return here;
  if (type === "status") {
    if (
      cursor.phrase(
        "open",
        "value",
        "open",
        names
          .statusesOf("open")
          .map((s) => s.label)
          .join(", "),
      )
    )
      return { kind: "stage", stage: "open" };
    for (const word of ["finished", "closed", "done"]) {
      if (
        word === "finished"
          ? cursor.phrase(
              word,
              "value",
              word,
              names
                .statusesOf("finished")
                .map((s) => s.label)
                .join(", "),
            )
          : cursor.phraseLength(word) && !names.named(type, word).length
      ) {
        if (word !== "finished") cursor.at += 1;
        return { kind: "stage", stage: "finished" };
      }
    }
  }
  if (type === "sprint" && cursor.phrase("current", "value", "current", "begun and not closed"))
    return { kind: "current" };
  const start = cursor.at;
  const found = thingHere(cursor, context, type);
  names
    .list(type)
    .slice(0, 500)
    .forEach((thing) =>
      cursor.expect({
        kind: "value",
        words: nameText(names.printed(type, thing)),
        called: `a ${type}`,
        ...(type === "person" ? { means: thing.name } : {}),
      }),
    );
  if (!found)
    return unknownName(
      cursor,
      type === "person" ? "nobody is called" : `there is no ${type}`,
      names.nearest(type, cursor.token?.text ?? ""),
    );
  if (found.things.length > 1) {
    return cursor.stop(
      {
        code: "sentence.twoNames",
        message: `two are called "${found.things[0].label}": write the login, ${found.things.map((t) => t.name).join(" or ")}`,
        nearest: found.things.map((t) => nameText(t.name)),
      },
      start,
      start + found.length,
    );
  }
  cursor.at += found.length;
  return { kind: "thing", thing: type, id: found.things[0].id };
}

/** `this project` in the room or the briefing of one: that project from now on, wherever the sentence goes. */
function parseHere(cursor: Cursor, { here, catalog }: AskContext, type: ThingType): Value | null {
  if (!HERE_THINGS.some((thing) => thing === type)) return null;
  const words = `this ${type}`;
  if (here?.thing === type) {
    const called = catalog.names.find(type, here.id)?.label ?? "";
    return cursor.phrase(words, "value", words, called)
      ? { kind: "thing", thing: type, id: here.id }
      : null;
  }
  const length = cursor.phraseLength(words);
  return length
    ? cursor.stop(
        {
          code: "sentence.notHere",
          message: `${words} has a meaning in the room or a briefing of a ${type}: here it needs its name`,
        },
        cursor.at,
        cursor.at + length,
      )
    : null;
}

/** The thing that is named here: one quoted name, or as many words as make the longest known name. */
function thingHere(
  cursor: Cursor,
  context: AskContext,
  type: ThingType,
): { things: readonly Thing[]; length: number } | undefined {
  const { names } = context.catalog;
  if (cursor.token?.kind === "quoted") {
    const things = names.named(type, cursor.token.text);
    return things.length ? { things, length: 1 } : undefined;
  }
  const words = cursor.words();
  for (let length = Math.min(words.length, 8); length > 0; length -= 1) {
    const things = names.named(type, words.slice(0, length).join(" "));
    if (things.length) return { things, length };
  }
  return undefined;
}

/** What a list of named things calls the name that stands here, quoted or as many words as make the longest one. */
export function parseNamed<T extends { readonly name: string }>(
  cursor: Cursor,
  list: readonly T[],
  what: string,
): T {
  list.forEach((one) =>
    cursor.offer({ kind: "name", words: nameText(one.name), called: `a ${what}` }),
  );
  const token = cursor.token;
  if (token?.kind === "quoted") {
    const found = list.find((one) => folded(one.name) === folded(token.text));
    if (found) {
      cursor.at += 1;
      return found;
    }
  } else {
    const byLength = [...list].sort((a, b) => b.name.length - a.name.length);
    const found = byLength.find((one) => cursor.phraseLength(one.name));
    if (found) {
      cursor.at += cursor.phraseLength(found.name);
      return found;
    }
  }
  return unknownName(
    cursor,
    `there is no ${what}`,
    nearest(
      token?.text ?? "",
      list.map((one) => one.name),
    ),
  );
}

/** A name of the builder's own: one word, or a quoted text. */
export function parseNewName(cursor: Cursor, called: string): string {
  const token = cursor.token;
  cursor.expect({ kind: "name", words: "", called });
  if (!token || token.kind === "sign") return cursor.unexpected();
  cursor.at += 1;
  return token.text;
}

export function unknownName(cursor: Cursor, says: string, near: readonly string[]): never {
  const token = cursor.token;
  if (!token || token.kind === "sign") return cursor.unexpected();
  const meant = meantBy(token.text, cursor.fitting(), cursor.meanings);
  const offered = [...new Set([...meant, ...near])];
  const sorted = nearest(token.text, offered).length
    ? [...new Set([...meant, ...nearest(token.text, offered)])]
    : offered.slice(0, 3);
  return cursor.stop({
    code: "sentence.noName",
    message: `${says} "${token.text}"`,
    ...(sorted.length
      ? {
          nearest: (offered.length <= 3 ? offered : sorted).map((one) =>
            meant.includes(one) ? one : nameText(one),
          ),
        }
      : {}),
  });
}

export function parseNumber(cursor: Cursor): string {
  const token = cursor.token;
  cursor.expect({ kind: "number", words: "", called: "a number" });
  if (!token) return cursor.unexpected();
  const text = token.text.replace(/^\+/, "");
  if (token.kind !== "word" || !NUMBER.test(text))
    return cursor.stop({
      code: "sentence.noNumber",
      message: `"${token.text}" is not a number`,
      expected: ["a number"],
    });
  cursor.at += 1;
  return text;
}

/** A whole number within bounds, for `top N`. */
export function parseCount(cursor: Cursor, most: number): number {
  const start = cursor.at;
  const number = Number(parseNumber(cursor));
  if (!Number.isInteger(number) || number < 1 || number > most)
    return cursor.stop(
      { code: "sentence.count", message: `a whole number from 1 to ${most} is needed here` },
      start,
      start + 1,
    );
  return number;
}

function withUnit(cursor: Cursor, field: Field, number: string): Value {
  if (field.type !== "duration") return { kind: "number", number };
  const unit = parseUnit(cursor, field);
  return { kind: "number", number, ...unit };
}

/** unit = [ "working" ] ("minutes" | "hours" | "days"); nothing where none stands here. */
export function parseUnit(cursor: Cursor, field: Field): { unit?: Unit; working?: true } {
  const working = field.timed === true && cursor.phrase("working", "unit");
  for (const unit of UNITS)
    if (cursor.phrase(unit, "unit")) return { unit, ...(working ? { working } : {}) };
  const singular = UNITS.find((unit) => cursor.phraseLength(unit.slice(0, -1)));
  if (singular) {
    cursor.at += 1;
    return { unit: singular, ...(working ? { working } : {}) };
  }
  return working ? cursor.unexpected() : {};
}

function parseBetween(cursor: Cursor, field: Field): Value[] {
  const low = parseNumber(cursor);
  if (!cursor.phrase("and")) cursor.unexpected();
  const high = withUnit(cursor, field, parseNumber(cursor)) as Value & { kind: "number" };
  return [
    {
      kind: "number",
      number: low,
      ...(high.unit ? { unit: high.unit } : {}),
      ...(high.working ? { working: high.working } : {}),
    },
    high,
  ];
}

function parseDays(cursor: Cursor, context: AskContext): Value[] {
  const first = parsePeriodHere(cursor, context);
  if (!cursor.phrase("and")) cursor.unexpected();
  return [
    { kind: "period", period: first },
    { kind: "period", period: parsePeriodHere(cursor, context) },
  ];
}

/** A period at the cursor. */
export function parsePeriodHere(cursor: Cursor, context: AskContext): Period {
  for (const words of PERIOD_EXAMPLES) {
    const parsed = parsePeriod(words);
    if (parsed.ok)
      cursor.offer({
        kind: "period",
        words,
        called: "a period",
        means: periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar)),
      });
  }
  const words = cursor.words();
  if (words.length === 0) return cursor.unexpected();
  const read = readPeriod(words);
  if (read.ok) {
    cursor.at += read.value.used;
    return read.value.period;
  }
  const unfinished =
    cursor.at + words.length === cursor.tokens.length &&
    PERIOD_EXAMPLES.some((example) => example.startsWith(`${words.join(" ").toLowerCase()} `));
  if (unfinished) return cursor.unexpected();
  const problem = read.problems[0];
  const near = problem.nearest
    ?.map((words) => ({ words, parsed: parsePeriod(words) }))
    .find(({ parsed }) => parsed.ok);
  const hint = near?.parsed.ok
    ? `${near.words} is ${periodDatesText(resolvePeriod(near.parsed.value, context.now, context.calendar))}`
    : problem.hint;
  return cursor.stop(
    { ...problem, ...(hint ? { hint } : {}) },
    cursor.at,
    cursor.at + Math.min(2, words.length),
  );
}
