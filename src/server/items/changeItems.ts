import type { ItemChange, ItemsChanged } from "@/contract/items";
import { planRecords } from "@/core/kinds/planned";
import { type Problem, refused, type Result, fine } from "@/core/base";
import { isTracked, type TrackedField } from "@/core/history";
import { endOfDay, instantText, parseDay, parseInstant, type Instant } from "@/core/time";
import { changeRecords, runPlan, type EntityManager, type ItemRecord, type KeptMove } from "@/data";

import type { Clock } from "../clock";
import type { Desk } from "../viewer/viewpoint";

/** Fields that can be changed from a list, and what their values are. */
const CHANGEABLE = {
  status: "status",
  priority: "priority",
  assignee: "person",
  team: "team",
  due: null,
} as const satisfies Partial<Record<TrackedField, string | null>>;
type Changeable = keyof typeof CHANGEABLE;
const isChangeable = (field: string): field is Changeable =>
  isTracked(field) && field in CHANGEABLE;
export const MOST_CHANGED = 500;

/**
 * Changes tracked fields of items, each by a move: one transaction, in step with items and spans. What cannot be changed is
 * left out with the reason, and the rest goes through. The moves that were made come back, so that they can be undone.
 * @param expected of a change: the value its viewer saw; another one by now is left alone
 */
export async function changeItems(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  changes: readonly ItemChange[],
): Promise<Result<ItemsChanged>> {
  if (desk.viewer.isClient)
    return refused({ code: "item.right", message: "You may read these items, not change them." });
  if (changes.length > MOST_CHANGED)
    return refused({ code: "item.many", message: `At most ${MOST_CHANGED} changes at once.` });
  const wrong = changes.map((change) => problemOf(change, desk)).find(Boolean);
  if (wrong) return refused(wrong);
  const ids = await visibleIds(em, desk, [...new Set(changes.map((change) => change.key))]);
  return changeRecords(em, [...ids.values()], (records) =>
    movedRecords(records, ids, changes, desk, clock.now()),
  );
}

/** The records with the moves that the changes make, what was made, and what was left with the reason. */
function movedRecords(
  known: ReadonlyMap<number, ItemRecord>,
  ids: ReadonlyMap<string, number>,
  changes: readonly ItemChange[],
  desk: Desk,
  now: Instant,
) {
  const records = new Map(known);
  const made: ItemsChanged["changed"][number][] = [];
  const left: ItemsChanged["left"][number][] = [];
  const touched = new Set<number>();
  let latest = now;
  for (const change of changes) {
    const record = records.get(ids.get(change.key.toUpperCase()) ?? -1);
    if (!record) {
      left.push({ key: change.key, why: "there is no such item" });
      continue;
    }
    const field = change.field as Changeable;
    const to = keptValue(change, desk);
    const from = record.now[field];
    const why = whyNot(record, field, from, to, change, desk);
    if (why !== null) {
      if (why) left.push({ key: change.key, why });
      continue;
    }
    const last = record.moves[record.moves.length - 1]?.at ?? record.createdAt;
    const at = Math.max(now, last);
    latest = Math.max(latest, at);
    const move: KeptMove = { at, field, from, to, by: desk.viewer.person };
    records.set(record.id, {
      ...record,
      now: { ...record.now, [field]: to },
      moves: [...record.moves, move],
    });
    touched.add(record.id);
    made.push({ key: change.key, field, from, to });
  }
  return {
    changed: [...touched].map((id) => records.get(id)!),
    latest,
    result: fine({ changed: made, left }),
  };
}

function problemOf({ field, to }: ItemChange, desk: Desk): Problem | null {
  if (!isChangeable(field))
    return { code: "item.field", message: `${field} cannot be changed here.`, path: field };
  const type = CHANGEABLE[field];
  if (to === null)
    return field === "status"
      ? { code: "item.status", message: "An item always has a status.", path: field }
      : null;
  if (type === null)
    return parseDay(to) === null && parseInstant(to) === null
      ? { code: "item.value", message: `"${to}" is not a date.`, path: field }
      : null;
  return desk.view.catalog.names.find(type, Number(to))
    ? null
    : { code: "item.value", message: `There is no such ${type}.`, path: field };
}

/** Why an item is left as it is; "" where nothing would change; null where it can be changed. */
function whyNot(
  record: ItemRecord,
  field: Changeable,
  from: string | null,
  to: string | null,
  { expected }: ItemChange,
  { view }: Desk,
): string | null {
  if (record.deletedAt !== null) return "it is deleted";
  if (
    expected !== undefined &&
    expected !== from &&
    !(
      field === "due" &&
      expected !== null &&
      from !== null &&
      parseInstant(expected) === parseInstant(from)
    )
  )
    return `somebody changed its ${field} meanwhile`;
  if (from === to) return "";
  if (field !== "status") return null;
  const workflow = (id: string | null) => view.catalog.names.find("status", Number(id))?.workflow;
  return from !== null && workflow(from) !== workflow(to)
    ? "that status is of another workflow"
    : null;
}

/** A bare date that ends something is the end of that local day. */
function keptValue({ field, to }: ItemChange, { view }: Desk): string | null {
  if (field !== "due" || to === null) return to;
  return parseDay(to)
    ? instantText(endOfDay(to, view.calendar.zone) - 1)
    : instantText(parseInstant(to)!);
}

async function visibleIds(
  em: EntityManager,
  desk: Desk,
  keys: readonly string[],
): Promise<Map<string, number>> {
  const report = {
    kind: "list" as const,
    subject: { id: "items" as const },
    where: {
      kind: "test" as const,
      field: ["key"],
      operator: "isAnyOf" as const,
      values: keys.map((text) => ({ kind: "text" as const, text })),
    },
    showing: [],
    sorts: [],
  };
  const found = await runPlan(
    em,
    planRecords(
      report,
      { showing: [], sorts: [], offset: 0, limit: MOST_CHANGED * 2, uncounted: true },
      desk.view,
    ),
  );
  return new Map(found.rows.map((row) => [row.key!.toUpperCase(), row.id]));
}
