import type { Report } from "./registry";
import type { Catalog } from "../catalog";
import type { Dress } from "../definition";
import type { Area } from "../sentence";
import { sentencePieces } from "./printReport";

/** One thing in which two versions differ, in words; null where one has nothing there. */
export interface Difference {
  readonly about: string;
  readonly was: string | null;
  readonly now: string | null;
}

const ABOUT: Readonly<Record<Area, string>> = {
  measure: "what is measured",
  subject: "what is counted",
  where: "conditions",
  by: "groups",
  split: "split",
  period: "period",
  compared: "compared with",
  runningTotal: "running total",
  stood: "as it stood",
  shape: "picture",
  groupedBy: "groups",
  showing: "columns",
  sorts: "order",
  which: "what moves",
  grain: "stretch",
  beside: "beside it",
  ends: "from and to",
  burns: "what burns down",
  unit: "unit",
  team: "team",
  last: "how many sprints",
  curve: "what grows",
};

/** In which clauses two reports differ, in the order of the sentence. */
export function reportDifferences(before: Report, after: Report, catalog: Catalog): Difference[] {
  const clauses = (report: Report) => {
    const found = new Map<string, string[]>([["kind of report", [report.kind]]]);
    for (const piece of sentencePieces(report, catalog))
      if (piece.part)
        found.set(ABOUT[piece.part.area], [
          ...(found.get(ABOUT[piece.part.area]) ?? []),
          piece.text,
        ]);
    return found;
  };
  const [was, now] = [clauses(before), clauses(after)];
  const told = (texts: readonly string[] | undefined) => texts?.join(", ") ?? null;
  return [...new Set([...was.keys(), ...now.keys()])].flatMap((about) =>
    told(was.get(about)) === told(now.get(about))
      ? []
      : [{ about, was: told(was.get(about)), now: told(now.get(about)) }],
  );
}

/** In which parts of their dress two versions differ; what is long is only named. */
export function dressDifferences(before: Dress, after: Dress): Difference[] {
  const words = (value: unknown): string | null => {
    if (value === undefined || (Array.isArray(value) && value.length === 0)) return null;
    if (typeof value === "string" || typeof value === "number") return String(value);
    if (typeof value === "boolean") return value ? "on" : "off";
    const entries = Array.isArray(value) ? value.length : Object.keys(value as object).length;
    return entries ? `${entries} set` : null;
  };
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Dress)[];
  return keys.flatMap((key): Difference[] => {
    if (JSON.stringify(before[key]) === JSON.stringify(after[key])) return [];
    return [
      {
        about: `dress: ${key.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)}`,
        was: words(before[key]),
        now: words(after[key]),
      },
    ];
  });
}
