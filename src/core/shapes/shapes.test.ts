import { SHAPE_IDS, shapes, whyNot, type ShapeInput } from ".";

const count = (more: Partial<ShapeInput> = {}): ShapeInput => ({
  kind: "count",
  groups: 1,
  split: false,
  measures: 1,
  beside: false,
  additive: true,
  oneValue: false,
  isTime: true,
  hasDays: true,
  ...more,
});

describe("every shape", () => {
  test.each(SHAPE_IDS)(
    "%s says what it is good for, and why it cannot show what it cannot",
    (id) => {
      const shape = shapes[id];
      expect(shape.goodFor).not.toBe("");
      const words = shape.words.replace("S-curve", "s-curve");
      expect(words).toBe(words.toLowerCase());
      const reasons = [
        count({ groups: 0 }),
        count({ groups: 9 }),
        count({ split: true }),
        count({ measures: 9 }),
        count({ additive: false }),
        { ...count(), kind: "list" as const },
      ].map((input) => whyNot(shape, input));
      expect(reasons.some((reason) => reason !== null)).toBe(true);
      for (const reason of reasons) if (reason) expect(reason).not.toMatch(/undefined|NaN/);
    },
  );
  test("flows with their net or level need a picture with a line, and others do not", () => {
    const flows = (beside: boolean): ShapeInput => ({
      ...count({ groups: 0 }),
      kind: "crossings",
      beside,
    });
    const drawing = (beside: boolean) =>
      SHAPE_IDS.filter((id) => whyNot(shapes[id], flows(beside)) === null);
    expect(drawing(true)).toEqual(["columnsWithLine"]);
    expect(drawing(false)).toEqual(expect.arrayContaining(["columns", "line"]));
    expect(whyNot(shapes.columnsWithLine, flows(false))).toMatch(/with net/);
  });
  test("dots need a date and measures of one value that each record has", () => {
    expect(whyNot(shapes.dots, count({ oneValue: true, measures: 3 }))).toBeNull();
    expect(whyNot(shapes.dots, count())).toMatch(/of one value/);
    expect(whyNot(shapes.dots, count({ oneValue: true, isTime: false }))).toMatch(
      /stretches of time/,
    );
  });
  test("what can be asked has a shape that shows it", () => {
    for (const input of [
      count({ groups: 0 }),
      count(),
      count({ split: true }),
      count({ groups: 3 }),
      count({ measures: 3 }),
      { ...count({ groups: 0, measures: 0 }), kind: "list" as const },
    ]) {
      expect(SHAPE_IDS.some((id) => whyNot(shapes[id], input) === null)).toBe(true);
    }
  });
  test.each([
    ["pie", count({ additive: false }), /must add up/],
    ["donut", count({ split: true }), /no place for a split/],
    ["stackedBars", count(), /needs a split/],
    ["number", count(), /without groups/],
    ["bars", count({ groups: 0 }), /something to group by/],
    ["line", count({ groups: 2 }), /one group at most/],
    ["list", count(), /lists records/],
    ["bars", { ...count(), kind: "list" as const }, /this is a list/],
  ] as const)("%s: %j", (id, input, says) => expect(whyNot(shapes[id], input)).toMatch(says));
});
