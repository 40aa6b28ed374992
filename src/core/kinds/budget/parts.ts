import { partCodec } from "../../definition";

/** A day that is drawn, by its place, or a line of the account. */
export const budgetParts = partCodec({
  day: { sign: "d", takes: "index" },
  committed: { sign: "committed" },
  raised: { sign: "raised" },
  cut: { sign: "cut" },
  spent: { sign: "spent" },
  remaining: { sign: "remaining" },
});
