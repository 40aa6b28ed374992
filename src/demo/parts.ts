import { addDays, endOfDay, instantText, startOfDay, type Day, type Instant } from "@/core/time";
import { ZONE } from "./cast";
import { HOUR, Life } from "./life";

/** A planned part of a project: days from today to its beginning and to when it was first to be due, and by how many it slipped. */
interface Part {
  /** Its number among these. */
  readonly place: number;
  readonly project: string;
  readonly title: string;
  readonly who: string;
  readonly from: number;
  readonly due: number;
  readonly slips?: number;
  readonly done?: true;
  /** What cannot begin before it is done. */
  readonly holdsUp?: number;
}

const HERON = { project: "Heron refit", who: "cal" };
const CURLEW = { project: "Curlew refit", who: "sunniva" };
const QUAY = { project: "New quay at Oxney", who: "cal" };

const PARTS: readonly Part[] = [
  { ...HERON, place: 1, title: "Wheelhouse glazed", from: -62, due: -24, slips: 5, done: true },
  { ...HERON, place: 2, title: "Lagging and fuel lines", from: -34, due: 8, slips: 6 },
  {
    ...HERON,
    place: 3,
    title: "Wiring loom",
    from: -18,
    due: 9,
    slips: 9,
    holdsUp: 4,
  },
  { ...HERON, place: 4, title: "Alarms and lights", from: 3, due: 22, holdsUp: 5 },
  { ...HERON, place: 5, title: "Paint and hand over", from: 10, due: 30 },
  { ...CURLEW, place: 6, title: "Hull cleaned", from: -50, due: -20, done: true },
  { ...CURLEW, place: 7, title: "Shaft and seals", from: -20, due: 25, holdsUp: 8 },
  { ...CURLEW, place: 8, title: "Galley and seats", from: 14, due: 60 },
  { ...QUAY, place: 9, title: "Sheet piles", from: -40, due: -2, slips: 31, holdsUp: 10 },
  { ...QUAY, place: 10, title: "Deck and fenders", from: 20, due: 75 },
];

const noonOf = (day: Day): Instant => startOfDay(day, ZONE) + 10 * HOUR;
const dueAt = (day: Day): string => instantText(endOfDay(day, ZONE) - 1_000_000);

/**
 * The planned parts of the refits and the quay: when each is due, what slipped, and what holds up what.
 * @param last the last number that the engineering office has given
 */
export function plannedParts(
  today: Day,
  end: Instant,
  last: number,
): { readonly lives: readonly Life[]; readonly links: readonly string[][] } {
  const keyOf = (place: number) => `E${last + place}`;
  return {
    lives: PARTS.map((part) => lifeOf(part, keyOf(part.place), today, end)),
    links: PARTS.flatMap(({ place, holdsUp }) =>
      holdsUp ? [[keyOf(place), "holds up", keyOf(holdsUp)]] : [],
    ),
  };
}

function lifeOf(part: Part, key: string, today: Day, end: Instant): Life {
  const { project, title, who, from, due, slips = 0, done } = part;
  const begun = addDays(today, Math.min(from, -3) - 6);
  const life = new Life(
    {
      key,
      kind: "task",
      status: "Noted",
      priority: "P2",
      team: "Engineering office",
      project,
      title,
      assignee: who,
      raised_by: "cal",
      category: "works",
      due_at: dueAt(addDays(today, due)),
    },
    noonOf(begun),
    end,
  );
  const at = (day: Day) => life.wait(noonOf(day) - life.now);
  at(addDays(begun, 1)).move("status", "Ready", who);
  if (from < 0) at(addDays(today, from)).move("status", "Building", who);
  if (slips) {
    const told = addDays(today, Math.min(-2, due - 4));
    if (noonOf(told) > life.now) at(told);
    life.move("due_at", dueAt(addDays(today, due + slips)), who);
  }
  if (done) at(addDays(today, due + slips)).move("status", "Shipped", who);
  return life;
}
