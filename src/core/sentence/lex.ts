import { BROKEN_SIGN, type Problem } from "../base";

/** A piece of the sentence; `from` and `to` are offsets into the text, `to` outside. */
export interface Token {
  readonly kind: "word" | "quoted" | "sign";
  /** A word as typed, a quoted name without its quotes, or one of ( ) , ; : 's */
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

export const LONGEST = 10_000;
const INSTANT = /\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)?/iy;
const WORD = /[^\s,();:"“”]+/uy;
const POSSESSIVE = /['’]s$/i;

/** Cuts a text into tokens; the faults it knows are a quote that is not closed and a sign that no text has. */
export function lex(text: string): { tokens: Token[]; problem?: Problem } {
  const tokens: Token[] = [];
  const broken = BROKEN_SIGN.exec(text);
  if (broken)
    return {
      tokens,
      problem: {
        code: "sentence.sign",
        message: "there is a sign in it that no text can have",
        at: { from: broken.index, to: broken.index + 1 },
      },
    };
  let at = 0;
  const push = (kind: Token["kind"], words: string, from: number, to: number) =>
    tokens.push({ kind, text: words, from, to });
  while (at < text.length) {
    const sign = text[at];
    if (/\s/.test(sign)) at += 1;
    else if ("(),;:".includes(sign)) push("sign", sign, at, (at += 1));
    else if ('"“”'.includes(sign)) {
      const quoted = readQuoted(text, at);
      if (!quoted)
        return {
          tokens,
          problem: {
            code: "sentence.quoteOpen",
            message: `the quote opened at ${at + 1} is not closed`,
            at: { from: at, to: text.length },
          },
        };
      push("quoted", quoted.text, at, quoted.to);
      at = quoted.to;
      if (/^['’]s(?=[\s,();:]|$)/i.test(text.slice(at, at + 3))) push("sign", "'s", at, (at += 2));
    } else at = readWord(text, at, push);
  }
  return { tokens };
}

function readWord(
  text: string,
  at: number,
  push: (kind: Token["kind"], words: string, from: number, to: number) => void,
): number {
  INSTANT.lastIndex = WORD.lastIndex = at;
  const word = (INSTANT.exec(text) ?? WORD.exec(text))![0];
  const to = at + word.length;
  if (POSSESSIVE.test(word) && word.length > 2) {
    push("word", word.slice(0, -2), at, to - 2);
    push("sign", "'s", to - 2, to);
  } else push("word", word, at, to);
  return to;
}

function readQuoted(text: string, at: number): { text: string; to: number } | null {
  let read = "";
  for (let i = at + 1; i < text.length; i += 1) {
    if (text[i] === "\\" && i + 1 < text.length) read += text[(i += 1)];
    else if ('"“”'.includes(text[i])) return { text: read, to: i + 1 };
    else read += text[i];
  }
  return null;
}
