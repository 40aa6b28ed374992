import type { ReadingLine } from "@/contract/questions";

/** A stretch of a question with what it became. */
export interface Stretch {
  readonly words: string;
  readonly state: "sure" | "guess" | "none";
  readonly means: string;
  readonly rule: string;
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
export function stretchesOf(
  question: string,
  { uses, doubts }: Pick<ReadingLine, "uses" | "doubts">,
): readonly Stretch[] {
  const stretches: Stretch[] = [];
  for (const { from, to, part, rule } of uses) {
    const words = question.slice(from, to).trim();
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
        means: rule,
        rule: PART_WORDS[part] ?? "",
      });
  }
  return stretches;
}
