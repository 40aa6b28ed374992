import { MOST_ON_WALL, wallPages } from "./wallPages";

const tile = (id: string, x: number, y: number, deck?: string) => ({
  id,
  report: 1,
  x,
  y,
  w: 6,
  h: 4,
  ...(deck ? { deck } : {}),
});

test("each deck is a page, and a deck of more tiles than a wall takes is several", () => {
  const decks = [{ id: "d", title: "Right now", note: "", isClosed: true }];
  const many = Array.from({ length: 8 }, (_, i) =>
    tile(`m${i}`, (i % 2) * 6, Math.floor(i / 2) * 4, "d"),
  );
  const pages = wallPages(decks, [tile("a", 0, 0), ...many]);
  expect(pages.map((page) => [page.title, page.tiles.length])).toEqual([
    ["", 1],
    ["Right now, 1 of 2", MOST_ON_WALL],
    ["Right now, 2 of 2", 2],
  ]);
});

test("the tiles of a page begin at its top", () => {
  const pages = wallPages([], [tile("a", 0, 8), tile("b", 6, 12)]);
  expect(pages[0].tiles.map((one) => one.y)).toEqual([0, 0]);
  expect(pages[0].rows).toBe(4);
  expect(wallPages([], [])).toEqual([]);
});
