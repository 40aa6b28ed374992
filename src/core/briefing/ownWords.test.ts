import fc from "fast-check";
import { isTooLong, placesIn, runsOf } from "./ownWords";
import { alone, asOwnWords, figuresIn, plainText, wordsOf, type Block } from "./text";
import { fromTogether, togetherOf } from "./together";
import type { Told } from "./told";

const said = (words: string) =>
  runsOf(words, (says, place) => ({ key: `own ${place}`, words: `<${says}>`, says }));

test("sentences in braces are figures, numbered through all paragraphs", () => {
  const words = "We have {count items} open.\n\nAnd {count faults} faults, {count tasks}.";
  expect(placesIn(words)).toEqual(["count items", "count faults", "count tasks"]);
  const runs = said(words);
  expect(runs.map((one) => one.map(wordsOf).join(""))).toEqual([
    "We have <count items> open.",
    "And <count faults> faults, <count tasks>.",
  ]);
  const blocks = runs.map((one): Block => ({ kind: "text", runs: one }));
  expect(figuresIn(blocks).map((figure) => figure.key)).toEqual(["own 0", "own 1", "own 2"]);
  expect(asOwnWords(blocks)).toBe(words);
});

test("what was written stays as it was written, whatever it is", () =>
  fc.assert(
    fc.property(fc.array(fc.stringMatching(/^[a-z {}.]{1,30}$/), { maxLength: 5 }), (parts) => {
      const words = parts.join("\n\n");
      const texts = runsOf(words, (says) => `{${says}}`).map((runs) => runs.map(wordsOf).join(""));
      const normal = (text: string) => text.replace(/\{\s+/g, "{").replace(/\s+\}/g, "}");
      expect(texts.map(normal)).toEqual(
        words
          .split(/\n{2,}/)
          .map((text) => normal(text.trim()))
          .filter(Boolean),
      );
    }),
  ));

test("there are at most twelve figures, and six thousand letters", () => {
  expect(isTooLong("{a}".repeat(12))).toBe(false);
  expect(isTooLong("{a}".repeat(13))).toBe(true);
  expect(isTooLong("a".repeat(6001))).toBe(true);
});

test("blocks read as plain text, drawings as nothing", () =>
  expect(
    plainText([
      { kind: "text", runs: ["a ", { strong: "b" }, { quiet: " c" }] },
      { kind: "drawing", title: "d", says: "level of items" },
      { kind: "table", title: "t", says: "list", columns: [], rows: [["1", "2"]], more: 0 },
      { kind: "note", words: "n" },
    ]),
  ).toBe("a b c\n1 · 2\nn"));

describe("fields of one project", () => {
  const of = (fields: string, stood = "") =>
    `list projects where project is this project showing ${fields}${stood}`;
  const then = " as it stood on 2026-10-31";

  test("are asked together, once for each day", () => {
    const together = togetherOf([
      of("health, manager"),
      of("manager, budget"),
      of("budget", then),
      "count items",
    ]);
    expect([...together]).toEqual([
      ["", of("health, manager, budget")],
      [then, of("budget", then)],
    ]);
  });

  test("are told under the sentence that asked them", () => {
    const told = { says: "all", records: 1 } as Told;
    expect(fromTogether(of("health"), { "": told })).toMatchObject({ says: of("health") });
    expect(fromTogether(of("health", then), { "": told })).toBeUndefined();
    expect(fromTogether("count items", { "": told })).toBeUndefined();
  });
});

test.each([
  ["open", "count items where status is open", "count items where status is open"],
  [
    "budget",
    "list projects where project is X showing budget, actual cost",
    "list projects where project is X showing budget",
  ],
  ["schedule gap", "list projects where project is X showing schedule gap", null],
  ["category yard", "sum of amount of cost entries by category", null],
  ["reached", "list milestones where project is X showing name, due", null],
])("the figure %s can stand alone as %s → %s", (key, says, own) => {
  expect(alone({ key, says, words: "7" })).toBe(own);
  const blocks: Block[] = [{ kind: "text", runs: ["It is ", { key, says, words: "7" }, "."] }];
  expect(asOwnWords(blocks)).toBe(own === null ? "It is 7." : `It is {${own}}.`);
});
