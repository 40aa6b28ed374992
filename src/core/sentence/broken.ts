import type { AskContext } from "../catalog";
import type { Report } from "../definition";
import { allOfParts, topParts } from "../filter";
import { checkReport } from "./check";
import { conditionText, fieldText, groupText, measureText, UNKNOWN } from "./print";

/** A part of a report that no longer holds: a field, a value or a saved filter that is gone. */
export interface BrokenPart {
  /** The part as a sentence says it. */
  readonly says: string;
  readonly why: string;
  /** The report without it; null where it cannot be asked without. */
  readonly without: Report | null;
}

interface Candidate {
  readonly says: string;
  readonly without: Report | null;
}

/**
 * Which parts of a report are to blame for what is wrong with it: those without which less is wrong.
 * A report that is asked of a field that was removed still opens, and each part can be dropped by itself.
 */
export function brokenParts(report: Report, context: AskContext): BrokenPart[] {
  const problems = checkReport(report, context);
  if (problems.length === 0) return [];
  const blamed = candidates(report, context).flatMap((candidate): BrokenPart[] => {
    const left = candidate.without ? checkReport(candidate.without, context) : [];
    const gone = candidate.without
      ? problems.find(
          (problem) =>
            !left.some(
              (one) =>
                one.code === problem.code &&
                one.message === problem.message &&
                one.path === problem.path,
            ),
        )
      : undefined;
    return gone && left.length < problems.length ? [{ ...candidate, why: gone.message }] : [];
  });
  return blamed.length
    ? blamed
    : problems.map(({ message, path }) => ({ says: path ?? UNKNOWN, why: message, without: null }));
}

function candidates(report: Report, { catalog }: AskContext): Candidate[] {
  const { id } = report.subject;
  const found: Candidate[] = [];
  const parts = topParts(report.where);
  parts.forEach((part, i) => {
    const where = allOfParts(parts.filter((_, at) => at !== i));
    const { where: _gone, ...rest } = report;
    found.push({
      says: `where ${conditionText(part, catalog, id)}`,
      without: { ...rest, ...(where ? { where } : {}) } as Report,
    });
  });
  if (report.subject.filter !== undefined) {
    const { filter: _gone, ...subject } = report.subject;
    found.push({
      says: "the saved filter of what is counted",
      without: { ...report, subject } as Report,
    });
  }
  const { shape: _shape, ...plain } = report;
  if (report.kind === "count") {
    report.measures.forEach((measure, i) =>
      found.push({
        says: measureText(measure, catalog, id),
        without: {
          ...plain,
          measures:
            report.measures.length > 1
              ? report.measures.filter((_, at) => at !== i)
              : [{ measure: "count" }],
        } as Report,
      }),
    );
    report.by.forEach((group, i) =>
      found.push({
        says: `by ${groupText(group, catalog, id)}`,
        without: { ...plain, by: report.by.filter((_, at) => at !== i) } as Report,
      }),
    );
  }
  if (report.kind === "list") {
    report.showing.forEach((path, i) =>
      found.push({
        says: `showing ${fieldText(catalog, id, path)}`,
        without: { ...report, showing: report.showing.filter((_, at) => at !== i) },
      }),
    );
    report.sorts.forEach((sort, i) =>
      found.push({
        says: `sorted by ${fieldText(catalog, id, sort.field)}`,
        without: { ...report, sorts: report.sorts.filter((_, at) => at !== i) },
      }),
    );
    if (report.by) {
      const { by: _gone, ...rest } = report;
      found.push({ says: `grouped by ${groupText(report.by, catalog, id)}`, without: rest });
    }
  }
  if ((report.kind === "count" || report.kind === "level") && report.split) {
    const { split, ...rest } = plain as typeof report;
    found.push({ says: `split by ${groupText(split!, catalog, id)}`, without: rest as Report });
  }
  return found;
}
