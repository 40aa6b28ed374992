import type { AskContext } from "../catalog";
import { allOfParts, topParts } from "../filter";
import { conditionText, fieldText, groupText, measureText, UNKNOWN } from "../sentence";
import { checkReport } from "./checkReport";
import { withoutAt, withoutKey, type Place } from "./places";
import { kindOf, type Report } from "./registry";

/** A part of a report that no longer holds: a field, a value or a saved filter that is gone. */
export interface BrokenPart {
  /** The part as a sentence says it. */
  readonly says: string;
  readonly why: string;
  /** The report without it; null where it cannot be asked without. */
  readonly without: Report | null;
}

type Candidate = Pick<BrokenPart, "says" | "without">;

/**
 * Which parts of a report are to blame for what is wrong with it: those without which less is wrong.
 * A report that is asked of a field that was removed still opens, and each part can be dropped by itself.
 */
export function brokenParts(report: Report, context: AskContext): BrokenPart[] {
  const problems = checkReport(report, context);
  if (problems.length === 0) return [];
  const candidates = kindOf(report)
    .places(report)
    .flatMap((place) => candidatesOf(place, report, context));
  const blamed = candidates.flatMap((candidate): BrokenPart[] => {
    if (!candidate.without) return [];
    const left = checkReport(candidate.without, context);
    const gone = problems.find(
      ({ code, message, path }) =>
        !left.some((one) => one.code === code && one.message === message && one.path === path),
    );
    return gone && left.length < problems.length ? [{ ...candidate, why: gone.message }] : [];
  });
  return blamed.length
    ? blamed
    : problems.map(({ message, path }) => ({ says: path ?? UNKNOWN, why: message, without: null }));
}

/** What can be dropped at a place: of the conditions each one that is joined by `and` at the top. */
function candidatesOf(place: Place, report: Report, { catalog }: AskContext): Candidate[] {
  const { id } = report.subject;
  const without = place.without as Report | null;
  const says = (text: string) => (place.clause ? `${place.clause} ${text}` : text);
  switch (place.kind) {
    case "condition":
      return topParts(place.condition).map((part, i, parts) => {
        const where = allOfParts(withoutAt(parts, i));
        return {
          says: says(conditionText(part, catalog, id)),
          without: { ...withoutKey(report, "where"), ...(where ? { where } : {}) } as Report,
        };
      });
    case "filter":
      return [{ says: "the saved filter of what is counted", without }];
    case "measure":
      return [{ says: says(measureText(place.measure, catalog, id)), without }];
    case "group":
      return [{ says: says(groupText(place.group, catalog, id)), without }];
    case "field":
      return [{ says: says(fieldText(catalog, id, place.field)), without }];
    case "thing":
      return [];
  }
}
