import { parseSentence } from ".";
import { daysOf } from "./personDays";
import { sampleContext } from "../../../tests/support/sample";

const context = sampleContext();

function daysAsked(sentence: string) {
  const read = parseSentence(sentence, context);
  return read.ok ? daysOf(read.value, context) : read.problems[0].message;
}

test.each([
  ["date during 2026-11", "2026-11-01", "2026-11-30"],
  ["date on 2026-11-05", "2026-11-05", "2026-11-05"],
  ["date since 2026-11-01 and date until today", "2026-11-01", "2026-11-24"],
  ["date after 2026-11-01 and date before 2026-11-05", "2026-11-02", "2026-11-04"],
  ["date during 2026-11 and date during 2026-W48", "2026-11-23", "2026-11-29"],
  ["date during 2026-11 and (worked over 0 or capacity over 0)", "2026-11-01", "2026-11-30"],
])("person days where %s are those from %s to %s", (where, from, to) => {
  expect(daysAsked(`count person days where ${where}`)).toEqual({ from, to });
});

test("a period says them too", () => {
  expect(daysAsked("count person days by week of date for 2026-09 to 2026-10")).toEqual({
    from: "2026-09-01",
    to: "2026-10-31",
  });
});

test("what they are compared with is made as well", () => {
  expect(
    daysAsked("count person days where date during 2026-11 compared to the period before"),
  ).toEqual({ from: "2026-10-01", to: "2026-11-30" });
});

test.each([
  "count person days",
  "count person days by person",
  "count person days where date until today",
  "count person days where date during 2026-11 or worked over 0",
])("%s has no end: it is asked which days", (sentence) => {
  expect(daysAsked(sentence)).toBe(
    "say which days: for last 3 full months, or date during last month",
  );
});

test("days of more than ten years are refused", () => {
  expect(daysAsked("count person days where date during 2010 and date during 2010")).toEqual({
    from: "2010-01-01",
    to: "2010-12-31",
  });
  expect(daysAsked("count person days where date since 2010-01-01 and date until today")).toBe(
    "these are more than ten years of days: take fewer",
  );
});
