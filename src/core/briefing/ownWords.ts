import type { Run } from "./text";

/** Words written by hand, with figures in them: a place is a sentence in braces. */

const LONGEST_WORDS = 6_000;
const MOST_PLACES = 12;
const PLACE = /\{([^{}]+)\}/g;

/** The sentences in some words, in their order. */
export const placesIn = (words: string): readonly string[] =>
  [...words.matchAll(PLACE)].map((match) => match[1].trim());

/** Whether some words hold more than can be kept or asked at once. */
export const isTooLong = (words: string): boolean =>
  words.length > LONGEST_WORDS || placesIn(words).length > MOST_PLACES;

/** The paragraphs of some words, each as runs. @param figureOf the figure of a sentence, by its place */
export function runsOf(
  words: string,
  figureOf: (says: string, place: number) => Run,
): readonly (readonly Run[])[] {
  let place = 0;
  return words
    .split(/\n{2,}/)
    .map((paragraph) => paragraph.trim())
    .filter(Boolean)
    .map((paragraph) => {
      const runs: Run[] = [];
      let at = 0;
      for (const match of paragraph.matchAll(PLACE)) {
        if (match.index > at) runs.push(paragraph.slice(at, match.index));
        runs.push(figureOf(match[1].trim(), place));
        place += 1;
        at = match.index + match[0].length;
      }
      if (at < paragraph.length) runs.push(paragraph.slice(at));
      return runs;
    });
}
