import { pathWords, type Catalog, type FieldPath } from "../catalog";
import type { Report } from "./registry";
import { visitReport } from "./visit";

/** What was then is known of what is kept with every move, of what follows from it, and of what never changes. */
const isKnownThen = ([field, ...more]: FieldPath): boolean =>
  more.length === 0 &&
  (field.ofState === true || field.fixed === true || field.source.kind === "derived");

/** The fields that a report of items asks for and whose past is not kept: they are as they are now, whenever they are asked of. In words, each once. */
export function unknownThen(report: Report, catalog: Catalog): string[] {
  if (report.subject.id !== "items") return [];
  const asked: (readonly string[])[] = [];
  const ofThen = new Set<readonly string[]>();
  visitReport(
    report,
    {
      // What is tested as of a day is asked of that day, whenever the report is.
      leaf: (leaf) => {
        if (leaf.kind === "became" || (leaf.kind === "test" && leaf.asOf)) ofThen.add(leaf.field);
      },
      field: (ids) => void asked.push(ids),
    },
    catalog,
  );
  const paths = asked
    .filter((ids) => !ofThen.has(ids))
    .map((ids) => catalog.findPath("items", ids))
    .filter((path): path is FieldPath => path !== undefined);
  return [...new Set(paths.filter((path) => !isKnownThen(path)).map(pathWords))];
}
