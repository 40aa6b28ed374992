import type { BridgeReport } from "./bridge/definition";
import type { Report } from "./registry";

/**
 * The bridge that tells one by one what came into a count of items between two instants and what left it.
 * @param from @param to ISO texts
 * @returns null for what no bridge tells: other measures and subjects, and what is of a time of its own
 */
export function bridgeSince(report: Report, from: string, to: string): BridgeReport | null {
  if (report.kind !== "count" || report.subject.id !== "items") return null;
  const [first] = report.measures;
  const isCount = "measure" in first && first.measure === "count" && !first.where && !first.per;
  if (!isCount || report.period || report.stood || report.compared) return null;
  const { subject, where } = report;
  return {
    kind: "bridge",
    subject,
    ...(where ? { where } : {}),
    from,
    to,
    shape: "waterfall",
  };
}
