import type { ShownFilter } from "@/contract/dashboards";
import type { AskContext, SubjectId } from "@/core/catalog";
import { isDate, lastOf } from "@/core/catalog";
import { allOfParts, OPERATOR_IDS, operators, type Condition, type Test } from "@/core/filter";
import { narrowed, type CountReport } from "@/core/kinds";
import { conditionText, fieldText, parseConditionText } from "@/core/sentence";
import { parentsOf, type Narrowed } from "./narrowed";

/** A condition as the strip says it: what it is on and how it is tested, both "" where it is no simple test; then its value. */
export interface Said {
  readonly field: string;
  readonly operator: string;
  readonly value: string;
}

export const readSaid = (
  says: string,
  subject: SubjectId,
  context: AskContext,
): Condition | null => {
  const read = parseConditionText(says, subject, context);
  return read.ok ? read.value : null;
};

/** Signs of the grammar that a reader of the strip needs not see. */
const plain = (text: string): string => text.replace(/^\((.*)\)$/, "$1").replaceAll('"', "");

/** A condition parted into its joining words and its value; one that is no simple test stands whole. */
export function saidParts(says: string, subject: SubjectId, context: AskContext): Said {
  const condition = readSaid(says, subject, context);
  const whole: Said = { field: "", operator: "", value: says };
  if (condition?.kind !== "test" || condition.asOf) return whole;
  const field = fieldText(context.catalog, subject, condition.field);
  const operator = operators[condition.operator].words;
  const text = conditionText(condition, context.catalog, subject);
  const joins = `${field} ${operator}`;
  if (!text.startsWith(joins)) return whole;
  // What needs no value says all of it by how it is tested: "is empty".
  const value = plain(text.slice(joins.length).trim());
  return value ? { field, operator, value } : { field, operator: "", value: operator };
}

/** What a filter is called. */
export const filterName = (
  { label, subject, field }: Pick<ShownFilter, "label" | "subject" | "field">,
  { catalog }: Pick<AskContext, "catalog">,
): string => label || fieldText(catalog, subject, field);

/** A test on the field of a filter that has no value yet. */
export function emptyTest(
  { subject, field }: Pick<ShownFilter, "subject" | "field">,
  { catalog }: AskContext,
): Test | null {
  const path = catalog.findPath(subject, field);
  if (!path) return null;
  const last = lastOf(path);
  const fits = OPERATOR_IDS.filter((id) => operators[id].fits(last));
  const operator = isDate(last)
    ? "during"
    : (fits.find((id) => id === "isAnyOf" || id === "includeAnyOf") ?? fits[0]);
  return { kind: "test", field: [...field], operator, values: [] };
}

/** The records among which a filter offers its values: those that the filters it depends on leave. */
export function offeredAmong(
  filter: ShownFilter,
  filters: readonly ShownFilter[],
  now: Narrowed,
  context: AskContext,
): CountReport {
  const all: CountReport = {
    kind: "count",
    measures: [{ measure: "count" }],
    subject: { id: filter.subject },
    by: [],
  };
  const parents = parentsOf(filter, filters, now).flatMap(({ says, subject }) => {
    const where = readSaid(says, subject, context);
    return where ? [{ subject, where }] : [];
  });
  return narrowed(all, parents, context.catalog).report;
}

/** A test with only some of its values, in words; null where none is left. */
export function withValues(
  test: Test,
  values: Test["values"],
  context: AskContext,
  subject: SubjectId,
) {
  if (values.length === 0) return null;
  const where = allOfParts([{ ...test, values }]);
  return where ? conditionText(where, context.catalog, subject) : null;
}
