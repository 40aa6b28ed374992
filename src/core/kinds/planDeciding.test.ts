import { lastTurn } from "./planDeciding";

const ALL = { first: 0, last: 100 };
const states = (...list: [number, number | null][]) =>
  list.map(([from, weight], i) => ({ from, to: list[i + 1]?.[0] ?? null, weight }));

describe("the step that decided", () => {
  test("is the creation of what was made inside and stays in", () =>
    expect(lastTurn(states([10, 1]), ALL)).toBe(10));
  test("is the last of several comings and goings", () =>
    expect(lastTurn(states([10, 1], [20, null], [30, 1], [40, null], [50, 1]), ALL)).toBe(50));
  test("is none where the states differ in nothing that counts", () =>
    expect(lastTurn(states([-5, 1], [20, 1], [30, 1]), ALL)).toBeNull());
  test("is another weight, where weights are added up", () =>
    expect(lastTurn(states([-5, 3], [20, 5], [30, 5]), ALL)).toBe(20));
  test("is the deletion of what was in to its end", () =>
    expect(lastTurn([{ from: 10, to: 60, weight: 1 }], ALL)).toBe(60));
  test("is not the deletion of what was out by then", () =>
    expect(
      lastTurn(
        [
          { from: 10, to: 20, weight: 1 },
          { from: 20, to: 60, weight: null },
        ],
        ALL,
      ),
    ).toBe(20));
  test("lies inside the stretch: at its first instant it counts, at its end no longer", () => {
    expect(lastTurn(states([-5, null], [0, 1]), ALL)).toBe(0);
    expect(lastTurn(states([-5, null], [50, 1], [100, null]), ALL)).toBe(50);
  });
  test("a state that began before is no step", () =>
    expect(lastTurn(states([-5, 1]), ALL)).toBeNull());
  test("nothing without states", () => expect(lastTurn([], ALL)).toBeNull());
});
