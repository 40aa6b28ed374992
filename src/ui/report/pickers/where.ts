import type { Report } from "@/core/kinds";

import type { Condition } from "@/core/filter";

/** The report with other conditions, or without any. */
export function withWhere<R extends Report>(report: R, where: Condition | undefined): R {
  const { where: _where, ...rest } = report;
  return { ...rest, ...(where ? { where } : {}) } as R;
}
