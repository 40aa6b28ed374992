import type { Catalog } from "../catalog";
import { escaped } from "./clauses/escaped";
import { FIELD_WORDS, reachedBy, SUBJECT_OF } from "./words/fields";

/** Stretches of time as people call them. */
export const GRAINS: readonly (readonly [said: string, grain: string])[] = [
  ["fiscal quarters?", "fiscal quarter"],
  ["fiscal years?", "fiscal year"],
  ["day of (?:the )?week|weekdays?", "weekday"],
  ["hours? of (?:the )?day|hours?", "hour"],
  ["days?|daily", "day"],
  ["weeks?|weekly", "week"],
  ["months?|monthly", "month"],
  ["quarters?|quarterly", "quarter"],
  ["years?|yearly", "year"],
];

/** What can stand after "by": a pattern of what people say, and what the sentence calls it. */
export interface FieldSaid {
  readonly said: string;
  readonly text: string;
  readonly grain?: string;
}

/** What a question about one subject can name: its fields by all their words, and stretches of time. */
export class FieldsSaid {
  /** A pattern of all of them, and of those that are no stretch of time. */
  readonly any: string;
  readonly anyField: string;
  readonly fields: readonly FieldSaid[];

  constructor(readonly all: readonly FieldSaid[]) {
    this.fields = all.filter(({ grain }) => !grain);
    this.any = all.map(({ said }) => said).join("|");
    this.anyField = this.fields.map(({ said }) => said).join("|");
  }

  /** What words mean that match one of the patterns. */
  called(words: string): FieldSaid | undefined {
    const said = words.replace(/\s+/g, " ");
    return this.all.find((one) => new RegExp(`^(?:${one.said})$`, "u").test(said));
  }
}

const made = new WeakMap<Catalog, Map<string, FieldsSaid>>();
/** The fields of a subject, or of items where none is said yet. */
export function fieldsSaid(catalog: Catalog, subject: string | null): FieldsSaid {
  const ofCatalog = made.get(catalog) ?? new Map<string, FieldsSaid>();
  made.set(catalog, ofCatalog);
  const about = subject ?? "items";
  const kept = ofCatalog.get(about) ?? new FieldsSaid(allSaid(catalog, about));
  ofCatalog.set(about, kept);
  return kept;
}

function allSaid(catalog: Catalog, subject: string): FieldSaid[] {
  const own = catalog.fieldsOf(SUBJECT_OF[subject] ?? "items");
  const reached = reachedBy(subject);
  const known = new Set(own.map(({ words }) => words));
  const plural = (words: string) => `${escaped(words)}(?:s|es)?`;
  const fields = own.map(({ words, synonyms = [] }) => ({
    said: [words, ...synonyms].map(plural).join("|"),
    text: words,
  }));
  const called = FIELD_WORDS.flatMap(({ said, field }) => {
    const text = reached[field] ?? (known.has(field) ? field : undefined);
    return text ? [{ said, text }] : [];
  });
  const grains = GRAINS.map(([said, grain]) => ({ said, text: grain, grain }));
  // How other subjects reach a field comes before a field of their own that is called the same.
  return [...(subject === "items" ? [] : called), ...fields, ...called, ...grains];
}
