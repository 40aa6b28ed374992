import fc from "fast-check";
import { hoursText, minutesOf } from "./typed";

test.each([
  ["", 0],
  ["1:30", 90],
  ["1.5", 90],
  ["1,5", 90],
  ["90m", 90],
  ["1h 30m", 90],
  ["2h", 120],
  ["7", 420],
  ["0:05", 5],
  ["abc", null],
  ["1:75", null],
  ["-2", null],
])("%j means %j minutes", (text, minutes) => expect(minutesOf(text)).toBe(minutes));

test("what is shown is read as what it was", () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1440 }), (minutes) => {
      expect(minutesOf(hoursText(minutes))).toBe(minutes);
    }),
  ));
