import type { ShownFilter } from "@/contract/dashboards";
import type { Tile } from "@/core/definition";
import {
  possibleParents,
  tilesOf,
  toDeck,
  withoutFilter,
  withoutTile,
  withSettings,
  withTile,
  type Arranged,
} from "./arranged";

const tile = (id: string, x: number, y: number, more: object = {}): Tile => ({
  id,
  report: 1,
  x,
  y,
  w: 6,
  h: 4,
  ...more,
});
const filter = (id: string, dependsOn?: string): ShownFilter => ({
  id,
  subject: "items",
  field: [id],
  says: null,
  ...(dependsOn ? { dependsOn } : {}),
});
const board = (tiles: readonly Tile[], filters: readonly ShownFilter[] = []): Arranged => ({
  name: "Morning",
  purpose: "",
  tiles,
  decks: [{ id: "d", title: "Right now", note: "", isClosed: false }],
  filters,
});
const placesOf = (now: Arranged, deck?: string) =>
  tilesOf(now, deck).map(({ id, x, y }) => [id, x, y]);

describe("tiles", () => {
  test("come to the first place of their deck where they fit, whatever stands in others", () => {
    const now = board([tile("a", 0, 0), tile("b", 0, 0, { deck: "d" })]);
    const more = withTile(now, tile("c", 9, 9), { w: 6, h: 4 }, "d");
    expect(placesOf(more, "d")).toEqual([
      ["b", 0, 0],
      ["c", 6, 0],
    ]);
    expect(placesOf(more)).toEqual([["a", 0, 0]]);
  });
  test("that are taken out leave no gap in their deck", () => {
    const now = board([tile("a", 0, 0), tile("b", 0, 4), tile("c", 0, 4, { deck: "d" })]);
    const less = withoutTile(now, now.tiles[0]);
    expect(placesOf(less)).toEqual([["b", 0, 0]]);
    expect(placesOf(less, "d")).toEqual([["c", 0, 4]]);
  });
  test("go to another deck and back with all that is their own", () => {
    const now = board([tile("a", 6, 8, { title: "Mine", deaf: ["team"] })]);
    const there = toDeck(now, now.tiles[0], "d");
    expect(there.tiles[0]).toMatchObject({ deck: "d", x: 0, y: 0, title: "Mine", deaf: ["team"] });
    const back = toDeck(there, there.tiles[0], undefined);
    expect(back.tiles[0]).not.toHaveProperty("deck");
    expect(toDeck(back, back.tiles[0], undefined)).toBe(back);
  });
  test("with other settings stay where they are", () => {
    const now = board([tile("a", 0, 0), tile("b", 6, 0)]);
    const next = withSettings(now, { ...now.tiles[1], title: "Told otherwise" });
    expect(next.tiles.map((one) => [one.x, one.title])).toEqual([
      [0, undefined],
      [6, "Told otherwise"],
    ]);
  });
});

describe("filters", () => {
  test("that are taken out leave nothing that depends on them or is deaf to them", () => {
    const now = board(
      [tile("a", 0, 0, { deaf: ["team", "who"] })],
      [filter("team"), filter("who", "team")],
    );
    const less = withoutFilter(now, "team");
    expect(less.filters).toEqual([filter("who")]);
    expect(less.tiles[0].deaf).toEqual(["who"]);
  });
  test("may depend on all that do not come back to them", () => {
    const [team, who, key] = [filter("team"), filter("who", "team"), filter("key", "who")];
    const names = (one: ShownFilter) =>
      possibleParents(one, [team, who, key]).map((other) => other.id);
    expect(names(team)).toEqual([]);
    expect(names(who)).toEqual(["team"]);
    expect(names(key)).toEqual(["team", "who"]);
  });
});
