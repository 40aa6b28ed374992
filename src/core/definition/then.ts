import { pathWords, type Catalog, type FieldPath } from "../catalog";
import { leavesOf, savedCondition, type Condition } from "../filter";
import { findPlainMeasure, type SimpleMeasure } from "./measure";
import { groupsOf, type Report } from "./report";

/** How deep saved filters may lead to one another. */
const DEEPEST = 20;

/** Every field that a report asks of its records as they are at its instant: in conditions, groups, measures and columns. */
function fieldsAsked(report: Report, catalog: Catalog): readonly (readonly string[])[] {
  const ofFilter = (id: number, depth: number): readonly (readonly string[])[] => {
    const filter = depth < DEEPEST ? catalog.findFilter(id) : undefined;
    return filter
      ? [
          ...(filter.subject.filter === undefined
            ? []
            : ofFilter(filter.subject.filter, depth + 1)),
          ...ofCondition(savedCondition(id, catalog), depth + 1),
        ]
      : [];
  };
  const ofCondition = (
    condition: Condition | undefined,
    depth = 0,
  ): readonly (readonly string[])[] =>
    leavesOf(condition).flatMap((leaf) =>
      leaf.kind === "filter"
        ? ofFilter(leaf.filter, depth)
        : leaf.kind === "test" && !leaf.asOf
          ? [leaf.field]
          : [],
    );
  const ofMeasure = (measure: SimpleMeasure | undefined) => [
    ...(measure?.field ? [measure.field] : []),
    ...ofCondition(measure?.where),
  ];
  const ofGroups = groupsOf(report).flatMap((group) => [
    ...(group.cases ? group.cases.flatMap((one) => ofCondition(one.where)) : [group.field]),
    ...ofMeasure(group.top?.by),
  ]);
  const measured =
    report.kind === "count"
      ? report.measures.flatMap((measure) => {
          const plain = findPlainMeasure(measure, catalog);
          return plain ? [...ofMeasure(plain), ...ofMeasure(plain.per)] : [];
        })
      : "measure" in report
        ? ofMeasure(report.measure)
        : [];
  const columns =
    report.kind === "list" ? [...report.showing, ...report.sorts.map((sort) => sort.field)] : [];
  return [
    ...(report.subject.filter === undefined ? [] : ofFilter(report.subject.filter, 0)),
    ...ofCondition(report.where),
    ...ofGroups,
    ...measured,
    ...columns,
  ];
}

/** What was then is known of what is kept with every move, of what follows from it, and of what never changes. */
const isKnownThen = ([field, ...more]: FieldPath): boolean =>
  more.length === 0 &&
  (field.ofState === true || field.fixed === true || field.source.kind === "derived");

/** The fields that a report of items asks for and whose past is not kept: they are as they are now, whenever they are asked of. In words, each once. */
export function unknownThen(report: Report, catalog: Catalog): string[] {
  if (report.subject.id !== "items") return [];
  const paths = fieldsAsked(report, catalog)
    .map((ids) => catalog.findPath("items", ids))
    .filter((path): path is FieldPath => path !== undefined);
  return [...new Set(paths.filter((path) => !isKnownThen(path)).map(pathWords))];
}
