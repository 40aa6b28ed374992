import { Exact } from "../../base";
import type { Dress } from "../../definition";
import type { Cell } from "../../answer";
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
 * where a record counts in two of the parts that make a whole, nothing is forced.
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
  const rows = answer.rows.map((row) => partOf(row.cells[0]));
  const cells = answer.rows.map((row) => row.parts.map((part) => partOf(part[0])));
  const total = partOf(answer.total[0]);
  const all = base === "all" && answer.everything ? partOf(answer.everything[0]) : total;
  const share = (parts: readonly Part[], shown: Part, whole = shown): (string | null)[] => {
    const values = parts.map((part) => part.value);
    // Records in two of these parts make them more than the whole, however they are rounded.
    const repeats = parts.reduce((sum, part) => sum + part.records, 0) > shown.records;
    if (repeats) return roundedShares(values, whole.value, decimals) ?? values.map(() => null);
    const hidden = whole === shown ? [] : [minus(whole.value, shown.value)];
    return (
      largestRemainders([...values, ...hidden], decimals)?.slice(0, values.length) ??
      values.map(() => null)
    );
  };
  if (base === "own row")
    return { rows: none.rows, cells: cells.map((row, i) => share(row, rows[i])) };
  if (base === "own column") {
    const columns = answer.split.map((_, column) =>
      share(
        cells.map((row) => row[column]),
        partOf(answer.columnTotals[column]?.[0]),
      ),
    );
    return {
      rows: none.rows,
      cells: cells.map((row, i) => row.map((_, column) => columns[column][i])),
    };
  }
  const flat = share(cells.flat(), total, all);
  const width = answer.split.length;
  return {
    rows: share(rows, total, all),
    cells: cells.map((row, i) => row.map((_, column) => flat[i * width + column])),
  };
}

/** What a part comes to, and how many records are in it. */
interface Part {
  readonly value: string;
  readonly records: number;
}

const partOf = (cell: Cell | null | undefined): Part => ({
  value: cell?.value ?? "0",
  records: cell?.records ?? 0,
});

const minus = (a: string, b: string): string => new Exact(a).minus(b).toFixed();
