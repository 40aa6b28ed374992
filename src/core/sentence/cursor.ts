import type { Problem } from "../base";
import type { Meanings } from "../catalog";
import type { Token } from "./lex";
import { nearestMeaning } from "./meant";

export type ExpectedKind =
  | "clause"
  | "keyword"
  | "subject"
  | "field"
  | "operator"
  | "value"
  | "period"
  | "shape"
  | "number"
  | "unit"
  | "name"
  | "measure"
  | "grain";

/** Something that could have stood at a place. */
export interface Expected {
  readonly kind: ExpectedKind;
  /** What to write there; "" for what cannot be listed, such as a number. */
  readonly words: string;
  /** How it is called in "expected …". */
  readonly called: string;
  /** What it would mean, for the completion list. */
  readonly means?: string;
}

/** How many of those are told in words. */
const MOST_TOLD = 10;
/** What people want most often at a place comes first: how a sentence begins, then what is counted, then its fields. */
const BEGINNINGS: readonly string[] = ["count", "list", "where", "by", "is"];
function likeliestFirst(expected: readonly Expected[]): readonly Expected[] {
  const rank = ({ kind, words }: Expected): number => {
    const first = BEGINNINGS.indexOf(words);
    if (first !== -1) return first;
    if (words === "items") return BEGINNINGS.length;
    if (kind === "subject") return BEGINNINGS.length + 1;
    return BEGINNINGS.length + (kind === "field" ? 2 : 3);
  };
  return [...expected].sort((a, b) => rank(a) - rank(b));
}

/** Thrown and caught inside the parser only. */
export class Stop extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

/**
 * Walks the tokens and remembers what could have stood at the furthest place reached: the one source of
 * "expected …" in errors and of the completion list.
 */
export class Cursor {
  at = 0;
  private furthest = 0;
  private expected: Expected[] = [];
  private depth = 0;
  /** The words that end the condition of a measure when they follow `and`: those that begin another measure. */
  stopsAfterAnd: readonly string[] = [];
  readonly ranges = new WeakMap<object, { from: number; to: number }>();

  constructor(
    readonly text: string,
    readonly tokens: readonly Token[],
    /** What people mean by words that no sentence has. */
    readonly meanings: Meanings = {},
  ) {}

  get token(): Token | undefined {
    return this.tokens[this.at];
  }

  get done(): boolean {
    return this.at >= this.tokens.length;
  }

  expect(...what: Expected[]): void {
    this.expectAt(this.at, what);
  }

  private expectAt(at: number, what: readonly Expected[]): void {
    if (at < this.furthest) return;
    if (at > this.furthest) {
      this.furthest = at;
      this.expected = [];
    }
    this.expected.push(...what);
  }

  /** What could have stood at the end of the text; empty when something else is wrong before it. */
  expectedAtEnd(): readonly Expected[] {
    return this.furthest === this.tokens.length ? this.expected : [];
  }

  sign(text: string): boolean {
    if (this.token?.kind === "sign" && this.token.text === text) {
      this.at += 1;
      return true;
    }
    return false;
  }

  /** Whether the words of a phrase stand at a place (never quoted ones); how many tokens they are. */
  phraseLength(phrase: string, at = this.at): number {
    const words = phrase.split(" ");
    return words.every(
      (word, i) =>
        this.tokens[at + i]?.kind === "word" &&
        this.tokens[at + i].text.toLowerCase() === word.toLowerCase(),
    )
      ? words.length
      : 0;
  }

  /** Takes a phrase if it stands here; otherwise remembers that it could have. */
  phrase(phrase: string, kind: ExpectedKind = "keyword", called = phrase, means?: string): boolean {
    const length = this.phraseLength(phrase);
    if (length) {
      this.at += length;
      return true;
    }
    this.offer({ kind, words: phrase, called, ...(means ? { means } : {}) });
    return false;
  }

  /** Remembers that a phrase could stand here; where its first words do already and the text ends, the rest of them. */
  offer(what: Expected): void {
    const words = what.words.split(" ");
    let typed = 0;
    while (
      typed < words.length &&
      this.tokens[this.at + typed]?.kind === "word" &&
      this.tokens[this.at + typed].text.toLowerCase() === words[typed].toLowerCase()
    )
      typed += 1;
    if (typed > 0 && typed < words.length && this.at + typed === this.tokens.length)
      this.expectAt(this.tokens.length, [{ ...what, words: words.slice(typed).join(" ") }]);
    else this.expect(what);
  }

  /** The words that could stand here. */
  fitting(): string[] {
    return this.furthest === this.at ? this.expected.map(({ words }) => words) : [];
  }

  /** The words from here on, for reading a period. */
  words(): string[] {
    const words: string[] = [];
    for (let i = this.at; this.tokens[i]?.kind === "word"; i += 1) words.push(this.tokens[i].text);
    return words;
  }

  rangeFrom(start: number): { from: number; to: number } {
    const first = this.tokens[start] ?? this.tokens[this.tokens.length - 1];
    const last = this.tokens[Math.max(this.at - 1, start)] ?? first;
    return first ? { from: first.from, to: last.to } : { from: 0, to: 0 };
  }

  mark<T extends object>(node: T, start: number): T {
    this.ranges.set(node, this.rangeFrom(start));
    return node;
  }

  /** Whether `and` stands here before a phrase that ends the condition. */
  get isAndBeforeStop(): boolean {
    return (
      this.phraseLength("and") > 0 &&
      this.stopsAfterAnd.some((phrase) => this.phraseLength(phrase, this.at + 1))
    );
  }

  /** Guards against brackets nested too deep. */
  nest<T>(inner: () => T): T {
    this.depth += 1;
    if (this.depth > 100)
      this.stop({ code: "sentence.deep", message: "more than 100 brackets stand in one another" });
    const value = inner();
    this.depth -= 1;
    return value;
  }

  stop(problem: Problem, from = this.at, to = from + 1): never {
    const first = this.tokens[from];
    const last = this.tokens[Math.min(to, this.tokens.length) - 1];
    const end = this.text.length;
    throw new Stop({
      ...problem,
      at:
        problem.at ?? (first && last ? { from: first.from, to: last.to } : { from: end, to: end }),
    });
  }

  /** Stops with what was expected here, and the word nearest to the one that stands here. */
  unexpected(): never {
    const here = this.expected.filter(() => this.furthest >= this.at);
    const at = Math.max(this.furthest, this.at);
    const token = this.tokens[at];
    const called = [...new Set(likeliestFirst(here).map((e) => e.called))];
    const near =
      token?.kind === "word"
        ? nearestMeaning(token.text, here.map((e) => e.words).filter(Boolean), this.meanings)
        : [];
    const list = called.slice(0, MOST_TOLD).join(", ") + (called.length > MOST_TOLD ? " …" : "");
    const message = token
      ? `"${token.text}" was not understood here: expected ${list}`
      : `the sentence is not finished: expected ${list}`;
    throw new Stop({
      code: token ? "sentence.unexpected" : "sentence.unfinished",
      message,
      expected: called,
      ...(near.length ? { nearest: near } : {}),
      at: token
        ? { from: token.from, to: token.to }
        : { from: this.text.length, to: this.text.length },
    });
  }
}
