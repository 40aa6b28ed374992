import { COST_VERDICTS, SCHEDULE_VERDICTS } from "@/core/catalog";
import type { ShownRecords } from "@/core/kinds";

/** A project in the portfolio: what its cells say, by their field. */
export interface PortfolioRow {
  readonly id: number;
  readonly name: string;
  readonly cell: (field: string) => string | null;
}

/** The records of a list of projects, by what their columns are called. */
export function portfolioRows({ columns, rows }: ShownRecords): readonly PortfolioRow[] {
  const places = new Map(columns.map((column, i) => [column.field.join("/"), i]));
  return rows.map((row) => ({
    id: row.id,
    name: row.cells[places.get("project") ?? 0] ?? "",
    cell: (field) => row.cells[places.get(field) ?? -1] ?? null,
  }));
}

const rankOf = (words: readonly string[], word: string | null): number =>
  word === null ? -1 : words.indexOf(word);

/** How much a project needs a hand: late before at risk, over budget before tight; what is finished last. */
export function needsHand(row: PortfolioRow): number {
  const schedule = rankOf(SCHEDULE_VERDICTS, row.cell("schedule verdict"));
  const cost = rankOf(COST_VERDICTS, row.cell("cost verdict"));
  return schedule === 0 ? -1 : Math.max(schedule, cost + 1) * 10 + schedule + cost;
}

/** "Of 9 projects 5 are on time, 3 at risk and 1 late; 2 cost more than their budget." */
export function portfolioWords(rows: readonly PortfolioRow[]): string {
  const count = (field: string, word: string) =>
    rows.filter((row) => row.cell(field) === word).length;
  const told = SCHEDULE_VERDICTS.filter((word) => word !== "finished").flatMap((word) => {
    const many = count("schedule verdict", word);
    return many ? [[many, word === "no news" ? "without news" : word] as const] : [];
  });
  const [first, ...others] = told;
  const over = count("cost verdict", "over budget");
  const all = rows.length === 1 ? "Of 1 project" : `Of ${rows.length} projects`;
  const clauses = first
    ? [
        `${first[0]} ${first[0] === 1 ? "is" : "are"} ${first[1]}`,
        ...others.map(([many, word]) => `${many} ${word}`),
      ]
    : ["none has dates or progress yet"];
  const list =
    clauses.length > 1 ? `${clauses.slice(0, -1).join(", ")} and ${clauses.at(-1)}` : clauses[0];
  const cost = over ? `; ${over} ${over === 1 ? "costs" : "cost"} more than budgeted` : "";
  return `${all}, ${list}${cost}.`;
}

/** What a project lacks for its place in the picture; null where it has all. */
export function lacking(row: PortfolioRow): string | null {
  const lacks = [
    ...(row.cell("budget") === null ? ["a budget"] : []),
    ...(row.cell("planned percent") === null ? ["planned progress"] : []),
    ...(row.cell("actual percent") === null ? ["progress"] : []),
  ];
  if (lacks.length === 0) return null;
  return lacks.length > 1 ? `${lacks.slice(0, -1).join(", ")} and ${lacks.at(-1)}` : lacks[0];
}
