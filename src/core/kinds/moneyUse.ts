import { lastOf, type Catalog } from "../catalog";
import type { Viewpoint } from "../relation";
import { listsRecords, type Report } from "./registry";
import { visitReport } from "./visit";

/** Whether a report measures, tests, groups or sorts by the money of projects: then it is only of what the viewer sees of it. */
export function countsMoney(report: Report, catalog: Catalog): boolean {
  let counts = usesMoneyAlways(report);
  visitReport(
    report,
    {
      field: (ids, path) => {
        const found = catalog.findPath(report.subject.id, ids);
        const isCell = listsRecords(report) && path === "showing";
        if (!isCell && found && lastOf(found).isMoney) counts = true;
      },
    },
    catalog,
  );
  return counts;
}

/** Kinds of report that are of money, whatever their clauses say. The progress of several is weighed by it: that one finds out. */
const usesMoneyAlways = (report: Report): boolean =>
  report.kind === "budget" || (report.kind === "sCurve" && report.of !== "progress");

/** What a viewer may see of a report's money: all of it, that of some projects, or none anywhere. */
export function moneySight(report: Report, view: Viewpoint): "all" | "some" | "none" {
  if (view.money === null || !countsMoney(report, view.catalog)) return "all";
  return view.money.length ? "some" : "none";
}
