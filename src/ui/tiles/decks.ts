import type { Deck, Tile } from "@/core/definition";

/** A deck with its tiles; the first has no head: it holds what is in no deck. */
export interface Laid {
  readonly deck: Deck | null;
  readonly tiles: readonly Tile[];
}

/** The tiles of a dashboard by their decks, in order. A tile whose deck is gone is in none. */
export function laidIn(decks: readonly Deck[], tiles: readonly Tile[]): Laid[] {
  const loose = tiles.filter((tile) => !decks.some((deck) => deck.id === tile.deck));
  const titled = decks.map((deck) => ({
    deck,
    tiles: tiles.filter((tile) => tile.deck === deck.id),
  }));
  return loose.length || decks.length === 0 ? [{ deck: null, tiles: loose }, ...titled] : titled;
}

/** The decks with one of them moved up or down, all its tiles with it. */
export function deckMoved(decks: readonly Deck[], id: string, by: -1 | 1): Deck[] {
  const from = decks.findIndex((deck) => deck.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= decks.length) return [...decks];
  const moved = [...decks];
  moved.splice(to, 0, ...moved.splice(from, 1));
  return moved;
}

/** Without a deck; its tiles stay, in none. */
export const withoutDeck = (
  decks: readonly Deck[],
  tiles: readonly Tile[],
  id: string,
): { decks: Deck[]; tiles: Tile[] } => ({
  decks: decks.filter((deck) => deck.id !== id),
  tiles: tiles.map((tile) => {
    if (tile.deck !== id) return tile;
    const { deck: _deck, ...rest } = tile;
    return rest as Tile;
  }),
});
