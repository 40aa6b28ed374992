import type { ReadingLine } from "@/contract/questions";
import { TAUGHT } from "@/core/plain";

/** A stretch of a question with what it became. */
export interface Stretch {
  readonly words: string;
  readonly state: "sure" | "guess" | "none";
  readonly means: string;
  readonly rule: string;
  /** Somebody said that it means this. */
  readonly isTaught?: true;
}

const PART_WORDS: Readonly<Record<string, string>> = {
  kind: "what is asked",
  subject: "what is counted",
  measure: "what is measured",
  condition: "which ones",
  group: "by what",
  period: "when",
  order: "in which order",
  shape: "the picture",
  comparison: "held against",
};

/** The stretches of a question in their order; fillers that stand together are one. */
export function stretchesOf({
  text,
  uses,
  doubts,
}: Pick<ReadingLine, "text" | "uses" | "doubts">): readonly Stretch[] {
  const stretches: Stretch[] = [];
  for (const { from, to, part, rule, means } of uses) {
    const words = text.slice(from, to).trim();
    if (!words) continue;
    const last = stretches[stretches.length - 1];
    if (part === "filler") {
      if (last?.state === "none" && last.means === "left out")
        stretches[stretches.length - 1] = { ...last, words: `${last.words} ${words}` };
      else stretches.push({ words, state: "none", means: "left out", rule: "" });
    } else if (part === "not understood")
      stretches.push({ words, state: "guess", means: "not understood", rule: "" });
    else
      stretches.push({
        words,
        state: doubts.some(
          (doubt) => doubt.includes(`"${words.toLowerCase()}"`) || doubt.includes(`"${words}"`),
        )
          ? "guess"
          : "sure",
        means: means ?? rule,
        rule: means && means !== rule ? rule : (PART_WORDS[part] ?? ""),
        ...(rule === TAUGHT ? { isTaught: true } : {}),
      });
  }
  return stretches;
}

const JOINING =
  /("(?:[^"\\\\]|\\\\.)*")|(?<= )(?:where|and|or|split by|by|for|as it stood on|as|then|per|compared with|sorted by|showing|of|from|to|at)(?= )/g;

/** A sentence with its joining words apart, the first letter large. */
export function sentenceWords(sentence: string): readonly { text: string; joins: boolean }[] {
  const large = sentence.charAt(0).toUpperCase() + sentence.slice(1);
  const parts: { text: string; joins: boolean }[] = [];
  let from = 0;
  for (const match of large.matchAll(JOINING)) {
    if (match[1]) continue;
    parts.push(
      { text: large.slice(from, match.index), joins: false },
      { text: match[0], joins: true },
    );
    from = match.index + match[0].length;
  }
  return [...parts, { text: large.slice(from), joins: false }].filter(({ text }) => text !== "");
}
