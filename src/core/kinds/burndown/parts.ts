import { partCodec } from "../../definition";

/** A step, or a line of the account: what was committed, all that one cause changed, what remains, and what was finished before. */
export const burndownParts = partCodec({
  step: { sign: "s", takes: "index" },
  committed: { sign: "committed" },
  added: { sign: "added" },
  removed: { sign: "removed" },
  finished: { sign: "finished" },
  reopened: { sign: "reopened" },
  "re-estimated": { sign: "re-estimated" },
  remaining: { sign: "remaining" },
  "finished before": { sign: "before" },
});
