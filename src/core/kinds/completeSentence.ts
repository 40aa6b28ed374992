import type { AskContext } from "../catalog";
import type { ExpectedKind } from "../sentence";
import { expectedAfter } from "./parseSentence";

/** One line of the completion list. */
export interface Completion {
  /** What is written in place of the text from `from` to the caret. */
  readonly words: string;
  readonly from: number;
  readonly kind: ExpectedKind;
  readonly means?: string;
}

export interface Completions {
  readonly list: readonly Completion[];
  /** What may stand here, in words: "a field", "a period". */
  readonly expected: readonly string[];
}

/** What can be written at the caret: everything expected there that starts with what is typed of the word. */
export function completeSentence(
  text: string,
  caret: number,
  context: AskContext,
  most = 40,
): Completions {
  const left = text.slice(0, caret);
  const typed = /("[^"]*|[^\s,();:"']*)$/.exec(left)![0];
  const from = caret - typed.length;
  const expected = expectedAfter(left.slice(0, from), context);
  const wanted = typed.replace(/^"/, "").toLowerCase();
  const seen = new Set<string>();
  const list = expected
    .filter(
      (e) => e.words !== "" && startsLike(e.words, wanted) && e.words.toLowerCase() !== wanted,
    )
    .filter((e) => !seen.has(e.words) && seen.add(e.words))
    .map((e) => ({ words: e.words, from, kind: e.kind, ...(e.means ? { means: e.means } : {}) }));
  const leading = list.filter((c) => c.words.replace(/^"/, "").toLowerCase().startsWith(wanted));
  return {
    list: [...leading, ...list.filter((c) => !leading.includes(c))].slice(0, most),
    expected: [...new Set(expected.map((e) => e.called))],
  };
}

/** Begins with the typed letters, or has a later word that does. */
const startsLike = (words: string, typed: string): boolean => {
  const plain = words.replace(/"/g, "").toLowerCase();
  return (
    plain.startsWith(typed) ||
    (typed.length > 1 && plain.split(" ").some((word) => word.startsWith(typed)))
  );
};
