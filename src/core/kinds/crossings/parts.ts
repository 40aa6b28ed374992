import { partCodec } from "../../definition";

/** What comes first in a path: a bucket, all buckets from the first to one, or the level at the end of one. */
export const crossingParts = partCodec({
  bucket: { sign: "b", takes: "index" },
  upTo: { sign: "c", takes: "index" },
  level: { sign: "l", takes: "index" },
});
/** What comes after it: which way; revalued is what changed its value inside. */
export const wayParts = partCodec({
  arrived: { sign: "in" },
  departed: { sign: "out" },
  revalued: { sign: "re" },
});

const CROSSED = {
  arrived: ["arrival", "arrivals"],
  departed: ["departure", "departures"],
  revalued: ["change of value", "changes of value"],
  both: ["arrival or departure", "arrivals and departures"],
} as const;

/** What the rows of an opened part are. */
export function crossedWords(path: readonly (string | number)[], count: number): string {
  const way = path.length > 1 ? wayParts.read(String(path[1])) : null;
  const [one, many] = CROSSED[way?.kind ?? "both"];
  return count === 1 ? one : many;
}
