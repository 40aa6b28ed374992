import { typedAfter } from "./typedAhead";

test.each([
  ["", "c", "c"],
  ["c", "o", "co"],
  ["co", " ", "co "],
  ["co", "Backspace", "c"],
  ["", "Backspace", ""],
  ["co", "ArrowDown", "co"],
  ["co", "Enter", "co"],
  ["", "é", "é"],
  ["", "😀", "😀"],
])("after %p the key %p leaves %p", (typed, key, after) =>
  expect(typedAfter(typed, key)).toBe(after),
);
