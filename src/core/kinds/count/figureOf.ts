import type { Head, MeasureHead } from "../../answer";
import type { Dress } from "../../definition";
import {
  changeWords,
  colorOf,
  colorsOf,
  keyOfPath,
  measuredWords,
  nameKey,
  ownColor,
  ruleOf,
  shareRanks,
  type Color,
  type Figure,
  type FigureRow,
  type Mark,
  type Series,
} from "../../figure";
import { poorFor, shapes, type ShapeId } from "../../shapes";
import { numberText } from "../../base";
import { MOST_DRAWN } from "./asDrawn";
import type { CountAnswer } from "./countAnswer";
import type { Percentages } from "./percentages";

const CUT_SHAPES: readonly ShapeId[] = [
  "bars",
  "columns",
  "stackedBars",
  "stackedColumns",
  "fullBars",
  "fullColumns",
  "donut",
  "pie",
  "pies",
  "columnsWithLine",
];

/** Shapes of which each group stands for itself: their rest can stand aside. */
const ASIDE_SHAPES: readonly ShapeId[] = [
  "bars",
  "columns",
  "stackedBars",
  "stackedColumns",
  "columnsWithLine",
];

interface Given {
  readonly path: readonly Head[];
  readonly cell: { readonly value: string | null } | undefined;
  readonly head: MeasureHead;
  readonly percent?: string | null;
  readonly color: Color;
  readonly label: string;
  readonly split?: Head;
  readonly measure?: number;
  readonly before?: { readonly value: string | null } | null;
}

const isNumber = (value: string | null): value is string =>
  value !== null && /^-?\d/.test(value) && !value.includes("T") && !/^\d{4}-\d\d-\d\d$/.test(value);

function markOf(
  { path, cell, head, percent = null, color, label, split, measure, before }: Given,
  dress: Dress,
): Mark {
  const value = cell?.value ?? null;
  const words = measuredWords(value, head, dress);
  return {
    path: path.map((one) => one.key),
    ...(split ? { split: split.key } : {}),
    ...(measure !== undefined && head.hasOwnRecords ? { measure } : {}),
    label,
    value: isNumber(value) ? Number(value) : null,
    words,
    percent,
    color,
    written: writtenAt(words, percent, dress),
    soFar: path.some((one) => one.bucket?.soFar),
    ...(path.some((one) => one.bucket?.partial) ? { isClipped: true as const } : {}),
    ...(before === undefined ? {} : { change: changeWords(value, before?.value ?? null, head) }),
  };
}

/**
 * Turns an answer into what is drawn, dressed by its builder.
 * @param inRest how many groups its rest stands for
 */
export function figureOf(
  answer: CountAnswer,
  percentages: Percentages,
  dress: Dress,
  shape: ShapeId | undefined,
  inRest = 0,
): Figure {
  const [first] = answer.measures;
  const named = (head: Head, place: number | "split") =>
    dress.names[nameKey(place, head.key)] ?? head.label;
  const measureName = (index: number) =>
    dress.names[nameKey("measure", String(index))] ?? answer.measures[index].words;
  const order = splitOrder(answer.split, dress);
  const split = order.map((i) => answer.split[i]);
  const several = split.length === 0 && answer.measures.length > 1;
  const splitColors = colorsOf(split).map(
    (color, i) => ownColor(dress, nameKey("split", split[i].key)) ?? color,
  );
  const series: Series[] = split.length
    ? split.map((head, i) => ({
        key: head.key,
        label: named(head, "split"),
        color: splitColors[i],
        total: measuredWords(answer.columnTotals[order[i]]?.[0]?.value ?? null, first, dress),
      }))
    : several
      ? answer.measures.map((measure, i) => ({
          key: `m${i}`,
          label: measureName(i),
          color: ownColor(dress, nameKey("measure", String(i))) ?? (`c${i + 1}` as Color),
          total: measuredWords(answer.total[i]?.value ?? null, measure, dress),
        }))
      : [];
  const isTime = answer.rows.some((row) => row.path.some((head) => head.bucket));
  const colors = rowColors(answer, dress, shape, isTime);
  const rows = answer.rows.map((row, index): FigureRow => {
    const label = row.path.map((head, tier) => named(head, tier)).join(" · ");
    const running = row.running?.[0];
    const of = (given: Partial<Given>) =>
      markOf(
        { path: row.path, cell: row.cells[0], head: first, color: colors[index], label, ...given },
        dress,
      );
    const whole = of({
      cell: running === undefined ? row.cells[0] : { value: running ?? null },
      percent: percentages.rows[index] ?? null,
      measure: 0,
      ...(row.before === undefined ? {} : { before: row.before?.[0] ?? null }),
    });
    const measures = row.cells.map((cell, i) =>
      of({
        cell,
        head: answer.measures[i],
        measure: i,
        color: series[i]?.color ?? colors[index],
        label: `${label}, ${measureName(i)}`,
      }),
    );
    const parts = split.length
      ? split.map((head, i) =>
          of({
            cell: row.parts[order[i]][0],
            percent: percentages.cells[index]?.[order[i]] ?? null,
            color: splitColors[i],
            label: `${label}, ${series[i].label}`,
            split: head,
            measure: 0,
          }),
        )
      : several
        ? measures
        : [];
    const then = row.before
      ? {
          then: {
            ...of({ cell: row.before[0], color: "ghost", measure: 0 }),
            before: true as const,
            label: `${label}, before`,
          },
        }
      : {};
    return { ...whole, parts, measures, ...then };
  });
  const sorted = ordered(rows, dress, isTime);
  const cut = cutShort(sorted, shape, isTime);
  const aside = asideOf(cut, dress, shape);
  const shown = aside ? cut.filter((row) => row !== aside) : cut;
  const all = (given: Partial<Given>) =>
    markOf(
      {
        path: [],
        cell: answer.total[0],
        head: first,
        color: dress.coloring === "one" ? (dress.oneColor as Color) : "c1",
        label: "all",
        ...given,
      },
      dress,
    );
  return {
    rows: shown,
    ...(aside ? { aside: { ...aside, label: asideLabel(aside, answer) } } : {}),
    series,
    isTime,
    unit: first?.unit ?? null,
    ...(first?.isRatio ? { isRatio: true as const } : {}),
    total: all({ measure: 0, ...(answer.before ? { before: answer.before[0] } : {}) }),
    measures: answer.measures.map((head, i) =>
      all({ cell: answer.total[i], head, measure: i, label: measureName(i) }),
    ),
    then: answer.before
      ? {
          ...all({
            cell: answer.before[0],
            measure: 0,
            ...(answer.compared ? { label: answer.compared } : {}),
          }),
          before: true,
        }
      : null,
    cut: inRest + sorted.length - cut.length,
    poor: shape
      ? poorFor(shapes[shape], {
          groups: shown.length,
          parts: series.length,
          isCompared: answer.before !== null,
        })
      : null,
  };
}

/** The rest of a top N that stands aside: by choice, or where it is larger than every group that is drawn. */
function asideOf(
  rows: readonly FigureRow[],
  dress: Dress,
  shape: ShapeId | undefined,
): FigureRow | null {
  const rest = rows.find((row) => row.path.length === 1 && row.path[0] === "r");
  if (!rest || dress.rest === "drawn" || !shape || !ASIDE_SHAPES.includes(shape)) return null;
  if (dress.rest === "aside") return rest;
  const largest = Math.max(...rows.flatMap((row) => (row === rest ? [] : [row.value ?? 0])));
  return rest.value !== null && rest.value > largest ? rest : null;
}

const asideLabel = (rest: FigureRow, { others }: CountAnswer): string =>
  others ? `${numberText(others)} ${others === 1 ? "other" : "others"}` : rest.label;

/** The places of the split's heads in display order. */
function splitOrder(split: readonly Head[], dress: Dress): number[] {
  const place = (i: number) => {
    const at = dress.splitOrder.indexOf(split[i].key);
    return at < 0 ? dress.splitOrder.length + i : at;
  };
  return split.map((_, i) => i).sort((a, b) => place(a) - place(b));
}

/** The colour of each row: its own, one for all, one for each, or that of the rule it falls under. */
function rowColors(
  answer: CountAnswer,
  dress: Dress,
  shape: ShapeId | undefined,
  isTime: boolean,
): Color[] {
  const lasts = answer.rows.map((row) => row.path[row.path.length - 1]);
  const isParts =
    shape === "pie" || shape === "donut" || shape === "bubbles" || shape === "scatter";
  const plain =
    dress.coloring === "one"
      ? lasts.map(() => dress.oneColor as Color)
      : isParts || dress.coloring === "each"
        ? colorsOf(lasts)
        : lasts.map((head): Color =>
            isTime
              ? "c1"
              : head?.ranked || head?.kind === "none" || head?.kind === "rest"
                ? colorOf(head)
                : "c1",
          );
  const ranks = shareRanks(answer.rows.map((row) => row.cells[0]?.value ?? null));
  return plain.map((color, i) => {
    const own = lasts[i] && ownColor(dress, nameKey(answer.rows[i].path.length - 1, lasts[i].key));
    const rule =
      dress.coloring === "rules"
        ? ruleOf(answer.rows[i].cells[0]?.value ?? null, dress.rules, ranks[i])
        : undefined;
    return own ?? (rule?.color as Color | undefined) ?? color;
  });
}

/** Whether a figure would have more bars than can be drawn. */
export const isTooLong = (groups: number, shape: ShapeId | undefined): boolean =>
  shape !== undefined && CUT_SHAPES.includes(shape) && groups > MOST_DRAWN;

const isLast = (row: FigureRow): boolean => ["n", "r"].includes(row.path[row.path.length - 1]);

/** Of groups that cannot be ranked together only the largest stay. */
function cutShort(
  rows: readonly FigureRow[],
  shape: ShapeId | undefined,
  isTime: boolean,
): readonly FigureRow[] {
  if (isTime || !isTooLong(rows.filter((row) => !isLast(row)).length, shape)) return rows;
  const largest = new Set(
    [...rows].sort((a, b) => (b.value ?? -Infinity) - (a.value ?? -Infinity)).slice(0, MOST_DRAWN),
  );
  return rows.filter((row) => largest.has(row));
}

function writtenAt(words: string, percent: string | null, dress: Dress): string {
  const share = percent === null ? "" : `${percent} %`;
  return {
    none: "",
    value: words,
    percent: share || words,
    both: share ? `${words} · ${share}` : words,
  }[dress.labels];
}

/** Time keeps its order; not set and the rest stay last unless placed by hand. */
function ordered(rows: readonly FigureRow[], dress: Dress, isTime: boolean): readonly FigureRow[] {
  if (isTime || dress.order === "natural") return rows;
  const value = (row: FigureRow) => row.value ?? Number.NEGATIVE_INFINITY;
  const place = (row: FigureRow) => {
    const at = dress.byHand.indexOf(keyOfPath(row.path));
    return at < 0 ? Number.MAX_SAFE_INTEGER : at;
  };
  const compare = {
    largest: (a: FigureRow, b: FigureRow) =>
      Number(isLast(a)) - Number(isLast(b)) || value(b) - value(a),
    smallest: (a: FigureRow, b: FigureRow) =>
      Number(isLast(a)) - Number(isLast(b)) || value(a) - value(b),
    name: (a: FigureRow, b: FigureRow) =>
      Number(isLast(a)) - Number(isLast(b)) ||
      a.label.localeCompare(b.label, "en", { numeric: true }),
    hand: (a: FigureRow, b: FigureRow) => place(a) - place(b),
  }[dress.order];
  return rows
    .map((row, index) => ({ row, index }))
    .sort((a, b) => compare(a.row, b.row) || a.index - b.index)
    .map(({ row }) => row);
}
