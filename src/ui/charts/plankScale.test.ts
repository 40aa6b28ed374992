import { plankScale } from "./plankScale";

const day = (name: string, works: boolean, start: number) => ({
  day: name,
  start,
  end: start + 10,
  works,
  name: works ? null : "weekend",
});
const round = (place: number | null) => (place === null ? null : Math.round(place * 1e6) / 1e6);
const DAYS = [
  day("2026-11-20", true, 0),
  day("2026-11-21", false, 10),
  day("2026-11-23", true, 20),
];

test("days lie side by side over the whole width, days off narrow", () => {
  const { lefts, widthOf } = plankScale(DAYS, ["2026-11-24"], 0, 336);
  expect(lefts.map(round)).toEqual([0, 100, 136, 236]);
  expect([0, 1, 2, 3].map((i) => round(widthOf(i)))).toEqual([100, 36, 100, 100]);
});

test.each([
  [0, 0],
  [5, 50],
  [10, 100],
  [15, 118],
  [30, 236],
  [99, 236],
])("instant %i lies at %i", (instant, place) => {
  expect(plankScale(DAYS, ["2026-11-24"], 0, 336).x(instant)).toBeCloseTo(place, 9);
});

test("a day ends where the next begins, one that is not on the axis has no place", () => {
  const { dayX } = plankScale(DAYS, ["2026-11-24", "2026-11-25"], 0, 436);
  expect(
    ["2026-11-20", "2026-11-23", "2026-11-24", "2026-11-25", "2027-01-01"].map((one) =>
      round(dayX(one)),
    ),
  ).toEqual([100, 236, 336, 436, null]);
});
