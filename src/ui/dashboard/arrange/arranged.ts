import type { ShownFilter } from "@/contract/dashboards";
import { freePlace, type Deck, type Tile } from "@/core/definition";
import { settleTiles } from "../../tiles";

/** A dashboard while it is arranged. */
export interface Arranged {
  readonly name: string;
  readonly purpose: string;
  readonly tiles: readonly Tile[];
  readonly decks: readonly Deck[];
  readonly filters: readonly ShownFilter[];
}

const isIn = (tile: Tile, deck: string | undefined): boolean => tile.deck === deck;

/** The same with the tiles of one deck as they are now, settled among themselves. */
export function withTilesOf(
  now: Arranged,
  deck: string | undefined,
  tiles: readonly Tile[],
): Arranged {
  const others = now.tiles.filter((tile) => !isIn(tile, deck));
  return { ...now, tiles: [...others, ...settleTiles(tiles)] };
}

export const tilesOf = (now: Arranged, deck: string | undefined): readonly Tile[] =>
  now.tiles.filter((tile) => isIn(tile, deck));

/** A tile that has no place yet. */
type Placeless<T> = T extends Tile ? Omit<T, "x" | "y" | "w" | "h"> : never;
type NewTile = Placeless<Tile>;

/** A new tile at the first place of a deck where it fits. */
export function withTile(
  now: Arranged,
  tile: NewTile,
  size: { readonly w: number; readonly h: number },
  deck: string | undefined,
): Arranged {
  const there = tilesOf(now, deck);
  const placed = {
    ...tile,
    ...freePlace(there, size),
    ...(deck === undefined ? {} : { deck }),
  } as Tile;
  return withTilesOf(now, deck, [...there, placed]);
}

export const withoutTile = (now: Arranged, { id, deck }: Tile): Arranged =>
  withTilesOf(
    now,
    deck,
    tilesOf(now, deck).filter((tile) => tile.id !== id),
  );

/** A tile with other settings, in its place. */
export const withSettings = (now: Arranged, tile: Tile): Arranged => ({
  ...now,
  tiles: now.tiles.map((one) => (one.id === tile.id ? tile : one)),
});

/** A tile in another deck, at the first place where it fits; the gap that it leaves is closed. */
export function toDeck(now: Arranged, tile: Tile, deck: string | undefined): Arranged {
  if (tile.deck === deck) return now;
  const { deck: _from, x: _x, y: _y, w, h, ...rest } = tile;
  return withTile(withoutTile(now, tile), rest as NewTile, { w, h }, deck);
}

/** Without a filter: nothing depends on it any more, and no tile need be deaf to it. */
export const withoutFilter = (now: Arranged, id: string): Arranged => ({
  ...now,
  filters: now.filters
    .filter((one) => one.id !== id)
    .map((one) => {
      if (one.dependsOn !== id) return one;
      const { dependsOn: _parent, ...rest } = one;
      return rest;
    }),
  tiles: now.tiles.map((tile) =>
    tile.deaf?.includes(id) ? { ...tile, deaf: tile.deaf.filter((one) => one !== id) } : tile,
  ),
});

/** Filters that one may depend on: those that do not come back to it. */
export function possibleParents(
  filter: ShownFilter,
  filters: readonly ShownFilter[],
): ShownFilter[] {
  const leadsBack = (one: ShownFilter | undefined, seen: readonly string[] = []): boolean =>
    one !== undefined &&
    (one.id === filter.id ||
      (!seen.includes(one.id) &&
        leadsBack(
          filters.find((other) => other.id === one.dependsOn),
          [...seen, one.id],
        )));
  return filters.filter((one) => !leadsBack(one));
}
