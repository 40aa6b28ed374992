import { partCodec } from "../../definition";

/** A step, a list of items by where they stand, what was committed, or all that one cause changed. */
export const burndownParts = partCodec({
  step: { sign: "s", takes: "index" },
  finished: { sign: "finished" },
  open: { sign: "open" },
  out: { sign: "out" },
  committed: { sign: "committed" },
  added: { sign: "added" },
  removed: { sign: "removed" },
  reopened: { sign: "reopened" },
  "re-estimated": { sign: "re-estimated" },
});
