import { COLUMNS, overlaps, type Tile } from "@/core/definition";

const overlap = (a: Tile, b: Tile): boolean => a.id !== b.id && overlaps(a, b);

/** Puts one tile where it is wanted and moves what it covers down, then everything up into the gaps. */
export function settleTiles(tiles: readonly Tile[], moved?: Tile): Tile[] {
  const rest = tiles.filter((tile) => tile.id !== moved?.id).sort((a, b) => a.y - b.y || a.x - b.x);
  const placed: Tile[] = moved ? [moved] : [];
  for (const tile of rest) {
    let at = { ...tile };
    while (placed.some((other) => overlap(at, other))) at = { ...at, y: at.y + 1 };
    placed.push(at);
  }
  const compact: Tile[] = [];
  for (const tile of placed.sort((a, b) => a.y - b.y || a.x - b.x)) {
    let at = { ...tile };
    while (at.y > 0 && !compact.some((other) => overlap({ ...at, y: at.y - 1 }, other)))
      at = { ...at, y: at.y - 1 };
    compact.push(at);
  }
  return tiles.map((tile) => compact.find((one) => one.id === tile.id) ?? tile);
}

/** A tile after an arrow key: moved by one, or with shift made larger or smaller; null for other keys. */
export function tileAfterKey(tile: Tile, key: string, resize: boolean): Tile | null {
  const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[key];
  if (!step) return null;
  const [dx, dy] = step;
  if (resize)
    return {
      ...tile,
      w: Math.min(Math.max(tile.w + dx, 2), COLUMNS - tile.x),
      h: Math.min(Math.max(tile.h + dy, 2), 20),
    };
  return {
    ...tile,
    x: Math.min(Math.max(tile.x + dx, 0), COLUMNS - tile.w),
    y: Math.max(tile.y + dy, 0),
  };
}

/** A tile that goes up changes places with what is above it. */
export function movedUp(tiles: readonly Tile[], tile: Tile): Tile[] {
  const above = tiles
    .filter(
      (other) =>
        other.id !== tile.id &&
        other.x < tile.x + tile.w &&
        tile.x < other.x + other.w &&
        other.y < tile.y,
    )
    .sort((a, b) => b.y - a.y)[0];
  return settleTiles(tiles, { ...tile, y: above ? above.y : Math.max(0, tile.y - 1) });
}

/** How many rows of the grid some tiles reach to. */
export const rowsOf = (tiles: readonly Tile[]): number =>
  Math.max(1, ...tiles.map((tile) => tile.y + tile.h));
