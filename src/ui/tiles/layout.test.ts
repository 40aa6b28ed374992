import fc from "fast-check";
import { COLUMNS, type Tile } from "@/core/definition";
import { movedUp, settleTiles, tileAfterKey } from "./layout";

const tile = (id: string, x: number, y: number, w = 4, h = 3): Tile => ({
  id,
  report: 1,
  x,
  y,
  w,
  h,
});
const overlap = (a: Tile, b: Tile): boolean =>
  a.id !== b.id && a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

describe("placing tiles", () => {
  test("a tile that floats comes up", () => {
    expect(settleTiles([tile("a", 0, 5)])).toEqual([tile("a", 0, 0)]);
  });
  test("a moved tile keeps its place, and what it covers goes below", () => {
    const [a, b] = settleTiles([tile("a", 0, 0), tile("b", 0, 0)], tile("b", 0, 0));
    expect(b.y).toBe(0);
    expect(a.y).toBe(3);
  });
  test("tiles beside one another stay", () => {
    const tiles = [tile("a", 0, 0), tile("b", 4, 0), tile("c", 8, 0)];
    expect(settleTiles(tiles)).toEqual(tiles);
  });
  test("a tile that goes up changes places with the one above it", () => {
    const tiles = [tile("a", 0, 0), tile("b", 0, 3)];
    const after = movedUp(tiles, tiles[1]);
    expect(after.find((one) => one.id === "b")!.y).toBe(0);
    expect(after.find((one) => one.id === "a")!.y).toBe(3);
  });
  test("arrows move by one and stop at the edges", () => {
    expect(tileAfterKey(tile("a", 0, 0), "ArrowLeft", false)).toMatchObject({ x: 0 });
    expect(tileAfterKey(tile("a", 8, 0), "ArrowRight", false)).toMatchObject({ x: 8 });
    expect(tileAfterKey(tile("a", 2, 2), "ArrowDown", false)).toMatchObject({ x: 2, y: 3 });
  });
  test("shift and arrows resize within the grid", () => {
    expect(tileAfterKey(tile("a", 8, 0), "ArrowRight", true)).toMatchObject({ w: 4 });
    expect(tileAfterKey(tile("a", 0, 0, 2, 2), "ArrowLeft", true)).toMatchObject({ w: 2 });
    expect(tileAfterKey(tile("a", 0, 0), "ArrowDown", true)).toMatchObject({ h: 4 });
  });
  test("other keys are not ours", () => {
    expect(tileAfterKey(tile("a", 0, 0), "Enter", false)).toBeNull();
  });

  const tiles = fc
    .uniqueArray(
      fc.record({
        x: fc.nat(10),
        y: fc.nat(12),
        w: fc.integer({ min: 2, max: 6 }),
        h: fc.integer({ min: 2, max: 5 }),
        id: fc.nat(20).map(String),
      }),
      { selector: (t) => t.id, minLength: 1, maxLength: 8 },
    )
    .map((list) => list.map((t): Tile => ({ ...t, report: 1, x: Math.min(t.x, COLUMNS - t.w) })));
  test("whatever is placed, no tile is lost, resized or laid over another", () => {
    fc.assert(
      fc.property(tiles, fc.nat(7), (list, pick) => {
        const settled = settleTiles(list, list[pick % list.length]);
        expect(settled.map(({ id, w, h }) => [id, w, h])).toEqual(
          list.map(({ id, w, h }) => [id, w, h]),
        );
        for (const a of settled) {
          expect(a.x + a.w).toBeLessThanOrEqual(COLUMNS);
          for (const b of settled) expect(overlap(a, b)).toBe(false);
        }
        expect(settleTiles(settled)).toEqual(settled);
      }),
      { numRuns: 300, endOnFailure: true },
    );
  });
});
