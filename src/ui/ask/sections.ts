import type { QuestionRead } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import type { Taught } from "@/core/plain";

/** One thing to go to. */
export interface Option {
  readonly href: string;
  readonly words: string;
  readonly about: string;
  readonly kind: Found["kind"];
  readonly figure: string | null;
  /** The sentence that is answered there. */
  readonly sentence?: string;
  /** What words are taken for by going there. */
  readonly chose?: readonly Taught[];
}
export interface Section {
  readonly key: "found" | "readings" | "near" | "there";
  readonly head: string;
  readonly tail: string;
  readonly options: readonly Option[];
}

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
  const [first, ...others] = read.readings;
  const isOnTop = !first || named.some(isNamed);
  const there = new Set(read.there.map(({ id }) => `/reports/${id}`));
  const names: Option[] = named
    .filter(({ href }) => !there.has(href))
    .map((one) => ({ ...one, figure: null }));
  const all: Section[] = [
    ...(isOnTop ? [{ key: "found", head: "Called", tail: "so", options: names } as const] : []),
    {
      key: "readings",
      head: "It may mean",
      tail: "as well",
      options: others.map(({ sentence, pictured, figure, chose }) => ({
        href: hrefOf(pictured),
        words: chose.length ? chose.map(({ means }) => means).join(", ") : sentence,
        chose,
        sentence: pictured,
        about: "",
        kind: "sentence",
        figure,
      })),
    },
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
        ...read.there.map(({ id, name, same }): Option => ({
          href: `/reports/${id}`,
          words: name,
          about: same === "sentence" ? "asks exactly this" : "of the same records",
          kind: "report",
          figure: null,
        })),
        ...(isOnTop ? [] : names),
      ],
    },
  ];
  return all.filter(({ options }) => options.length > 0);
}
