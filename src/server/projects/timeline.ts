import type { ShownTimeline, TimelinePart } from "@/contract/projects";
import type { ToldRow } from "@/core/briefing/planned";
import type { Condition } from "@/core/filter";
import { addDays, localDay, parseInstant, type Day } from "@/core/time";
import { firstDues, holidaysIn, type EntityManager } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { todayOf } from "./records";
import { mayLead } from "./room";
import { tell } from "./tell";

/** As many bars are drawn at once. */
const MOST_BARS = 500;
/** How far days off are told around today. */
const YEAR = 366;

/** Projects and their parts in time: those that the viewer sees of the asked ones. */
export async function showTimeline(
  em: EntityManager,
  desk: Desk,
  {
    projects: asked,
    stood = null,
  }: { projects: readonly number[]; stood?: Day | null | undefined },
): Promise<ShownTimeline> {
  const { view, viewer } = desk;
  const { zone, workingDays } = view.calendar;
  const known = asked.flatMap((id) => view.catalog.names.find("project", id) ?? []);
  const today = todayOf(desk);
  const holidays = await holidaysIn(em, addDays(today, -YEAR), addDays(today, 2 * YEAR));
  const common = {
    holidays: [...holidays].map(([day, name]) => ({ day, name })),
    off: [1, 2, 3, 4, 5, 6, 7].filter((day) => !workingDays.includes(day)),
  };
  if (known.length === 0) return { projects: [], holds: [], more: 0, ...common };
  const among: Condition = {
    kind: "test",
    field: ["project"],
    operator: "isAnyOf",
    values: known.map(({ id }) => ({ kind: "thing", thing: "project", id })),
  };
  const told = (says: string) => tell(em, view, says, stood, { most: MOST_BARS, where: among });
  const plans = await told(
    "list projects showing project, starts, ends, started, finished, actual percent sorted by starts",
  );
  const milestones = await told(
    "list milestones showing project, name, baseline, due, reached sorted by due",
  );
  const items = await told(
    "list items where due is not empty showing key, title, project, started, finished, due sorted by due",
  );
  const first = await firstDues(
    em,
    items.rows.map((row) => row.id),
  );
  const dayOf = (instant: string | null | undefined): Day | null => {
    const read = instant ? parseInstant(instant) : null;
    return read === null ? null : localDay(read, zone);
  };
  const itemPart = (row: ToldRow): TimelinePart => {
    const due = dayOf(row.value("due"));
    return {
      kind: "item",
      id: row.key ?? "",
      title: row.words("title") ?? "",
      from: dayOf(row.value("started")),
      due,
      kept: row.value("due"),
      plan: dayOf(first.get(row.id)) ?? due,
      done: dayOf(row.value("finished")),
      mayMove: !viewer.isClient && stood === null && row.value("finished") === null,
    };
  };
  const milestonePart = (row: ToldRow, project: number): TimelinePart => ({
    kind: "milestone",
    id: String(row.id),
    title: row.words("name") ?? "",
    from: null,
    due: row.day("due"),
    kept: row.value("due"),
    plan: row.day("baseline"),
    done: row.day("reached"),
    mayMove: mayLead(viewer, project) && stood === null && row.value("reached") === null,
  });
  return {
    ...common,
    holds: items.holds,
    more: Math.max(0, items.records - items.rows.length),
    projects: plans.rows.map((row) => {
      const id = row.id;
      const isOwn = (one: ToldRow) => Number(one.value("project")) === id;
      return {
        id,
        name: row.words("project") ?? "",
        starts: row.day("starts"),
        ends: row.day("ends"),
        started: row.day("started"),
        finished: row.day("finished"),
        percent: row.words("actual percent"),
        mayMove:
          mayLead(viewer, id) &&
          stood === null &&
          row.value("ends") !== null &&
          row.value("finished") === null,
        parts: [
          ...milestones.rows.filter(isOwn).map((one) => milestonePart(one, id)),
          ...items.rows.filter(isOwn).map(itemPart),
        ].sort((a, b) => (a.due ?? "9").localeCompare(b.due ?? "9")),
      };
    }),
  };
}
