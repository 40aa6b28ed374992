import type { ReportLine } from "@/contract/library";

/** How the reports of a shelf are put in order. */
export const ORDERS = [
  ["seen", "seen most lately"],
  ["changed", "changed most lately"],
  ["popular", "opened most in 90 days"],
  ["unused", "longest unopened"],
  ["name", "by name"],
] as const;
export type Order = (typeof ORDERS)[number][0];

const byName = (a: ReportLine, b: ReportLine) =>
  a.name.localeCompare(b.name, "en", { numeric: true });
const latest = (a: string | null, b: string | null) => (b ?? "").localeCompare(a ?? "");
const orders: Readonly<Record<Order, (a: ReportLine, b: ReportLine) => number>> = {
  seen: (a, b) => latest(a.mineOpened, b.mineOpened) || latest(a.updatedAt, b.updatedAt),
  changed: (a, b) => latest(a.updatedAt, b.updatedAt),
  popular: (a, b) => b.opened - a.opened || byName(a, b),
  unused: (a, b) =>
    (a.lastOpened ?? "").localeCompare(b.lastOpened ?? "") ||
    a.updatedAt.localeCompare(b.updatedAt),
  name: byName,
};

/** What a report is found by. */
export const textsOf = (report: ReportLine): string[] => [
  report.name,
  report.purpose,
  report.category,
  report.owner,
  report.pieces.map((piece) => piece.text).join(" "),
  report.sought,
];

export interface Shelf {
  readonly title: string;
  readonly says: string;
  readonly reports: readonly ReportLine[];
}

/** The shelves of the library: one's own, those of one's teams, everyone's. Each report stands on one of them. */
export function shelvesOf(reports: readonly ReportLine[], order: Order): Shelf[] {
  const sorted = [...reports].sort(orders[order]);
  const says = ORDERS.find(([id]) => id === order)![1];
  const shelves: Shelf[] = [
    { title: "Yours", says, reports: sorted.filter((report) => report.mine) },
    {
      title: "Your teams’",
      says: "by somebody in your teams, or shared with them",
      reports: sorted.filter((report) => !report.mine && report.myTeams),
    },
    {
      title: "Everyone’s",
      says: "in this workspace",
      reports: sorted.filter((report) => !report.mine && !report.myTeams),
    },
  ];
  return shelves.filter((shelf) => shelf.reports.length > 0);
}
