import { isDrawable, type Report, type Shown } from "@/core/kinds";

/** What the foot of a tile says of its figure: what is cut short, or why. */
export function footOf(shown: Shown, report: Report): string {
  if (!isDrawable(shown)) {
    const { count, rows } = shown.records;
    return count > rows.length ? `${rows.length} of ${count}` : `${count} in all`;
  }
  const running = shown.figure?.rows.find((row) => row.soFar);
  if (running) return `${running.label} is not over`;
  if (shown.kind !== "count" || report.kind !== "count") return "";
  if (shown.figure.aside || !report.by.some((group) => group.top)) return "";
  const drawn = shown.figure.rows.filter((row) => /^[vf]/.test(row.path[row.path.length - 1]));
  const isLeftOut = report.by.some((group) => group.withoutRest);
  return `${drawn.length} shown, the rest ${isLeftOut ? "left out" : "as one"}`;
}
