import fc from "fast-check";
import { compareTexts, decimalText, editDistance, folded, nearest, numberText } from ".";

describe("nearest", () => {
  test("a mistyped word finds its neighbour, swaps count once", () =>
    expect(nearest("statsu", ["stage", "status", "started"])[0]).toBe("status"));
  test("nothing near gives nothing", () =>
    expect(nearest("zebra", ["status", "priority"])).toEqual([]));
  test("what begins so is near", () =>
    expect(nearest("prio", ["priority", "points"])).toContain("priority"));
  test("distance is symmetric and nothing only for equals", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 8 }), fc.string({ maxLength: 8 }), (a, b) => {
        expect(editDistance(a, b, 99)).toBe(editDistance(b, a, 99));
        expect(editDistance(a, b, 99) === 0).toBe(a === b);
      }),
    );
  });
});

describe("texts and numbers", () => {
  test("numbers in texts sort as numbers, accents by locale", () =>
    expect(
      ["Tern 10", "Tern 2", "Áudit", "berth 10", "berth 2"].sort((a, b) => compareTexts(a, b)),
    ).toEqual(["Áudit", "berth 2", "berth 10", "Tern 2", "Tern 10"]));
  test("case folds by one rule, accents stay", () =>
    expect([
      folded("CANÇÃO"),
      folded("e\u0301") === folded("é"),
      folded("é") === folded("e"),
    ]).toEqual(["canção", true, false]));
  test("thousands have thin spaces, minus is a minus", () =>
    expect([numberText("1234567.891"), numberText("-5", 0), numberText("0.005")]).toEqual([
      "1\u202f234\u202f567.89",
      "\u22125",
      "0.01",
    ]));
  test("decimals are plain, rounded half to even", () =>
    expect([
      decimalText("1e-7"),
      decimalText("2.50"),
      decimalText("0.0000000000005"),
      decimalText("-0"),
    ]).toEqual(["0.0000001", "2.5", "0", "0"]));
  test("order of texts is total", () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) =>
        expect(Math.sign(compareTexts(a, b)) + Math.sign(compareTexts(b, a))).toBe(0),
      ),
    );
  });
});
