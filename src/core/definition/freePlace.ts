import type { Tile } from "./dashboard.schema";
import { COLUMNS } from "./dashboard";

type Place = Pick<Tile, "x" | "y" | "w" | "h">;

export const overlaps = (a: Place, b: Place): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

/** The first place, from the top and the left, where a tile of a size fits among others. */
export function freePlace(tiles: readonly Place[], { w, h }: Pick<Place, "w" | "h">): Place {
  const bottom = Math.max(0, ...tiles.map((tile) => tile.y + tile.h));
  for (let y = 0; y < bottom; y += 1)
    for (let x = 0; x + w <= COLUMNS; x += 1) {
      const place = { x, y, w, h };
      if (!tiles.some((tile) => overlaps(place, tile))) return place;
    }
  return { x: 0, y: bottom, w, h };
}
