import fc from "fast-check";
import {
  guessStage,
  instantCell,
  listOf,
  listText,
  proposeType,
  readCell,
  readFieldType,
  sameNumber,
  settleItem,
  type BundleMove,
} from ".";
import { TRACKED, type TrackedValues } from "../history";
import { instantText } from "../time";

const ZONE = "Europe/Lisbon";
const NONE = Object.fromEntries(TRACKED.map((field) => [field, null])) as unknown as TrackedValues;

describe("cells", () => {
  test("a bare date is the end of its day where something ends, else its start", () => {
    const at = (kind: "instant" | "end") => {
      const cell = instantCell("2026-07-01", kind, ZONE);
      return "value" in cell ? instantText(cell.value) : cell.reason;
    };
    expect([at("instant"), at("end")]).toEqual([
      "2026-06-30T23:00:00Z",
      "2026-07-01T22:59:59.999999Z",
    ]);
  });
  test("a bare local time is taken in the workspace's zone", () => {
    expect(readCell("2026-07-01T10:00:00", "instant", ZONE)).toEqual({
      value: Date.UTC(2026, 6, 1, 9) * 1000,
    });
  });
  test.each([
    ["maybe", "yesNo", /neither yes nor no/],
    ["1,5", "number", /not a number/],
    [" 5", "number", /not a number/],
    ["32/01/2026", "day", /not a date/],
    ["later", "stage", /not one of/],
    ["4 hours", "target", /not a target/],
    ["2026-13", "month", /not a month/],
    ["boss", "role", /not one of/],
  ] as const)("%s is refused as %s", (text, kind, reason) => {
    expect(readCell(text, kind, ZONE)).toEqual({ reason: expect.stringMatching(reason) });
  });
  test("an empty cell is nothing, or an empty list", () => {
    expect([readCell("", "number", ZONE), readCell("", "list", ZONE)]).toEqual([
      { value: null },
      { value: [] },
    ]);
  });
  test("lists have semicolons inside as \\;", () => {
    expect(listOf("a; b\\;c ;;a")).toEqual(["a", "b;c"]);
    const part = fc
      .string({ minLength: 1 })
      .filter((text) => text.trim() === text && !text.includes("\\"));
    fc.assert(
      fc.property(fc.uniqueArray(part, { maxLength: 5 }), (parts) =>
        expect(listOf(listText(parts))).toEqual(parts),
      ),
    );
  });
  test("numbers compare as numbers", () =>
    expect([sameNumber("3.50", "3.5"), sameNumber("3", null), sameNumber(null, null)]).toEqual([
      true,
      false,
      true,
    ]));
});

describe("custom fields", () => {
  test.each([
    ["text", { type: "text", many: false }],
    ["yes/no", { type: "yesNo", many: false }],
    ["person", { type: "thing", many: false }],
    ["list of choices", { type: "choice", many: true }],
    ["list of people", { type: "thing", many: true }],
    ["list of dates", null],
    ["colour", null],
  ])("the type %s", (words, type) => expect(readFieldType(words)).toEqual(type));
  test.each([
    [["1", "2.5", ""], "number"],
    [["2026-01-01", "2026-02-01"], "date"],
    [["yes", "no"], "yesNo"],
    [
      ["calm", "calm", "calm", "calm", "calm", "storm", "storm", "storm", "storm", "storm"],
      "choice",
    ],
    [["one", "two"], "text"],
    [[], "text"],
  ])("%j is proposed as %s", (values, type) => expect(proposeType(values).type).toBe(type));
  test.each([
    ["Done", "finished"],
    ["In progress", "under way"],
    ["Backlog", "waiting"],
    ["Signed off", "finished"],
  ])("%s is guessed as %s", (status, stage) => expect(guessStage(status)).toBe(stage));
});

describe("the moves of a bundle and those that are there", () => {
  const move = (
    at: number,
    from: string | null,
    to: string | null,
    field: BundleMove["field"] = "status",
  ): BundleMove => ({ at, field, from, to, by: null });
  const life = (status: string, more: Partial<TrackedValues> = {}) => ({
    createdAt: 100,
    deletedAt: null,
    now: { ...NONE, status, ...more },
  });
  const settle = (
    item: ReturnType<typeof life>,
    brought: BundleMove[],
    stored?: { values: TrackedValues; moves: BundleMove[] },
  ) => settleItem(item, brought, stored, 9000, "importer");

  test("a new item takes all of them", () =>
    expect(settle(life("C"), [move(200, "A", "B"), move(300, "B", "C")])).toMatchObject({
      added: 2,
    }));
  test("the same again adds none", () => {
    const moves = [move(200, "A", "B"), move(200, "B", "A"), move(200, "A", "B")];
    expect(settle(life("B"), moves, { values: { ...NONE, status: "B" }, moves })).toMatchObject({
      added: 0,
      moves,
    });
  });
  test("equal moves at one instant are told apart by how many there are", () => {
    const stored = [move(200, "A", "B"), move(200, "B", "A")];
    const brought = [...stored, move(200, "A", "B"), move(200, "B", "A")];
    expect(
      settle(life("A"), brought, { values: { ...NONE, status: "A" }, moves: stored }),
    ).toMatchObject({ added: 2 });
  });
  test("a value that changed without a move becomes one, by who imports", () => {
    const settled = settle(life("B"), [], { values: { ...NONE, status: "A" }, moves: [] });
    expect(settled).toMatchObject({
      added: 1,
      moves: [{ at: 9000, field: "status", from: "A", to: "B", by: "importer" }],
    });
  });
  test("numbers that are written otherwise are no change", () => {
    expect(
      settle(life("A", { points: "3.0" }), [], {
        values: { ...NONE, status: "A", points: "3" },
        moves: [],
      }),
    ).toMatchObject({ added: 0 });
  });
  test("a gap in the story is told at its move", () =>
    expect(settle(life("D"), [move(200, "A", "B"), move(300, "C", "D")])).toMatchObject({
      move: 1,
      column: "from",
    }));
  test("an end that is not the present value is told at its last move", () =>
    expect(settle(life("D"), [move(200, "A", "B")])).toMatchObject({ move: 0, column: "to" }));
  test("before creation is told", () =>
    expect(settle(life("B"), [move(50, "A", "B")])).toMatchObject({ move: 0, column: "at" }));
  test("after deletion is told", () =>
    expect(
      settleItem({ ...life("B"), deletedAt: 150 }, [move(200, "A", "B")], undefined, 9000, null),
    ).toMatchObject({ column: "at" }));
});
