import type { QuestionRead, ReadingLine } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import type { Taught } from "@/core/plain";

/** One thing to go to. */
export interface Option {
  /** Among all that are offered. */
  readonly id: string;
  readonly href: string;
  readonly words: string;
  readonly about: string;
  readonly kind: Found["kind"] | "taken" | "other";
  readonly figure: string | null;
  /** The sentence that is answered there. */
  readonly sentence?: string;
  /** What words are taken for by going there. */
  readonly chose?: readonly Taught[];
}
export interface Section {
  readonly key: string;
  readonly head: string;
  readonly tail: string;
  readonly options: readonly Option[];
}
type Unnumbered = Omit<Section, "options"> & { readonly options: readonly Omit<Option, "id">[] };

/** Where a sentence is answered. */
export const hrefOf = (sentence: string): string =>
  `/reports/new?s=${encodeURIComponent(sentence)}`;

/**
 * Everything that can be gone to beside the best reading. What is named by the words comes first: a key, a name.
 */
export function sectionsOf(
  found: readonly Found[],
  read: QuestionRead,
  asked: string,
): readonly Section[] {
  const said = asked.trim().toLowerCase();
  const isNamed = ({ words, kind }: Found) =>
    (kind === "item" ? words.split(" ")[0] : words).toLowerCase() === said;
  const named = found.filter((one) => one.kind !== "sentence");
  const [first] = read.readings;
  const isOnTop = !first || named.some(isNamed);
  const there = new Set(read.there.map(({ id }) => `/reports/${id}`));
  const names = named
    .filter(({ href }) => !there.has(href))
    .map((one) => ({ ...one, figure: null }));
  const all: Unnumbered[] = [
    ...(isOnTop ? [{ key: "found", head: "Called", tail: "so", options: names }] : []),
    ...readingsOfWords(read.readings),
    {
      key: "near",
      head: first ? "Or ask it" : "What can be asked",
      tail: first ? "so" : "for example",
      options: read.near.map(({ label, pictured, figure }) => ({
        href: hrefOf(pictured),
        words: label,
        sentence: pictured,
        about: "",
        kind: "sentence",
        figure,
      })),
    },
    {
      key: "there",
      head: "Already",
      tail: "there",
      options: [
        ...read.there.map(({ id, name, same }) => ({
          href: `/reports/${id}`,
          words: name,
          about: same === "sentence" ? "asks exactly this" : "of the same records",
          kind: "report" as const,
          figure: null,
        })),
        ...(isOnTop ? [] : names),
      ],
    },
  ];
  return all
    .filter(({ options }) => options.length > 0)
    .map((section) => ({
      ...section,
      options: section.options.map((one, i) => ({ ...one, id: `${section.key}/${i}` })),
    }));
}

const meantBy = ({ chose }: ReadingLine, words: string): string | undefined =>
  chose.find((one) => one.words === words)?.means;

/** For each word that could be several things: what it was taken for, and what else it may mean. */
function readingsOfWords(readings: readonly ReadingLine[]): Unnumbered[] {
  const [best, ...others] = readings;
  if (!best) return [];
  return best.chose.map(({ words, means }) => ({
    key: `readings ${words}`,
    head: `“${words}”`,
    tail: "may mean",
    options: [best, ...others.filter((other) => meantBy(other, words) !== means)].map((one) => ({
      href: hrefOf(one.pictured),
      words: meantBy(one, words) ?? one.sentence,
      sentence: one.pictured,
      chose: one.chose,
      about: saidBy(one.reports),
      kind: one === best ? "taken" : "other",
      figure: one.figure,
    })),
  }));
}

const saidBy = (reports: number): string =>
  reports === 0 ? "" : reports === 1 ? "as 1 report says it" : `as ${reports} reports say it`;
