import { folded } from "../base";

/** What a stretch of a question became, and by which rule; what says nothing by itself is filler. */
export interface Use {
  readonly from: number;
  readonly to: number;
  readonly part: UsePart;
  /** The rule in a few words, or what the stretch was taken for. */
  readonly rule: string;
  /** The part of the sentence that it became, where that is one. */
  readonly means?: string;
}
export type UsePart =
  | "kind"
  | "subject"
  | "measure"
  | "condition"
  | "group"
  | "period"
  | "order"
  | "shape"
  | "comparison"
  | "filler"
  | "not understood";

/** What was found in a question: its words as folded, its groups, and where it stands. */
export interface Found {
  readonly words: string;
  readonly groups: Readonly<Record<string, string | undefined>>;
  readonly from: number;
  readonly to: number;
}

/** The rule of words whose meaning somebody said. */
export const TAUGHT = "as it was taught";

const USED = "\u0000";
const LETTER = "[\\p{L}\\p{N}]";

/** Letters without case and marks, one for one, so that places in both texts are the same. */
export const plainLetters = (text: string): string =>
  [...text]
    .map((letter) => {
      const plain = folded(letter.normalize("NFD")[0]);
      return plain.length === letter.length ? plain : letter;
    })
    .join("")
    .replace(/[’‘`]/g, "'");

/** Patterns that are kept as made; those with names of a workspace come and go with it. */
const MOST_KNOWN = 3000;
const known = new Map<string, RegExp>();
/** A pattern of whole words: a space stands for any white space. */
export function wholeWords(pattern: string): RegExp {
  const kept = known.get(pattern);
  if (kept) return kept;
  if (known.size > MOST_KNOWN) known.clear();
  const made = new RegExp(
    `(?<!${LETTER})(?:${pattern.replaceAll(" ?", "\\s*").replaceAll(" ", "\\s+")})(?!${LETTER})`,
    "u",
  );
  known.set(pattern, made);
  return made;
}

/** A question while it is read: whatever takes a stretch of it leaves the rest to others. */
export class Question {
  readonly uses: Use[] = [];
  private left: string;

  constructor(readonly text: string) {
    this.left = plainLetters(text);
  }

  /** What nobody has taken yet, the taken stretches blotted out. */
  get rest(): string {
    return this.left;
  }

  /** Looks for a pattern of whole words in what is left, without taking it. */
  find(pattern: string): Found | null {
    const match = wholeWords(pattern).exec(this.left);
    if (!match || match[0] === "") return null;
    return {
      words: match[0],
      groups: match.groups ?? {},
      from: match.index,
      to: match.index + match[0].length,
    };
  }

  /** The same wherever it stands. */
  findAll(pattern: string): Found[] {
    return [...this.left.matchAll(new RegExp(wholeWords(pattern), "gu"))].map((match) => ({
      words: match[0],
      groups: match.groups ?? {},
      from: match.index,
      to: match.index + match[0].length,
    }));
  }

  take(pattern: string, part: UsePart, rule: string): Found | null {
    const found = this.find(pattern);
    if (found) this.use(found, part, rule);
    return found;
  }

  takeAll(pattern: string, part: UsePart, rule: string): Found[] {
    const all: Found[] = [];
    for (let one = this.take(pattern, part, rule); one; one = this.take(pattern, part, rule))
      all.push(one);
    return all;
  }

  use({ from, to }: Pick<Found, "from" | "to">, part: UsePart, rule: string): void {
    this.uses.push({ from, to, part, rule });
    this.left = this.left.slice(0, from) + USED.repeat(to - from) + this.left.slice(to);
  }

  /** The words that nobody has taken. */
  words(): Found[] {
    return [...this.left.matchAll(/[\p{L}\p{N}][\p{L}\p{N}'+%-]*/gu)].map((match) => ({
      words: match[0],
      groups: {},
      from: match.index,
      to: match.index + match[0].length,
    }));
  }
}
