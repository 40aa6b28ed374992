import { step, type Steps } from "./undo";

const at = (past: number[], now: number, future: number[]): Steps<number> => ({
  past,
  now,
  future,
});

test.each([
  ["a change is remembered", at([1], 2, []), { kind: "changed", to: 3 }, at([1, 2], 3, [])],
  [
    "a change ends what might be redone",
    at([], 1, [9]),
    { kind: "changed", to: 2 },
    at([1], 2, []),
  ],
  ["undo goes back", at([1, 2], 3, []), { kind: "undone" }, at([1], 2, [3])],
  ["undo at the beginning does nothing", at([], 1, [2]), { kind: "undone" }, at([], 1, [2])],
  ["redo goes on", at([1], 2, [3, 4]), { kind: "redone" }, at([1, 2], 3, [4])],
  ["redo at the end does nothing", at([1], 2, []), { kind: "redone" }, at([1], 2, [])],
] as const)("%s", (_says, before, event, after) => {
  expect(step(before, event)).toEqual(after);
});

test("a hundred steps back are kept", () => {
  let steps = at([], 0, []);
  for (let i = 1; i <= 300; i += 1) steps = step(steps, { kind: "changed", to: i });
  expect(steps.past).toHaveLength(100);
  expect(steps.past[99]).toBe(299);
});
