import type { Stage } from "../catalog";

/** A first reading of a status that no file describes; a person confirms it. */
export function guessStage(status: string): Stage {
  if (
    /\b(done|closed|finished|resolved|shipped|signed|cancel+ed|withdrawn|dropped|rejected|complete[d]?|released|solved)\b/i.test(
      status,
    )
  )
    return "finished";
  if (
    /\b(progress|doing|building|in hand|checking|review|testing|trial|working|active|started|under way)\b/i.test(
      status,
    )
  )
    return "under way";
  return "waiting";
}
