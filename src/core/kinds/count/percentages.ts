import { Exact } from "../../base";
import type { Dress } from "../../definition";
import type { CountAnswer } from "./countAnswer";
import { largestRemainders, roundedShares } from "../../answer";

export type PercentBase = Dress["base"];

/** Percentages of the first measure: one for each row, and one for each cell of a split; null where there are none. */
export interface Percentages {
  readonly rows: readonly (string | null)[];
  readonly cells: readonly (readonly (string | null)[])[];
}

/**
 * Shares of an answer (calculations, section 5). Rows and cells are rounded each for themselves, so that each adds up;
 * where records count in several parts nothing is forced.
 */
export function percentagesOf(
  answer: CountAnswer,
  base: PercentBase,
  decimals: number,
): Percentages {
  const none = {
    rows: answer.rows.map(() => null),
    cells: answer.rows.map((row) => row.parts.map(() => null)),
  };
  if (!answer.measures[0]?.additive) return none;
  const value = (cell: { value: string | null } | undefined) => cell?.value ?? "0";
  const rows = answer.rows.map((row) => value(row.cells[0]));
  const cells = answer.rows.map((row) => row.parts.map((part) => value(part[0])));
  const total = value(answer.total[0]);
  const all = base === "all" && answer.everything ? value(answer.everything[0]) : total;
  const share = (values: readonly string[], whole: string, unshown: boolean): (string | null)[] => {
    if (answer.manyValued) return roundedShares(values, whole, decimals) ?? values.map(() => null);
    const hidden = unshown && answer.everything ? [minus(all, total)] : [];
    return (
      largestRemainders([...values, ...hidden], decimals)?.slice(0, values.length) ??
      values.map(() => null)
    );
  };
  if (base === "own row")
    return { rows: none.rows, cells: cells.map((row, i) => share(row, rows[i], false)) };
  if (base === "own column") {
    const columns = answer.split.map((_, column) =>
      share(
        cells.map((row) => row[column]),
        value(answer.columnTotals[column]?.[0]),
        false,
      ),
    );
    return {
      rows: none.rows,
      cells: cells.map((row, i) => row.map((_, column) => columns[column][i])),
    };
  }
  const flat = share(cells.flat(), all, base === "all");
  const width = answer.split.length;
  return {
    rows: share(rows, all, base === "all"),
    cells: cells.map((row, i) => row.map((_, column) => flat[i * width + column])),
  };
}

const minus = (a: string, b: string): string => new Exact(a).minus(b).toFixed();
