"use client";

/** The words that became a report, so that one step back from it leads to them. */
interface Asked {
  readonly words: string;
  readonly sentence: string;
}

const KEPT = "gt_asked";

/** Remembers for this window which words opened a sentence. */
export function rememberAsked(asked: Asked): void {
  try {
    sessionStorage.setItem(KEPT, JSON.stringify(asked));
  } catch {
    // A window that keeps nothing loses a step back, and nothing else.
  }
}

/** The words that opened a sentence; null where it was not asked in words, or others were asked since. */
export function wordsAskedFor(sentence: string): string | null {
  try {
    const asked = JSON.parse(sessionStorage.getItem(KEPT) ?? "null") as Asked | null;
    return asked?.sentence === sentence ? asked.words : null;
  } catch {
    return null;
  }
}
