import type { QuestionRead } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import { sectionsOf } from "./sections";
import { sentenceWords, stretchesOf } from "./stretches";

const reading = (sentence: string, more: object = {}) => ({
  text: sentence,
  report: {} as never,
  sentence,
  pictured: `${sentence} as bars`,
  uses: [],
  isSure: true,
  doubts: [],
  chose: [],
  reports: 0,
  figure: "12",
  ...more,
});
const taking = (means: string, reports = 0) => ({
  isSure: false,
  chose: [{ words: "urgent", means }],
  reports,
});
const read: QuestionRead = {
  readings: [
    reading("count faults where priority is P1", taking("priority is P1", 14)),
    reading(
      "count faults where priority is any of (P1, P2)",
      taking("priority is any of (P1, P2)"),
    ),
  ],
  near: [
    { label: "by month", pictured: "count faults by month of created as columns", figure: "12" },
  ],
  there: [{ id: 4, name: "Loud faults", same: "conditions" }],
};
const item: Found = {
  kind: "item",
  words: "D100 The gate is stuck",
  about: "item",
  href: "/items/D100",
};
const report: Found = { kind: "report", words: "Loud faults", about: "report", href: "/reports/4" };

test("what is called exactly so comes before every reading; what only has the words in it comes last", () => {
  expect(sectionsOf([item], read, "d100").map(({ key }) => key)).toEqual([
    "found",
    "readings urgent",
    "near",
    "there",
  ]);
  expect(sectionsOf([item], read, "urgent faults").map(({ key }) => key)).toEqual([
    "readings urgent",
    "near",
    "there",
  ]);
  expect(sectionsOf([item], read, "urgent faults")[2].options.map(({ href }) => href)).toEqual([
    "/reports/4",
    "/items/D100",
  ]);
});

test("a report is offered once, and other readings go to their own sentence", () => {
  const sections = sectionsOf([report], read, "urgent faults");
  expect(
    sections.flatMap(({ options }) => options).filter(({ href }) => href === "/reports/4"),
  ).toHaveLength(1);
  expect(sections[0]).toMatchObject({
    head: "“urgent”",
    options: [
      { words: "priority is P1", kind: "taken", about: "as 14 reports say it", figure: "12" },
      {
        words: "priority is any of (P1, P2)",
        kind: "other",
        about: "",
        href: `/reports/new?s=${encodeURIComponent("count faults where priority is any of (P1, P2) as bars")}`,
      },
    ],
  });
  const ids = sections.flatMap(({ options }) => options.map(({ id }) => id));
  expect(new Set(ids).size).toBe(ids.length);
});

test("where nothing is read, what is found and what can be asked is offered", () => {
  const none: QuestionRead = { readings: [], near: read.near, there: [] };
  expect(sectionsOf([item], none, "gate").map(({ key, head }) => [key, head])).toEqual([
    ["found", "Called"],
    ["near", "What can be asked"],
  ]);
});

test("each stretch says what it became; fillers that stand together are one, what is doubtful is a guess", () => {
  const question = "please show urgent faults of the moon";
  const at = (words: string) => ({
    from: question.indexOf(words),
    to: question.indexOf(words) + words.length,
  });
  expect(
    stretchesOf({
      text: question,
      doubts: ['"urgent" could be 2 things', '"moon" was not understood'],
      uses: [
        { ...at("please"), part: "filler", rule: "" },
        { ...at("show"), part: "filler", rule: "" },
        {
          ...at("urgent"),
          part: "condition",
          rule: "a priority by its rank",
          means: "priority is P1",
        },
        { ...at("faults"), part: "subject", rule: "a kind", means: "faults" },
        { ...at("of"), part: "filler", rule: "" },
        { ...at("the"), part: "filler", rule: "" },
        { ...at("moon"), part: "not understood", rule: "" },
      ],
    }).map(({ words, state, means }) => [words, state, means]),
  ).toEqual([
    ["please show", "none", "left out"],
    ["urgent", "guess", "priority is P1"],
    ["faults", "sure", "faults"],
    ["of the", "none", "left out"],
    ["moon", "guess", "not understood"],
  ]);
});

test("joining words stand apart, but not those inside a name", () => {
  const parts = sentenceWords('count faults where service is "by and for" by team as bars');
  expect(parts.filter(({ joins }) => joins).map(({ text }) => text)).toEqual(["where", "by", "as"]);
  expect(parts.map(({ text }) => text).join("")).toBe(
    'Count faults where service is "by and for" by team as bars',
  );
});
