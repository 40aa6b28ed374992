/** Numbers as people write them. */
const NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  "a couple of": 2,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  sixty: 60,
  ninety: 90,
  once: 1,
  twice: 2,
};

/** A pattern for a number, in digits or words. */
export const NUMBER = `\\d+(?:\\.\\d+)?|${Object.keys(NUMBERS)
  .sort((a, b) => b.length - a.length)
  .join("|")}`;

export const numberOf = (words: string): number =>
  NUMBERS[words.replace(/\s+/g, " ")] ?? Number(words);
