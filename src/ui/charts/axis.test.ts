import { placeOf, shows, xOf } from "./axis";

const margins = { left: 50, right: 100 };

describe("the place under the pointer", () => {
  test("on an axis of columns is that of the band it is in", () => {
    const axis = { points: 10, margins, isBand: true };
    // 500 px for ten bands of 50.
    expect([50, 99, 100, 124, 549].map((x) => placeOf(x, 650, axis))).toEqual([0, 0, 1, 1, 9]);
  });
  test("on an axis of points is the nearest of them", () => {
    const axis = { points: 11, margins: { left: 40, right: 96 }, isBand: false };
    // 10 px beside the first and 4 px beside the last leave 500 px, 50 between two.
    expect([50, 74, 76, 550].map((x) => placeOf(x, 650, axis))).toEqual([0, 0, 1, 10]);
  });
  test("beside the plot is its first or last", () => {
    for (const isBand of [true, false]) {
      const axis = { points: 4, margins, isBand };
      expect([placeOf(0, 650, axis), placeOf(649, 650, axis)]).toEqual([0, 3]);
    }
  });
  test("counts from the first place that a slider leaves", () => {
    const axis = { points: 10, from: 7, margins, isBand: true };
    expect([placeOf(50, 650, axis), placeOf(549, 650, axis)]).toEqual([7, 16]);
    expect(xOf(7, axis)).toBe(xOf(0, { ...axis, from: 0 }));
    expect([6, 7, 16, 17].map((place) => shows(axis, place))).toEqual([false, true, true, false]);
  });
  test("is where that place is drawn", () => {
    for (const isBand of [true, false]) {
      const axis = { points: 7, margins, isBand };
      for (let place = 0; place < 7; place += 1) {
        const [, px, less, share] =
          /^calc\(([\d.]+)px \+ \(100% - ([\d.]+)px\) \* ([\d.e-]+)\)$/.exec(xOf(place, axis))!;
        expect(placeOf(Number(px) + (650 - Number(less)) * Number(share), 650, axis)).toBe(place);
      }
    }
  });
});
