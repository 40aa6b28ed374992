import { folded } from "./compare";

/** For finding by name an accent may be left out, which a condition never does. */
const plain = (text: string): string => folded(text).normalize("NFD").replace(/\p{M}/gu, "");

/** Whether every word is in one of the texts. */
export function isFound(words: string, texts: readonly string[]): boolean {
  const text = plain(texts.join(" "));
  return plain(words)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => text.includes(word));
}
