import type { ChosenFilters, ShownFilter } from "@/contract/dashboards";
import type { NarrowingText } from "@/contract/figures";
import type { SubjectId } from "@/core/catalog";
import type { Tile } from "@/core/definition";
import { dayText } from "@/core/time";

/** A part of one tile's figure that narrows the others. */
export interface Beam {
  readonly tile: string;
  /** What the tile is called, and the part of its figure. */
  readonly title: string;
  readonly label: string;
  /** Which part: its mark. */
  readonly mark: string;
  readonly subject: SubjectId;
  /** The condition of the part in words; null where it only says a day. */
  readonly says: string | null;
  /** The day as of which, for a point of a level. */
  readonly stood: string | null;
}

/** A filter that a viewer added for themselves. */
export interface OwnFilter {
  readonly id: string;
  readonly subject: SubjectId;
  readonly says: string;
}

/** All that narrows a dashboard beside what its filters begin with. */
export interface Narrowed {
  /** A condition in words for each filter that was changed; null is "any". */
  readonly chosen: ChosenFilters;
  readonly own: readonly OwnFilter[];
  readonly beams: readonly Beam[];
}

export const NOT_NARROWED: Narrowed = { chosen: {}, own: [], beams: [] };

/** What a filter says now; null is "any". */
export const saidBy = (filter: ShownFilter, { chosen }: Narrowed): string | null =>
  filter.isLocked || chosen[filter.id] === undefined ? filter.says : chosen[filter.id];

export const withChosen = (now: Narrowed, id: string, says: string | null): Narrowed => ({
  ...now,
  chosen: { ...now.chosen, [id]: says },
});

/** Another part of the same chart is one more of them; the same part again takes it away. A day as of which there is only one. */
export function withBeam(now: Narrowed, beam: Beam): Narrowed {
  const same = (one: Beam) => one.tile === beam.tile && one.mark === beam.mark;
  if (now.beams.some(same)) return { ...now, beams: now.beams.filter((one) => !same(one)) };
  const kept = beam.stood ? now.beams.filter((one) => one.stood === null) : now.beams;
  return { ...now, beams: [...kept, beam] };
}

/** Nothing narrows: not what filters begin with, either. Locked filters stay. */
export const cleared = (filters: readonly ShownFilter[]): Narrowed => ({
  ...NOT_NARROWED,
  chosen: Object.fromEntries(
    filters.filter((one) => one.says !== null && !one.isLocked).map((one) => [one.id, null]),
  ),
});

/** Whether anything narrows that can be cleared. */
export const isNarrowed = (filters: readonly ShownFilter[], now: Narrowed): boolean =>
  now.own.length + now.beams.length > 0 ||
  filters.some((one) => !one.isLocked && saidBy(one, now) !== null);

/** Whether it is other than its builder made it. */
export const isChanged = (filters: readonly ShownFilter[], now: Narrowed): boolean =>
  now.own.length + now.beams.length > 0 || filters.some((one) => saidBy(one, now) !== one.says);

const bracketed = (says: string): string => `(${says})`;

/** What the parts of one chart say together: one of them or another. */
function beamsOf(tile: string, beams: readonly Beam[]): NarrowingText[] {
  const said = beams.flatMap(({ says }) => says ?? []);
  if (said.length === 0) return [];
  const says = said.length > 1 ? said.map(bracketed).join(" or ") : said[0];
  return [{ id: `beam:${tile}`, subject: beams[0].subject, says }];
}

/** What a tile is narrowed by: the filters that it listens to, the viewer's own, and the beams of other tiles. */
export function narrowingsOf(
  tile: Tile,
  filters: readonly ShownFilter[],
  now: Narrowed,
): NarrowingText[] {
  const heard = filters.filter((one) => !tile.deaf?.includes(one.id));
  const others = now.beams.filter((beam) => beam.tile !== tile.id && !tile.takesNone);
  const tiles = [...new Set(others.map((beam) => beam.tile))];
  return [
    ...heard.flatMap((one) => {
      const says = saidBy(one, now);
      return says === null ? [] : [{ id: one.id, subject: one.subject, says }];
    }),
    ...now.own,
    ...tiles.flatMap((id) =>
      beamsOf(
        id,
        others.filter((beam) => beam.tile === id),
      ),
    ),
  ];
}

/** All that narrows, in words: parts of one chart together, the day of a level's point by its date. */
export function saidInAll(filters: readonly ShownFilter[], now: Narrowed): string[] {
  const tiles = [...new Set(now.beams.map((beam) => beam.tile))];
  return [
    ...filters.flatMap((filter) => saidBy(filter, now) ?? []),
    ...now.own.map((one) => one.says),
    ...tiles.flatMap((id) => {
      const beams = now.beams.filter((beam) => beam.tile === id);
      return beamsOf(id, beams).map(({ says }) => (beams.length > 1 ? bracketed(says) : says));
    }),
    ...now.beams.flatMap(({ stood }) => (stood === null ? [] : [`it is as of ${dayText(stood)}`])),
  ];
}

/** What tiles are narrowed by as a viewer comes to them. */
export const narrowingsAt =
  (filters: readonly ShownFilter[], chosen: ChosenFilters) =>
  (tile: Tile): NarrowingText[] =>
    narrowingsOf(tile, filters, { ...NOT_NARROWED, chosen });

/** The day as of which a tile is counted by a beam from a point of a level; null for none. */
export const beamedDay = (tile: Tile, { beams }: Narrowed): string | null =>
  tile.takesNone
    ? null
    : (beams.find((beam) => beam.stood !== null && beam.tile !== tile.id)?.stood ?? null);

/** The parts of a tile's own figure that are beamed from. */
export const beamedFrom = (tile: Tile, { beams }: Narrowed): readonly string[] =>
  beams.filter((beam) => beam.tile === tile.id).map((beam) => beam.mark);

/** The conditions of the filters that another depends on, and of those they depend on. */
export function parentsOf(
  filter: ShownFilter,
  filters: readonly ShownFilter[],
  now: Narrowed,
): NarrowingText[] {
  const said: NarrowingText[] = [];
  const seen = new Set<string>([filter.id]);
  let parent = filters.find((one) => one.id === filter.dependsOn);
  while (parent && !seen.has(parent.id)) {
    seen.add(parent.id);
    const says = saidBy(parent, now);
    if (says !== null) said.push({ id: parent.id, subject: parent.subject, says });
    const { dependsOn } = parent;
    parent = filters.find((one) => one.id === dependsOn);
  }
  return said;
}

/** As it stands in the address; null where nothing is changed. */
export const writeNarrowed = (now: Narrowed): string | null =>
  Object.keys(now.chosen).length + now.own.length + now.beams.length
    ? JSON.stringify([now.chosen, now.own, now.beams])
    : null;

/** @throws for a text that is none of ours */
export function readNarrowed(text: string): Narrowed {
  const [chosen, own, beams] = JSON.parse(text) as unknown[];
  const isRecord = (value: unknown): value is Record<string, unknown> =>
    typeof value === "object" && value !== null && !Array.isArray(value);
  const isSaid = (value: unknown) => value === null || typeof value === "string";
  if (
    !isRecord(chosen) ||
    !Object.values(chosen).every(isSaid) ||
    !Array.isArray(own) ||
    !own.every(
      (one) => isRecord(one) && typeof one.says === "string" && typeof one.id === "string",
    ) ||
    !Array.isArray(beams) ||
    !beams.every(
      (one) =>
        isRecord(one) && isSaid(one.says) && isSaid(one.stood) && typeof one.tile === "string",
    )
  )
    throw new Error("not a narrowing");
  return { chosen: chosen as ChosenFilters, own: own as OwnFilter[], beams: beams as Beam[] };
}
