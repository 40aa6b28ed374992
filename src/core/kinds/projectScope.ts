import type { ReportBase } from "../definition";
import { matchTests } from "../plan";
import { Relation, type Viewpoint } from "../relation";
import { bind, compile, joined, sql, type Fragment, type Statement } from "../sql";
import { localDay, type Day } from "../time";

/** The projects that a report is of, as a query for their identities. @param ofMoney only those whose money the viewer sees */
export function projectsOf(report: ReportBase, view: Viewpoint, ofMoney: boolean): Fragment {
  const relation = new Relation("projects", view);
  const tests = matchTests(report, relation);
  if (ofMoney) relation.guardMoney();
  return sql`SELECT ${relation.id} AS id FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`;
}

export const countOf = (projects: Fragment): Statement =>
  compile(sql`SELECT count(*) FROM (${projects}) p`);

export const todayOf = ({ now, calendar }: Pick<Viewpoint, "now" | "calendar">): Day =>
  localDay(now, calendar.zone);

export const dayBound = (day: Day): Fragment => sql`${bind(day, "date")}`;
