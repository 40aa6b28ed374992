import type { BridgeAnswer } from "./answer";

/**
 * What a part of a bridge says of its items, as its rule has it.
 * @param isOfOpen the level is of what is open: whoever was in it was open
 */
export function causeWords(
  { cause, fields }: Pick<BridgeAnswer["parts"][number], "cause" | "fields">,
  isOfOpen: boolean,
): string {
  const changed = fields.join(", ");
  switch (cause) {
    case "created":
      return isOfOpen ? "created since and still open" : "created since and among them";
    case "reopened":
      return "reopened since";
    case "changed in":
      return `came in by ${changed}`;
    case "deleted":
      return isOfOpen ? "deleted since, were open then" : "deleted since";
    case "finished":
      return isOfOpen ? "finished since, were open then" : "finished since";
    case "changed out":
      return `left by ${changed}`;
    default:
      return "counted otherwise";
  }
}
