import type { Deck, Tile } from "@/core/definition";
import { deckMoved, laidIn, withoutDeck } from "./decks";

const deck = (id: string): Deck => ({ id, title: id, note: "", isClosed: false });
const tile = (id: string, more: object = {}): Tile => ({
  id,
  text: "Words",
  x: 0,
  y: 0,
  w: 4,
  h: 4,
  ...more,
});
const DECKS = [deck("a"), deck("b"), deck("c")];

test("tiles stand in their decks; those of none, or of one that is gone, come first", () => {
  const laid = laidIn(DECKS.slice(0, 1), [
    tile("in", { deck: "a" }),
    tile("loose"),
    tile("lost", { deck: "gone" }),
  ]);
  expect(laid.map(({ deck: one, tiles }) => [one?.id ?? "", tiles.map(({ id }) => id)])).toEqual([
    ["", ["loose", "lost"]],
    ["a", ["in"]],
  ]);
});

test("without loose tiles there is no deck without a head; without any deck there is one", () => {
  expect(laidIn(DECKS, [tile("in", { deck: "b" })]).map(({ deck: one }) => one?.id)).toEqual([
    "a",
    "b",
    "c",
  ]);
  expect(laidIn([], [])).toEqual([{ deck: null, tiles: [] }]);
});

test.each([
  ["b", 1, ["a", "c", "b"]],
  ["b", -1, ["b", "a", "c"]],
  ["a", -1, ["a", "b", "c"]],
  ["c", 1, ["a", "b", "c"]],
  ["gone", 1, ["a", "b", "c"]],
] as const)("deck %s moved by %i", (id, by, order) =>
  expect(deckMoved(DECKS, id, by).map((one) => one.id)).toEqual(order),
);

test("a deck that is taken out leaves its tiles in none", () => {
  const { decks, tiles } = withoutDeck(DECKS, [tile("in", { deck: "b" }), tile("x")], "b");
  expect(decks.map((one) => one.id)).toEqual(["a", "c"]);
  expect(tiles).toEqual([tile("in"), tile("x")]);
});
