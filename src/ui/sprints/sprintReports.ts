import type { SprintLine } from "@/contract/figures";
import type { LevelReport } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";

import { localDay, type Instant } from "@/core/time";

/** What a sprint held at the end of each of its days, by status in the order of the workflow. @param without statuses that are left out */
export function cumulativeFlow(
  sprint: SprintLine,
  now: Instant,
  { calendar }: AskContext,
  without: readonly number[],
): LevelReport {
  const today = localDay(now, calendar.zone);
  const from = sprint.starts ?? today;
  const last = sprint.ends && sprint.ends < today ? sprint.ends : today;
  return {
    kind: "level",
    subject: { id: "items" },
    grain: "day",
    period: { kind: "span", from, to: last < from ? from : last },
    shape: "area",
    where: {
      kind: "test",
      field: ["sprint"],
      operator: "is",
      values: [{ kind: "thing", thing: "sprint", id: sprint.id }],
    },
    split: {
      field: ["status"],
      ...(without.length
        ? {
            without: without.map((id) => ({
              kind: "thing" as const,
              thing: "status" as const,
              id,
            })),
          }
        : {}),
    },
  };
}
