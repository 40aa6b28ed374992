import type { Cell } from "../../answer";
import { instantText } from "../../time";
import type { BodyOptions } from "../definePlanned";
import { toldBucket, toldCell, toldGroup, toldNumber } from "../numbers";
import type { AnswerRow, CountAnswer } from "./countAnswer";
import type { CountReport } from "./definition";
import type { DotsAnswer } from "./dotsAnswer";
import { percentagesOf } from "./percentages";

const measured = (cells: readonly Cell[]) => ({
  ...toldCell(cells[0]),
  ...(cells.length > 1 ? { cells: cells.map(toldCell) } : {}),
});

/** A count: its columns, rows, subtotals and totals. */
export function countBody(
  answer: CountAnswer,
  report: CountReport,
  percent: BodyOptions["percent"],
): object {
  const shares = percent && percentagesOf(answer, percent.base, percent.decimals);
  const share = (value: string | null | undefined) =>
    shares && value !== undefined && value !== null ? { percent: value } : {};
  const rowBody = (row: AnswerRow, index: number) => ({
    group: row.path.map(toldGroup),
    ...measured(row.cells),
    ...share(shares?.rows[index]),
    ...(row.running ? { running: toldNumber(row.running[0]) } : {}),
    ...(row.before === undefined ? {} : { before: row.before && measured(row.before) }),
    ...bucketBody(row),
    ...(report.split
      ? {
          parts: answer.split.map((head, i) => ({
            group: toldGroup(head),
            ...measured(row.parts[i]),
            ...share(shares?.cells[index]?.[i]),
          })),
        }
      : {}),
  });
  const groups = report.by.map((group, i) => ({
    role: "group",
    name: group.field.join("'s "),
    tier: i + 1,
    ...(group.grain ? { grain: group.grain } : {}),
  }));
  return {
    columns: [
      ...groups,
      ...(report.split ? [{ role: "split", name: report.split.field.join("'s ") }] : []),
      ...answer.measures.map((measure) => ({
        role: "measure",
        name: measure.words,
        unit: measure.unit,
      })),
    ],
    rows: answer.rows.map(rowBody),
    ...(answer.tiers.length
      ? {
          subtotals: answer.tiers.map((rows) =>
            rows.map((row) => ({ group: row.path.map(toldGroup), ...measured(row.cells) })),
          ),
        }
      : {}),
    ...(report.split
      ? {
          columnTotals: answer.split.map((head, i) => ({
            group: toldGroup(head),
            ...measured(answer.columnTotals[i]),
          })),
        }
      : {}),
    total: measured(answer.total),
    ...(answer.before ? { before: measured(answer.before) } : {}),
  };
}

function bucketBody(row: AnswerRow): object {
  const bucket = row.path.find((head) => head.bucket)?.bucket;
  return bucket ? { bucket: toldBucket(bucket) } : {};
}

/** Records one by one, of a report as dots. */
export const dotsBody = ({ of, dots }: DotsAnswer): object => ({
  dots: dots.map(({ key, at, value }) => ({ key, at: instantText(at), value: toldNumber(value) })),
  dotsOf: of,
});
