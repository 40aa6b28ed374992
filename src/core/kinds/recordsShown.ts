import { lastOf, pathWords, typeOf, type Field } from "../catalog";
import type { ReportBase } from "../definition";
import { cellWords } from "../figure";
import type { Viewpoint } from "../relation";
import { clockText, localDay, longDayText } from "../time";
import type { DecidingStep } from "./planDeciding";
import type { RecordRow, RecordsAnswer } from "./recordColumns";
import type { ShownRecord, ShownRecords } from "./shown";

/** Records in words, for tables. */
export function recordsShown(
  { count, different, showing, rows }: RecordsAnswer,
  { subject }: Pick<ReportBase, "subject">,
  view: Viewpoint,
): ShownRecords {
  const paths = showing.map((ids) => view.catalog.findPath(subject.id, ids)!);
  const fields = paths.map(lastOf);
  return {
    count,
    ...(different === undefined ? {} : { different }),
    columns: paths.map((path, i) => ({
      field: showing[i],
      words: pathWords(path),
      align: !fields[i].many && typeOf(fields[i]).kept === "number" ? "right" : "left",
    })),
    rows: rows.map((row) => ({
      id: row.id,
      key: row.key,
      cells: cellsOf(row, fields, view),
      ...(row.decided ? { decided: decidedWords(row.decided, view) } : {}),
    })),
  };
}

/** The step that decided, in words; what the viewer may not know reads as not set. */
function decidedWords(
  { at, kind, moves }: DecidingStep,
  view: Viewpoint,
): NonNullable<ShownRecord["decided"]> {
  const { catalog, calendar } = view;
  const words = (field: string, value: string | null) =>
    (value === null ? null : cellWords(value, lastOf(catalog.findPath("items", [field])!), view)) ??
    "not set";
  const by = moves.find((move) => move.by !== null)?.by ?? null;
  return {
    what:
      kind === "moved"
        ? moves
            .map(
              (move) =>
                `${move.field}: ${words(move.field, move.from)} → ${words(move.field, move.to)}`,
            )
            .join(", ")
        : kind,
    when: `${longDayText(localDay(at, calendar.zone))}, ${clockText(at, calendar.zone)}`,
    by: by === null ? null : (catalog.names.find("person", by)?.label ?? null),
  };
}

const cellsOf = (row: RecordRow, fields: readonly Field[], view: Viewpoint): (string | null)[] =>
  row.values.map((value, i) =>
    value === null
      ? null
      : typeof value === "string"
        ? cellWords(value, fields[i], view)
        : value.length
          ? value
              .map((one) => cellWords(one, fields[i], view) ?? "")
              .filter(Boolean)
              .join(", ")
          : null,
  );
