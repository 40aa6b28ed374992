import { conditionSql } from "../filter/sql";
import { invariant } from "../base";
import { lastOf } from "../catalog";
import type { ReportBase, SimpleMeasure } from "../definition";

import type { Relation } from "../relation";
import { bind, sql, type Fragment } from "../sql";

/** What the subject alone asks for. */
export function subjectTests(
  { subject }: Pick<ReportBase, "subject">,
  relation: Relation,
): Fragment[] {
  if (subject.filter !== undefined)
    return [conditionSql({ kind: "filter", filter: subject.filter }, relation)];
  return subject.kind === undefined ? [] : [sql`${relation.kind} = ${bind(subject.kind, "int")}`];
}

/** The value that a term measures; lists without anything in them are nothing. */
export function measuredValue(term: SimpleMeasure, relation: Relation): Fragment {
  const path = relation.view.catalog.findPath(relation.subject, term.field!);
  invariant(path, "the fields of a checked measure are known");
  const value = relation.value(path, term.working);
  return lastOf(path).many ? sql`NULLIF(${value}, '{}')` : value;
}

/** What the subject and the conditions of a report ask for. */
export const matchTests = (report: ReportBase, relation: Relation): Fragment[] => [
  ...subjectTests(report, relation),
  ...(report.where ? [conditionSql(report.where, relation)] : []),
];
