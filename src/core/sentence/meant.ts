import { nearest } from "../base";
import type { Meanings } from "../catalog";

/** What people mean by a word, of what fits its place. */
export function meantBy(
  word: string,
  fitting: readonly string[],
  meanings: Meanings,
): readonly string[] {
  const typed = word.toLowerCase();
  const meant = Object.hasOwn(meanings, typed) ? meanings[typed] : [];
  return meant.filter((one) => fitting.includes(one));
}

/** Words that a mistaken one may stand for, of those that fit its place: by what people mean with it first, then by its letters. */
export function nearestMeaning(
  word: string,
  fitting: readonly string[],
  meanings: Meanings,
  most = 3,
): string[] {
  const meant = meantBy(word, fitting, meanings);
  return [...new Set([...meant, ...nearest(word, fitting, most)])].slice(0, most);
}
