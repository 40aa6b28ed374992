import { lastOf, type ThingType } from "../catalog";
import type { ReportBase } from "../definition";
import type { Viewpoint } from "../relation";
import { instantText } from "../time";
import type { DecidingStep } from "./planDeciding";
import type { RecordRow, RecordsAnswer } from "./recordColumns";

/** Values as kept: things by their names, people by login, lists as lists. */
export function recordsBody(records: RecordsAnswer, report: ReportBase, view: Viewpoint): object {
  const { catalog } = view;
  const fields = records.showing.map((ids) => lastOf(catalog.findPath(report.subject.id, ids)!));
  const kept = (value: string, thing: ThingType | undefined) =>
    thing ? (catalog.names.find(thing, Number(value))?.name ?? null) : value;
  const values = (row: RecordRow) =>
    row.values.map((value, i) =>
      value === null
        ? null
        : typeof value === "string"
          ? kept(value, fields[i].thing)
          : value.map((one) => kept(one, fields[i].thing)),
    );
  return {
    columns: records.showing.map((ids) => ({ role: "field", name: ids.join("'s ") })),
    rows: records.rows.map((row) => ({
      key: row.key,
      values: values(row),
      ...(row.decided ? { decided: decidedBody(row.decided, view) } : {}),
    })),
    total: { value: records.count, records: records.different ?? records.count, empties: 0 },
  };
}

/** The step that brought a record into a part: things by their names, people by login. */
function decidedBody({ at, kind, moves }: DecidingStep, { catalog }: Viewpoint): object {
  const kept = (field: string, value: string | null) => {
    const thing = lastOf(catalog.findPath("items", [field])!).thing;
    return value !== null && thing
      ? (catalog.names.find(thing, Number(value))?.name ?? null)
      : value;
  };
  return {
    at: instantText(at),
    kind,
    moves: moves.map(({ field, from, to, by }) => ({
      field,
      from: kept(field, from),
      to: kept(field, to),
      by: by === null ? null : (catalog.names.find("person", by)?.name ?? null),
    })),
  };
}
