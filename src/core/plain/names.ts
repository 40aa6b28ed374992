import { editDistance } from "../base";
import { THING_TYPES, type Catalog, type Thing, type ThingType } from "../catalog";
import type { Found, Question } from "./question";

/** A value of the workspace that a question names, and the field whose value it is. */
export interface Name {
  readonly field: string;
  /** As the sentence names it, unquoted. */
  readonly value: string;
  /** How it was recognised. */
  readonly rule: string;
  /** Of a person: only a part of the name was said. */
  readonly isPart?: true;
}

interface Entry extends Omit<Name, "value"> {
  readonly stems: readonly string[];
  /** Made when it is asked for: of a hundred thousand names few ever are. */
  readonly value: () => string;
}

interface Called {
  readonly entries: () => readonly Entry[];
}

/** A name that stands in a question, with all that it could be. */
export interface NamedPlace extends Pick<Found, "from" | "to"> {
  readonly names: readonly Name[];
}

const TYPES = THING_TYPES.filter((type) => type !== "kind");
const FIELD_OF: Partial<Record<ThingType, string>> = { person: "assignee" };

const withoutMarks = (word: string): string =>
  /[^ -~]/.test(word) ? word.normalize("NFD").replace(/\p{M}/gu, "") : word;

/** A word without case, marks, possessive and plural, so that "Tomas'" and "gate reader" find their names. */
export function stem(word: string): string {
  let plain = withoutMarks(word).toLowerCase();
  if (/[’']s?$/.test(plain)) plain = plain.replace(/[’']s?$/, "");
  if (!plain.endsWith("s") || /[su]s$/.test(plain)) return plain;
  return plain.length > 3 || /\ds$/.test(plain) ? plain.slice(0, -1) : plain;
}
const WORD = /[\p{L}\p{N}'’+-]+/gu;
const isSimple = (words: string): boolean => /^[A-Za-z0-9 ]+$/.test(words);
const stemsOf = (words: string): string[] =>
  (isSimple(words) ? words.split(" ").filter(Boolean) : (words.match(WORD) ?? [])).map(stem);

/** Every name of a catalog by the first of its words. */
class NameIndex {
  /** What can begin with a word; how each of them is called is worked out when it is asked for. */
  private readonly byFirst = new Map<string, Set<Called>>();
  /** Words of names, for those that are misspelt. */
  readonly words = new Spellings();

  constructor(private readonly catalog: Catalog) {
    for (const type of TYPES)
      for (const thing of catalog.names.list(type)) this.addThing(type, thing);
    for (const { name, choices } of catalog.data.customFields)
      for (const choice of choices) {
        const stems = stemsOf(choice);
        const entry = { stems, field: name, value: () => choice, rule: `a ${name}` };
        this.hold({ entries: () => [entry] }, stems, stems.slice(0, 1));
      }
  }

  private addThing(type: ThingType, thing: Thing): void {
    const label = stemsOf(thing.label);
    const called = { entries: () => this.entriesOf(type, thing) };
    if (type !== "person") return this.hold(called, label, label.slice(0, 1));
    const login = stemsOf(thing.name);
    this.hold(called, label, [...label.slice(0, 1), ...label.slice(-1), ...login.slice(0, 1)]);
  }

  private hold(called: Called, words: readonly string[], firsts: readonly string[]): void {
    for (const first of firsts) {
      const same = this.byFirst.get(first);
      if (same) same.add(called);
      else this.byFirst.set(first, new Set([called]));
    }
    for (const word of words) this.words.add(word);
  }

  private entriesOf(type: ThingType, thing: Thing): Entry[] {
    const field = FIELD_OF[type] ?? type;
    const value = () => this.catalog.names.printed(type, thing);
    const label = stemsOf(thing.label);
    const whole: Entry = { stems: label, field, value, rule: `a ${type}` };
    if (type !== "person") return [whole];
    const parts = label.length < 2 ? [] : [label[0], label[label.length - 1]];
    return [
      whole,
      { stems: stemsOf(thing.name), field, value, rule: "a login" },
      ...parts.map((part): Entry => ({
        stems: [part],
        field,
        value,
        rule: "a part of a name",
        isPart: true,
      })),
    ];
  }

  /** The names that begin at a word, the longest; several where one name is of several things. */
  at(stems: readonly string[], from: number): { names: readonly Name[]; length: number } | null {
    const fits = [...(this.byFirst.get(stems[from]) ?? [])]
      .flatMap(({ entries }) => entries())
      .filter(
        ({ stems: own }) => own.length > 0 && own.every((word, i) => stems[from + i] === word),
      );
    const length = Math.max(0, ...fits.map(({ stems: own }) => own.length));
    if (length === 0) return null;
    const longest = fits.filter(({ stems: own }) => own.length === length);
    const whole = longest.filter(({ isPart }) => !isPart);
    const best = whole.length ? whole : longest;
    const named = best.map(({ value, stems: _stems, ...name }): Name => ({
      ...name,
      value: value(),
    }));
    const different = named.filter(
      (one, i) =>
        named.findIndex((other) => other.field === one.field && other.value === one.value) === i,
    );
    return { names: different, length };
  }
}

const indexes = new WeakMap<Catalog, NameIndex>();
export function nameIndexOf(catalog: Catalog): NameIndex {
  const kept = indexes.get(catalog);
  if (kept) return kept;
  const made = new NameIndex(catalog);
  indexes.set(catalog, made);
  return made;
}

/** Takes every name of the workspace's things out of a question. */
export function takeNames(question: Question, catalog: Catalog): NamedPlace[] {
  const index = nameIndexOf(catalog);
  const words = question.words();
  const stems = words.map((word) => stem(word.words));
  const places: NamedPlace[] = [];
  for (let at = 0; at < words.length; at += 1) {
    const found = index.at(stems, at);
    if (!found) continue;
    const last = words[at + found.length - 1];
    const [from, to] = [words[at].from, last.to];
    // A name stands in one piece: nothing that was taken lies within it.
    if (question.rest.slice(from, to).includes("\u0000")) continue;
    places.push({ from, to, names: found.names });
    question.use({ from, to }, "condition", found.names[0].rule);
    at += found.length - 1;
  }
  return places;
}

const MOST_LETTERS = 24;

/** Known words by their first letter and length: a misspelt one is near to few of them. */
export class Spellings {
  private readonly known = new Map<string, Set<string>>();

  add(word: string): void {
    const key = `${word[0]}${word.length}`;
    const same = this.known.get(key);
    if (same) same.add(word);
    else this.known.set(key, new Set([word]));
  }

  near(word: string, by: number): string[] {
    return Array.from({ length: 2 * by + 1 }, (_, i) => word.length - by + i).flatMap((length) => [
      ...(this.known.get(`${word[0]}${length}`) ?? []),
    ]);
  }
}

/**
 * What a word that nobody knows may have been meant to be.
 * @returns null where nothing is near, or several things are as near
 */
export function respelt(word: string, spellings: readonly Spellings[]): string | null {
  const typed = stem(word);
  if (typed.length < 4 || typed.length > MOST_LETTERS) return null;
  const allowed = typed.length < 7 ? 1 : 2;
  const found = new Map<number, Set<string>>();
  for (const candidate of spellings.flatMap((one) => one.near(typed, allowed))) {
    const far = editDistance(typed, candidate, allowed);
    if (far <= allowed) found.set(far, (found.get(far) ?? new Set()).add(candidate));
  }
  const [nearest] = [...found.keys()].sort((x, y) => x - y);
  const best = nearest === undefined ? [] : [...found.get(nearest)!];
  return best.length === 1 ? best[0] : null;
}
