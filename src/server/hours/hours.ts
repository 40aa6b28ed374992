import type { Bookable, HoursDay, HoursLine, HoursWeek } from "@/contract/hours";
import { fine, refused, type Result } from "@/core/base";
import type { ListReport } from "@/core/kinds";
import { planRecords } from "@/core/kinds/planned";
import { addDays, longDayText, mondayOf, parseInstant, type Day } from "@/core/time";
import {
  bookMinutes,
  entriesOf,
  finishedProjects,
  holidaysIn,
  runPlan,
  type EntityManager,
  type EntryRow,
} from "@/data";
import type { Clock } from "../clock";
import { Refused } from "../refused";
import { todayOf } from "../projects/records";
import { tell } from "../projects/tell";
import type { Desk } from "../viewer/viewpoint";

/** A person's own week: what they booked, what they could, and what they can book on. */

const DAYS = 7;
const DAY_MINUTES = 24 * 60;

const working = ({ viewer }: Desk): void => {
  if (viewer.isClient)
    throw new Refused([{ code: "hours.right", message: "Clients book no hours." }], 403);
};

export async function weekOfHours(em: EntityManager, desk: Desk, from: Day): Promise<HoursWeek> {
  working(desk);
  const monday = mondayOf(from);
  const sunday = addDays(monday, DAYS - 1);
  const entries = await entriesOf(em, desk.viewer.person, monday, sunday);
  return {
    from: monday,
    today: todayOf(desk),
    days: await daysOf(em, desk, monday, sunday),
    lines: linesOf(entries, await seenItems(em, desk, entries), desk, monday),
  };
}

async function daysOf(
  em: EntityManager,
  desk: Desk,
  monday: Day,
  sunday: Day,
): Promise<HoursDay[]> {
  const says = `list person days where person is me and date during ${monday} to ${sunday} showing date, capacity, absence`;
  const told = await tell(em, desk.view, says);
  const holidays = await holidaysIn(em, monday, sunday);
  const by = new Map(told.rows.map((row) => [row.day("date"), row]));
  return Array.from({ length: DAYS }, (_, i) => {
    const day = addDays(monday, i);
    const row = by.get(day);
    return {
      day,
      capacity: row?.number("capacity")?.toNumber() ?? 0,
      absence: row?.number("absence")?.toNumber() ?? 0,
      holiday: holidays.get(day) ?? null,
    };
  });
}

interface Seen {
  readonly title: string;
  readonly project: number | null;
}

/** The items that some entries are of, as far as the viewer may see them. */
async function seenItems(
  em: EntityManager,
  desk: Desk,
  entries: readonly EntryRow[],
): Promise<ReadonlyMap<string, Seen>> {
  const keys = [...new Set(entries.flatMap(({ key }) => key ?? []))];
  return new Map((await itemsNamed(em, desk, keys)).map(({ key, ...seen }) => [key, seen]));
}

async function itemsNamed(
  em: EntityManager,
  desk: Desk,
  keys: readonly string[],
): Promise<readonly (Seen & { readonly key: string; readonly id: number })[]> {
  if (keys.length === 0) return [];
  const where: ListReport["where"] = {
    kind: "test",
    field: ["key"],
    operator: "isAnyOf",
    values: keys.map((text) => ({ kind: "text", text })),
  };
  return itemsWhere(em, desk, where, keys.length);
}

async function itemsWhere(
  em: EntityManager,
  desk: Desk,
  where: ListReport["where"],
  limit: number,
): Promise<readonly (Seen & { readonly key: string; readonly id: number })[]> {
  const list: ListReport = {
    kind: "list",
    subject: { id: "items" },
    showing: [["title"], ["project"]],
    sorts: [],
    ...(where ? { where } : {}),
  };
  const page = { showing: list.showing, sorts: [], offset: 0, limit, uncounted: true as const };
  const found = await runPlan(em, planRecords(list, page, desk.view));
  return found.rows.map(({ id, key, values }) => ({
    id,
    key: key!,
    title: String(values[0] ?? ""),
    project: values[1] === null ? null : Number(values[1]),
  }));
}

/** Lines of the week: one for each thing, billable apart from not; by project and key. */
function linesOf(
  entries: readonly EntryRow[],
  seen: ReadonlyMap<string, Seen>,
  { view }: Desk,
  monday: Day,
): HoursLine[] {
  const groups = new Map<string, EntryRow[]>();
  for (const entry of entries) {
    const id = JSON.stringify([entry.key, entry.project, entry.billable]);
    groups.set(id, [...(groups.get(id) ?? []), entry]);
  }
  const named = (id: number | null) => {
    const project = id === null ? undefined : view.catalog.names.find("project", id);
    return project ? { id: project.id, name: project.label } : null;
  };
  return [...groups.values()]
    .map((own): HoursLine => {
      const [{ key, project, billable }] = own;
      const item = key === null ? undefined : seen.get(key);
      const on = Array.from({ length: DAYS }, (_, i) =>
        own.filter((entry) => entry.day === addDays(monday, i)),
      );
      return {
        item: key === null ? null : { key, title: item?.title ?? "not yours to see any more" },
        project: named(project ?? item?.project ?? null),
        billable,
        minutes: on.map((day) => Math.round(day.reduce((sum, entry) => sum + entry.minutes, 0))),
        entries: on.map((day) => day.length),
        corrected: on.map((day) => {
          const last = day.filter((entry) => entry.correctedAt).at(-1);
          return last
            ? `corrected by ${last.correctedBy} on ${longDayText(last.correctedAt!.slice(0, 10))}`
            : null;
        }),
      };
    })
    .sort((a, b) => nameOf(a).localeCompare(nameOf(b)));
}

const nameOf = ({ project, item, billable }: HoursLine): string =>
  `${project?.name ?? "\uffff"} ${item?.key ?? ""} ${billable ? 0 : 1}`;

const MOST_FOUND = 8;
const LEAST_LETTERS = 2;

/** Items by key or title, and projects by name. */
export async function findBookable(
  em: EntityManager,
  desk: Desk,
  words: string,
): Promise<Bookable[]> {
  working(desk);
  const asked = words.trim();
  if (asked.length < LEAST_LETTERS) return [];
  const text = [{ kind: "text" as const, text: asked }];
  const test = (field: string, operator: "is" | "contains") => ({
    kind: "test" as const,
    field: [field],
    operator,
    values: text,
  });
  const exact = await itemsWhere(em, desk, test("key", "is"), 1);
  const items = await itemsWhere(em, desk, test("title", "contains"), MOST_FOUND);
  const { names } = desk.view.catalog;
  const wanted = asked.toLowerCase();
  const projects = names
    .list("project")
    .filter(({ label }) => label.toLowerCase().includes(wanted))
    .slice(0, MOST_FOUND);
  return [
    ...[...exact, ...items].map(({ key, title, project }): Bookable => {
      const found = project === null ? undefined : names.find("project", project);
      return { item: { key, title }, project: found ? { id: found.id, name: found.label } : null };
    }),
    ...projects.map(({ id, label }): Bookable => ({ item: null, project: { id, name: label } })),
  ].slice(0, MOST_FOUND + 2);
}

export interface HoursToBook {
  readonly on: { readonly item?: string | undefined; readonly project?: number | undefined };
  readonly day: Day;
  readonly billable: boolean;
  readonly minutes: number;
  readonly was: number;
  readonly isMeant: boolean;
}

/** Books hours of one's own. What looks like a slip is asked back first: nothing is kept then. */
export async function bookHours(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  { on, day, billable, minutes, was, isMeant }: HoursToBook,
): Promise<Result<{ asks: string | null }>> {
  working(desk);
  if (parseInstant(`${day}T00:00:00Z`) === null)
    return refused({ code: "hours.day", message: `"${day}" is no day.`, path: "day" });
  const item = on.item === undefined ? null : (await itemsNamed(em, desk, [on.item]))[0];
  if (item === undefined)
    return refused({ code: "hours.item", message: `There is no item ${on.item}.`, path: "on" });
  const own = item === null ? (on.project ?? null) : null;
  if (own !== null && !desk.view.catalog.names.find("project", own))
    return refused({ code: "hours.project", message: "There is no such project.", path: "on" });
  const asks =
    isMeant || minutes <= was
      ? null
      : await slip(em, desk, own ?? item?.project ?? null, day, minutes - was);
  if (asks) return fine({ asks });
  const { person } = desk.viewer;
  const booked = await bookMinutes(
    em,
    { person, item: item?.id ?? null, project: own, day, billable, minutes, was },
    person,
    clock.now(),
  );
  return booked
    ? fine({ asks: null })
    : refused({
        code: "hours.version",
        message: "Something else stands there by now: look at it again before you change it.",
      });
}

/** What makes some more minutes look like a slip; null where nothing does. */
async function slip(
  em: EntityManager,
  desk: Desk,
  project: number | null,
  day: Day,
  more: number,
): Promise<string | null> {
  const reasons: string[] = [];
  if (day > todayOf(desk)) reasons.push(`${longDayText(day)} is still to come`);
  if (project !== null && (await finishedProjects(em, [project], day)).length)
    reasons.push(
      `${desk.view.catalog.names.find("project", project)?.label ?? "its project"} was finished by then`,
    );
  const entries = await entriesOf(em, desk.viewer.person, day, day);
  const total = entries.reduce((sum, entry) => sum + entry.minutes, 0) + more;
  if (total > DAY_MINUTES) reasons.push("the day would have more than 24 hours");
  if (reasons.length === 0) return null;
  const [first, ...rest] = reasons;
  return `${[first.charAt(0).toUpperCase() + first.slice(1), ...rest].join(", and ")}.`;
}
