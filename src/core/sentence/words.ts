import { measures } from "../measure";
import { operators } from "../filter";
import { shapes } from "../shapes";
import { GRAINS } from "../time";

const single = (phrases: readonly string[]): string[] =>
  phrases.flatMap((phrase) => phrase.toLowerCase().split(" "));

/** Every word that means something by itself: a name that equals one is quoted. */
export const KEY_WORDS: ReadonlySet<string> = new Set([
  ...single(Object.values(measures).map((m) => m.words)),
  ...single(Object.values(operators).map((o) => o.words)),
  ...single(Object.values(shapes).map((s) => s.words)),
  ...single(GRAINS),
  ...single([
    "where and or not by then split for as of in top without always with empty groups folding showing sorted grouped list descending per measure running total it stood on link no filter became being compared from to at ends level arrivals departures bridge burndown velocity sprint sprints release over ranges cases period before a earlier net vs versus",
  ]),
  ...single([
    "me my team teams projects open finished closed done current not set yes no this last next today yesterday tomorrow full business minutes hours days working newest oldest first",
  ]),
]);

/** Whether a name must stand in quotes. */
export const needsQuotes = (name: string): boolean =>
  name === "" ||
  /[\s,();:"“”]/.test(name) ||
  /['’]s$/i.test(name) ||
  KEY_WORDS.has(name.toLowerCase());
export const quoted = (name: string): string =>
  `"${name.replace(/[\\"“”]/g, (sign) => "\\" + sign)}"`;
export const nameText = (name: string): string => (needsQuotes(name) ? quoted(name) : name);
