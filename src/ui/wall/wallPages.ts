import type { Deck, Tile } from "@/core/definition";
import { laidIn } from "../tiles";
import { rowsOf, settleTiles } from "../tiles";

/** At most so many tiles stand on a wall at once: more become pages. */
export const MOST_ON_WALL = 6;

/** Tiles that stand on a wall together, under the title of their deck. */
export interface WallPage {
  readonly title: string;
  readonly tiles: readonly Tile[];
  /** How many rows of the grid they take. */
  readonly rows: number;
}

/** Tiles in the order of reading. */
const inOrder = (tiles: readonly Tile[]): Tile[] =>
  [...tiles].sort((a, b) => a.y - b.y || a.x - b.x);

/** The pages of a dashboard on a wall: a deck is a page, and one of many tiles several. */
export function wallPages(decks: readonly Deck[], tiles: readonly Tile[]): WallPage[] {
  return laidIn(decks, tiles).flatMap(({ deck, tiles: there }) => {
    const ordered = inOrder(there);
    const many = Math.ceil(ordered.length / MOST_ON_WALL);
    return Array.from({ length: many }, (_, page): WallPage => {
      const some = settleTiles(ordered.slice(page * MOST_ON_WALL, (page + 1) * MOST_ON_WALL));
      const numbered = many > 1 ? `${page + 1} of ${many}` : "";
      return {
        title: [deck?.title, numbered].filter(Boolean).join(", "),
        tiles: some,
        rows: rowsOf(some),
      };
    });
  });
}
