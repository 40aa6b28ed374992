import type { AnswerRow, CountAnswer } from "./countAnswer";
import type { Cell, Head } from "../../answer";
import type { Dress, Rule } from "../../definition";
import { changeWords, measuredWords, nameKey, ruleOf, shareRanks } from "../../figure";

/** A cell of a pivot: what it says, what opens it, and the rule that tones it. Nothing there is a dot. */
export interface PivotCell {
  readonly words: string;
  readonly value: string | null;
  readonly records: number;
  readonly rule?: Rule;
}

/** A row: its tier (0 for the outermost), its label, its cells in the order of the columns. A tier's own row is its subtotal. */
export interface PivotRow {
  readonly key: string;
  readonly path: readonly string[];
  readonly tier: number;
  readonly label: string;
  readonly isLeaf: boolean;
  readonly isClosed: boolean;
  /** How many rows of the next tier are in it, and how many toned cells below it. */
  readonly inside: number;
  readonly toned: number;
  readonly cells: readonly PivotCell[];
}

/** A column: a head of the split (null: in all) and a measure. */
export interface PivotColumn {
  readonly key: string | null;
  readonly label: string;
  readonly measure: number;
  readonly measureLabel: string;
  /** It is of what the report is compared with, or of the difference to it. */
  readonly compares?: "before" | "change";
}

export interface PivotTable {
  /** The groups that this table is for; empty for the only one. */
  readonly page: readonly { readonly key: string; readonly label: string }[];
  readonly rows: readonly PivotRow[];
  readonly total: readonly PivotCell[];
}

export interface Pivot {
  readonly columns: readonly PivotColumn[];
  readonly tables: readonly PivotTable[];
  readonly rules: readonly { readonly rule: Rule; readonly cells: number }[];
}

/** Shapes an answer with its tiers and split into tables with subtotals; closed tiers keep their own row only. */
export function pivotOf(answer: CountAnswer, dress: Dress): Pivot {
  const depth = answer.rows[0]?.path.length ?? 0;
  const pages = Math.min(dress.pages, Math.max(depth - 1, 0));
  const name = (head: Head, place: number | "split") =>
    dress.names[nameKey(place, head.key)] ?? head.label;
  const measures = answer.measures.map(
    (measure, i) => dress.names[nameKey("measure", String(i))] ?? measure.words,
  );
  const columns: PivotColumn[] = [
    ...answer.split.map((head) => ({ key: head.key as string | null, label: name(head, "split") })),
    { key: null, label: answer.split.length ? "all" : "" },
  ].flatMap(({ key, label }) =>
    measures.map((measureLabel, measure) => ({ key, label, measure, measureLabel })),
  );
  if (answer.before)
    columns.push(
      ...(["before", "change"] as const).map((compares) => ({
        key: null,
        label: compares === "before" ? (answer.compared ?? compares) : compares,
        measure: 0,
        measureLabel: compares === "before" ? (answer.compared ?? compares) : compares,
        compares,
      })),
    );
  const byTier: readonly (readonly AnswerRow[])[] = [...answer.tiers, answer.rows];
  const leaves = answer.rows.flatMap((row) => [
    ...row.parts.map((cells) => cells[0]?.value ?? null),
  ]);
  const ranks = shareRanks(leaves);
  const rankOf = new Map(leaves.map((value, i) => [value, ranks[i]] as const).reverse());
  const counts = new Map<Rule, number>();
  const cell = (given: Cell | undefined, measure: number, tones: boolean): PivotCell => {
    const value =
      given && (given.records > 0 || (given.value !== null && given.value !== "0"))
        ? given.value
        : null;
    const rule = tones ? ruleOf(value, dress.rules, rankOf.get(value) ?? 1, measure) : undefined;
    if (rule) counts.set(rule, (counts.get(rule) ?? 0) + 1);
    return {
      value,
      records: given?.records ?? 0,
      words:
        value === null
          ? measure === 0
            ? "·"
            : ""
          : measuredWords(value, answer.measures[measure], dress),
      ...(rule ? { rule } : {}),
    };
  };
  const comparedCells = (
    now: readonly Cell[],
    before: readonly Cell[] | null | undefined,
  ): PivotCell[] => {
    if (!answer.before) return [];
    const [head] = answer.measures;
    const then = before?.[0];
    const words = changeWords(now[0]?.value ?? null, then?.value ?? null, head);
    return [cell(then, 0, false), { value: words, records: 0, words }];
  };
  const cellsOf = (row: AnswerRow, tones: boolean): PivotCell[] => [
    ...[...row.parts, row.cells].flatMap((cells, column) =>
      cells.map((one, measure) =>
        cell(one, measure, tones && (column < row.parts.length || row.parts.length === 0)),
      ),
    ),
    ...comparedCells(row.cells, row.before),
  ];
  const childrenOf = (path: readonly Head[]): readonly AnswerRow[] =>
    sorted(
      (byTier[path.length] ?? []).filter((row) =>
        path.every((head, i) => row.path[i].key === head.key),
      ),
      answer,
      dress,
    );
  const rowsUnder = (path: readonly Head[]): PivotRow[] =>
    childrenOf(path).flatMap((row): PivotRow[] => {
      const key = row.path.map((head) => head.key).join("/");
      const isLeaf = row.path.length === depth;
      const isClosed = !isLeaf && dress.closed.includes(key);
      const below = isLeaf ? [] : rowsUnder(row.path);
      const own: PivotRow = {
        key,
        path: row.path.map((head) => head.key),
        tier: row.path.length - 1 - pages,
        label: name(row.path[row.path.length - 1], row.path.length - 1),
        isLeaf,
        isClosed,
        inside: isLeaf ? 0 : childrenOf(row.path).length,
        toned: below.reduce((sum, one) => sum + one.cells.filter((c) => c.rule).length, 0),
        cells: cellsOf(row, isLeaf),
      };
      return isClosed ? [own] : [own, ...below];
    });
  const total = [
    ...[...answer.columnTotals, answer.total].flatMap((cells) =>
      cells.map((one, measure) => cell(one, measure, false)),
    ),
    ...comparedCells(answer.total, answer.before),
  ];
  const tables: PivotTable[] =
    pages === 0
      ? [{ page: [], rows: rowsUnder([]), total }]
      : (byTier[pages - 1] ?? []).map((row) => ({
          page: row.path.map((head, i) => ({ key: head.key, label: name(head, i) })),
          rows: rowsUnder(row.path),
          total: cellsOf(row, false),
        }));
  return {
    columns,
    tables,
    rules: dress.rules.map((rule) => ({ rule, cells: counts.get(rule) ?? 0 })),
  };
}

/** Siblings by the column that the table is sorted by; natural order without one. */
function sorted(
  rows: readonly AnswerRow[],
  answer: CountAnswer,
  { pivotSort }: Dress,
): readonly AnswerRow[] {
  if (!pivotSort) return rows;
  const column =
    pivotSort.column === null
      ? -1
      : answer.split.findIndex((head) => head.key === pivotSort.column);
  const value = (row: AnswerRow) =>
    Number(
      (column < 0 ? row.cells : row.parts[column])?.[pivotSort.measure]?.value ??
        Number.NEGATIVE_INFINITY,
    );
  return [...rows].sort(
    (a, b) => (pivotSort.descending ? value(b) - value(a) : value(a) - value(b)) || 0,
  );
}
