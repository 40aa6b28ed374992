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

interface Entry extends Name {
  readonly stems: readonly string[];
}

/** A name that stands in a question, with all that it could be. */
export interface NamedPlace extends Pick<Found, "from" | "to"> {
  readonly names: readonly Name[];
}

const TYPES = THING_TYPES.filter((type) => type !== "kind");
const FIELD_OF: Partial<Record<ThingType, string>> = { person: "assignee" };

/** A word without case, marks, possessive and plural, so that "Tomas'" and "gate reader" find their names. */
export function stem(word: string): string {
  const plain = word
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[’']s?$/, "");
  return plain.length > 3 || /\ds$/.test(plain) ? plain.replace(/(?<![su])s$/, "") : plain;
}
const stemsOf = (words: string): string[] => (words.match(/[\p{L}\p{N}'’+-]+/gu) ?? []).map(stem);

/** Every name of a catalog by the first of its words. */
class NameIndex {
  private readonly byFirst = new Map<string, Entry[]>();
  /** Words of names, for those that are misspelt. */
  readonly words = new Set<string>();

  constructor(catalog: Catalog) {
    const { names } = catalog;
    for (const type of TYPES)
      for (const thing of names.list(type)) this.addThing(catalog, type, thing);
    for (const field of catalog.data.customFields)
      for (const choice of field.choices)
        this.add({
          stems: stemsOf(choice),
          field: field.name,
          value: choice,
          rule: `a ${field.name}`,
        });
  }

  private addThing(catalog: Catalog, type: ThingType, thing: Thing): void {
    const field = FIELD_OF[type] ?? type;
    const value = catalog.names.printed(type, thing);
    const label = stemsOf(thing.label);
    this.add({ stems: label, field, value, rule: `a ${type}` });
    if (type !== "person") return;
    if (thing.name !== thing.label)
      this.add({ stems: stemsOf(thing.name), field, value, rule: "a login" });
    if (label.length < 2) return;
    for (const part of new Set([label[0], label[label.length - 1]]))
      this.add({ stems: [part], field, value, rule: "a part of a name", isPart: true });
  }

  private add(entry: Entry): void {
    const [first] = entry.stems;
    if (!first) return;
    const same = this.byFirst.get(first);
    if (same) same.push(entry);
    else this.byFirst.set(first, [entry]);
    for (const word of entry.stems) this.words.add(word);
  }

  /** The names that begin at a word, the longest; several where one name is of several things. */
  at(stems: readonly string[], from: number): { names: readonly Entry[]; length: number } | null {
    const fits = (this.byFirst.get(stems[from]) ?? []).filter(({ stems: own }) =>
      own.every((word, i) => stems[from + i] === word),
    );
    const length = Math.max(0, ...fits.map(({ stems: own }) => own.length));
    if (length === 0) return null;
    const longest = fits.filter(({ stems: own }) => own.length === length);
    const whole = longest.filter(({ isPart }) => !isPart);
    const best = whole.length ? whole : longest;
    const different = best.filter(
      (one, i) =>
        best.findIndex((other) => other.field === one.field && other.value === one.value) === i,
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

/**
 * What a word that nobody knows may have been meant to be.
 * @returns null where nothing is near, or several things are as near
 */
export function respelt(word: string, known: Iterable<string>): string | null {
  const typed = stem(word);
  if (typed.length < 4 || typed.length > MOST_LETTERS) return null;
  const allowed = typed.length < 7 ? 1 : 2;
  let [best, distance, rivals] = ["", allowed + 1, 0];
  for (const candidate of known) {
    if (candidate[0] !== typed[0] || Math.abs(candidate.length - typed.length) > allowed) continue;
    const far = editDistance(typed, candidate, allowed);
    if (far > distance || far > allowed) continue;
    if (far === distance && candidate !== best) rivals += 1;
    else [best, distance, rivals] = [candidate, far, 0];
  }
  return best && rivals === 0 ? best : null;
}
