import { checkReport, type Report } from "@/core/kinds";
import { Refused } from "../refused";
import type { Desk } from "../viewer/viewpoint";

/** Sent definitions are checked before they are planned. */
export function checked<R extends Report>(report: R, { view }: Desk): R {
  const problems = checkReport(report, view);
  if (problems.length) throw new Refused(problems);
  return report;
}
