import fc from "fast-check";
import { NAME_PX, namesFit, placedNames, type EndName } from "./placedNames";

const one = fc.record({
  x: fc.integer({ min: 0, max: 300 }),
  y: fc.integer({ min: 20, max: 200 }),
  width: fc.integer({ min: 20, max: 120 }),
});

test("a name stands at its point where nothing is in its way", () => {
  const names: EndName[] = [
    { x: 100, y: 30, width: 60 },
    { x: 100, y: 90, width: 60 },
    { x: 10, y: 92, width: 60 },
  ];
  expect(placedNames(names, 200)).toEqual([30, 90, 92]);
});

test("names of lines that end together stand one under the other, inside the plot", () => {
  const names = [195, 198, 199].map((y) => ({ x: 100, y, width: 60 }));
  expect(placedNames(names, 200)).toEqual([170, 185, 200]);
});

test("no two names lie on one another, wherever lines end", () => {
  fc.assert(
    fc.property(fc.array(one, { maxLength: 9 }), (names) => {
      fc.pre(namesFit(names.length, 180));
      const placed = placedNames(names, 200);
      names.forEach((a, i) =>
        names.forEach((b, k) => {
          const meet = a.x < b.x + b.width && b.x < a.x + a.width;
          if (i < k && meet)
            expect(Math.abs(placed[i] - placed[k])).toBeGreaterThanOrEqual(NAME_PX);
        }),
      );
      placed.forEach((y) => expect(y).toBeLessThanOrEqual(200));
    }),
  );
});
