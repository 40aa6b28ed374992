import type { ShownTimeline, TimelinePart } from "@/contract/projects";
import { barOf } from "./bars";
import { asPart, consequencesOf, daysBetween, followersOf, isSame, movedSpan } from "./follow";
import { chunksOf, heightOf, rowsOf } from "./rows";
import { liesIn, monthsOf, partOfScale, scaleOf, ticksOf } from "./scale";

const part = (id: string, due: string | null, more: Partial<TimelinePart> = {}): TimelinePart => ({
  kind: "item",
  id,
  title: id,
  from: "2026-11-01",
  due,
  kept: due,
  plan: due,
  done: null,
  mayMove: true,
  ...more,
});
const timeline = (
  parts: readonly TimelinePart[],
  holds: ShownTimeline["holds"],
): ShownTimeline => ({
  projects: [
    {
      id: 1,
      name: "Refit",
      starts: "2026-10-01",
      ends: "2026-12-18",
      started: null,
      finished: null,
      percent: null,
      mayMove: true,
      parts,
    },
  ],
  holds,
  holidays: [],
  off: [6, 7],
  more: 0,
});

const CHAIN = timeline(
  [
    part("A", "2026-12-01"),
    part("B", "2026-12-05"),
    part("C", "2026-12-09"),
    part("D", "2026-12-10", { done: "2026-11-20" }),
    part("E", null),
  ],
  [
    ["A", "B"],
    ["B", "C"],
    ["A", "D"],
    ["A", "E"],
    ["C", "A"],
  ],
);

test("what waits for a part is found once, even in a circle", () =>
  expect(followersOf(CHAIN, "A").map((one) => one.id)).toEqual(["B", "D", "E", "C"]));

test("what follows moves by as many days; what is done or has no date stays", () => {
  const told = consequencesOf(CHAIN, CHAIN.projects[0].parts[0], 6);
  expect(told.map((one) => [one.part.id, one.due, one.clashes])).toEqual([
    ["B", "2026-12-11", true],
    ["C", "2026-12-15", false],
  ]);
  expect(consequencesOf(CHAIN, CHAIN.projects[0].parts[0], 0)).toEqual([]);
});

describe("a project that is moved", () => {
  const [project] = CHAIN.projects;
  test("would take along what is still to come of it, and tells what would lie past its end", () => {
    const told = consequencesOf(CHAIN, asPart(project), -10);
    expect(told.map((one) => [one.part.id, one.due, one.clashes])).toEqual([
      ["A", "2026-11-21", false],
      ["B", "2026-11-25", false],
      ["C", "2026-11-29", true],
    ]);
  });
  test("keeps its start once it has begun", () => {
    const span = { starts: "2026-12-01", ends: "2026-12-18", started: null };
    expect(movedSpan(span, 7, "2026-11-24")).toEqual({ starts: "2026-12-08", ends: "2026-12-25" });
    expect(movedSpan(span, 7, "2026-12-01")).toEqual({ starts: "2026-12-01", ends: "2026-12-25" });
    expect(movedSpan({ ...span, started: "2026-11-20" }, 7, "2026-11-24").starts).toBe(
      "2026-12-01",
    );
    expect(movedSpan({ starts: null, ends: null, started: null }, 7, "2026-11-24")).toEqual({
      starts: null,
      ends: null,
    });
  });
  test("is not taken for a milestone of the same number", () => {
    expect(isSame(asPart(project), { kind: "milestone", id: "1" })).toBe(false);
    expect(isSame(asPart(project), { kind: "project", id: "1" })).toBe(true);
    expect(isSame(undefined, { kind: "project", id: "1" })).toBe(false);
  });
});

describe("a bar", () => {
  const TODAY = "2026-11-24";
  test("goes solid until today, and on until it is due", () =>
    expect(barOf(part("A", "2026-12-01"), TODAY)).toMatchObject({
      done: ["2026-11-01", "2026-11-24"],
      rest: ["2026-11-25", "2026-12-01"],
      past: null,
      plan: ["2026-11-01", "2026-12-01"],
    }));
  test("past its first date it says so, also while it is being moved", () =>
    expect(barOf(part("A", "2026-12-01"), TODAY, 3)).toMatchObject({
      rest: ["2026-11-25", "2026-12-01"],
      past: ["2026-12-02", "2026-12-04"],
      words: "4 Dec, was 1 Dec",
    }));
  test("that is done ends there", () =>
    expect(barOf(part("A", "2026-12-01", { done: "2026-11-20" }), TODAY)).toMatchObject({
      done: ["2026-11-01", "2026-11-20"],
      rest: null,
      past: null,
    }));
  test("that has not begun waits for what holds it up", () =>
    expect(barOf(part("A", "2026-12-09", { from: null }), TODAY, 0, "2026-12-01")).toMatchObject({
      done: null,
      rest: ["2026-12-02", "2026-12-09"],
    }));
  test("of a milestone is where it lies, and where it was first to lie", () =>
    expect(
      barOf(part("M", "2026-12-12", { kind: "milestone", plan: "2026-12-01" }), TODAY),
    ).toMatchObject({ at: "2026-12-12", was: "2026-12-01", words: "M, 12 Dec, was 1 Dec" }));
});

describe("on paper", () => {
  const long = {
    ...CHAIN.projects[0],
    parts: Array.from({ length: 30 }, (_, n) => part(`P${n}`, "2026-12-01")),
  };
  const short = { ...long, id: 2, parts: [part("Q", "2026-12-01")] };
  const isOpen = () => true;
  test("every part stands on some sheet, once, under its project; no sheet is too high", () => {
    for (const height of [200, 300, 690, 2000]) {
      const chunks = chunksOf([long, short], isOpen, height);
      for (const chunk of chunks)
        expect(heightOf(rowsOf(chunk, isOpen))).toBeLessThanOrEqual(height);
      const parts = chunks.flat().flatMap((one) => one.parts.map(({ id }) => [one.id, id]));
      expect(parts).toEqual([...long.parts.map(({ id }) => [1, id]), [2, "Q"]]);
    }
  });
  test("a project whose parts are closed takes its own row alone", () =>
    expect(chunksOf([long, short], () => false, 690)).toEqual([
      [
        { ...long, parts: [] },
        { ...short, parts: [] },
      ],
    ]));
  test("the days of all sheets are those of the scale", () => {
    const scale = scaleOf(CHAIN.projects, "2026-11-24", "weeks");
    const sheets = [0, 700, 1400].map((left) => partOfScale(scale, left, 700));
    expect(sheets[0].from).toBe(scale.from);
    expect(sheets.reduce((sum, one) => sum + one.width, 0)).toBe(Math.min(scale.width, 2100));
    const [n, sheet] = [...sheets.entries()].find(([, one]) => one.to >= "2026-11-24")!;
    expect(sheet.x("2026-11-24")).toBeCloseTo(scale.x("2026-11-24") - n * 700, 5);
    // What lies on another sheet lies outside, and makes this one no wider.
    expect(sheet.x("2020-01-01")).toBeLessThan(0);
    expect(sheet.x("2030-01-01")).toBe(sheet.width);
    expect(liesIn(CHAIN.projects[0], sheet)).toBe(true);
    expect(liesIn(CHAIN.projects[0], { from: "2020-01-01", to: "2020-02-01" })).toBe(false);
  });
});

test("days lie where they are, at any zoom, and nothing lies before the left edge", () => {
  for (const zoom of ["weeks", "months", "quarters"] as const) {
    const scale = scaleOf(CHAIN.projects, "2026-11-24", zoom);
    expect(scale.x(scale.from)).toBe(0);
    expect(scale.x("2026-12-01") - scale.x("2026-11-24")).toBeCloseTo(7 * scale.dayWidth, 1);
    expect(scale.from < "2026-10-01" && scale.to > "2026-12-18").toBe(true);
    expect(monthsOf(scale)[0].words).toMatch(/2026$/);
    expect(ticksOf(scale).every((day) => day >= scale.from && day <= scale.to)).toBe(true);
  }
  expect(daysBetween("2026-12-01", "2026-11-29")).toBe(-2);
});
