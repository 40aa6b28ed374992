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
