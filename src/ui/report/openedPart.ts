import type { OpenedPart } from "@/contract/figures";
import type { Mark } from "@/core/figure";

/** What of a mark opens records: its keys, and its measure where that has records of its own. */
export const partOf = (opened: Mark | null): OpenedPart | undefined =>
  opened &&
  (opened.path.length ||
    opened.split !== undefined ||
    opened.measure !== undefined ||
    opened.before ||
    opened.record !== undefined)
    ? {
        path: [...opened.path],
        ...(opened.split === undefined ? {} : { split: opened.split }),
        ...(opened.measure === undefined ? {} : { measure: opened.measure }),
        ...(opened.before ? { before: opened.before } : {}),
        ...(opened.record === undefined ? {} : { record: opened.record }),
      }
    : undefined;
