import type { Catalog } from "../catalog";
import { piecesText, type Piece } from "../sentence";
import { kindOf, type Report } from "./registry";

/** The sentence piece by piece. */
export function sentencePieces(report: Report, catalog: Catalog): Piece[] {
  const kind = kindOf(report);
  return [
    ...kind.opening(report, catalog),
    ...kind.clauses(report).flatMap((clause) => clause.print?.(report, catalog) ?? []),
  ];
}

/** The sentence in its one wording: parsing it again gives the same report. */
export const printReport = (report: Report, catalog: Catalog): string =>
  piecesText(sentencePieces(report, catalog));
