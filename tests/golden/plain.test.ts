import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { Catalog, readMoneyRules, type AskContext, type CatalogData } from "@/core/catalog";
import { parseSentence, printReport, type Report } from "@/core/kinds";
import { nearTo, pictured, readQuestion } from "@/core/plain";
import { checkReport } from "@/core/kinds";
import { parseInstant } from "@/core/time";

/** Everyday questions over the names of the demo, and the sentences that they mean. */
const file = (name: string): string => readFileSync(join(__dirname, name), "utf8").trim();
const data: CatalogData = {
  ...(JSON.parse(file("demoNames.json")) as Omit<CatalogData, "money">),
  money: readMoneyRules({}),
};
const context: AskContext = {
  catalog: new Catalog(data),
  now: parseInstant("2026-11-29T18:00:00Z")!,
  calendar: {
    zone: "Europe/Lisbon",
    weekStarts: "Mon",
    fiscalYearStarts: 4,
    workingDays: [1, 2, 3, 4, 5],
    workingHours: { from: 540, to: 1020 },
    holidays: new Set<string>(),
    locale: "en",
  },
};
const pairs = (name: string) =>
  file(name)
    .split("\n")
    .map((line) => line.split("\t") as [question: string, sentence: string]);

const meant = (sentence: string): string => {
  const parsed = parseSentence(sentence, context);
  if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
  return plainly(parsed.value);
};
/** Conditions that are joined by "and" mean the same in any order. */
const plainly = (report: Report): string => {
  const sentence = printReport(report, context.catalog);
  const [, before, where, after] =
    /^(.*? where )(.*?)((?: by | split by | for | compared | at | from | as | sorted | showing | per ).*)?$/.exec(
      sentence,
    ) ?? [];
  return where ? `${before}${where.split(" and ").sort().join(" and ")}${after ?? ""}` : sentence;
};
const read = (question: string): string => {
  const [best] = readQuestion(question, context);
  if (!best) return "not read";
  return `${best.isSure ? "" : `[${best.doubts.join("; ")}] `}${plainly(best.report)}`;
};

describe("questions and the sentences they mean", () => {
  test.each(pairs("plain.tsv"))("%s", (question, sentence) => {
    expect(read(question)).toBe(meant(sentence));
  });
  test.each(pairs("plainOwn.tsv"))("%s", (question, sentence) => {
    expect(read(question)).toBe(meant(sentence));
  });
});

describe("questions that are doubted or refused", () => {
  test.each(file("plainDoubted.txt").split("\n"))("%s", (question) => {
    const readings = readQuestion(question, context);
    expect(readings.filter(({ isSure }) => isSure).map(({ sentence }) => sentence)).toEqual([]);
    for (const { doubts } of readings) expect(doubts).not.toEqual([]);
  });
});

/** Pieces that questions are made of, in any order. */
const PIECES =
  "how many|show me|which|open|overdue|unassigned|faults|requests|stories|tickets|by team|per service|each month|by priority and status|last month|this week|since Monday|in October|over the last 12 weeks|P1|Engine shop|my|Tomas'|average age of|median lead time of|share of|trend of|top 5 services by|as a pie|oldest first|not P4|older than 30 days|for|the|and|of|closed|created|compared with last month|on 1 June|gate readers|xyzzy|moon".split(
    "|",
  );
const anyQuestion = fc
  .array(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 9 })
  .map((pieces) => pieces.join(" "));

test("whatever is asked: a reading is a sentence that reads back as itself, and a sure one has used every word", () => {
  fc.assert(
    fc.property(anyQuestion, (question) => {
      for (const { text, report, sentence, uses, isSure, doubts } of readQuestion(
        question,
        context,
      )) {
        const back = parseSentence(sentence, context);
        expect(back.ok && printReport(back.value, context.catalog)).toBe(sentence);
        expect(printReport(report, context.catalog)).toBe(sentence);
        expect(checkReport(report, context)).toEqual([]);
        expect(isSure).toBe(doubts.length === 0);
        const covered = new Set(
          uses.flatMap(({ from, to }) => Array.from({ length: to - from }, (_, i) => from + i)),
        );
        const bare = [...text].filter(
          (letter, i) => /[\p{L}\p{N}]/u.test(letter) && !covered.has(i),
        );
        if (isSure) expect([question, bare.join("")]).toEqual([question, ""]);
        if (isSure) expect(uses.some(({ part }) => part === "not understood")).toBe(false);
        if (/xyzzy|moon/.test(question)) expect(isSure).toBe(false);
      }
    }),
    { numRuns: 400 },
  );
});

test("any text at all is read or not, without a fault", () => {
  fc.assert(
    fc.property(fc.string({ unit: "grapheme", maxLength: 60 }), (text) => {
      for (const { text: read, uses } of readQuestion(text, context))
        for (const { from, to } of uses) expect(from < to && to <= read.length).toBe(true);
    }),
    { numRuns: 300 },
  );
});

test("what could be several things has several readings, and none is sure", () => {
  const readings = readQuestion("urgent open faults", context);
  expect(readings.map(({ sentence }) => sentence)).toEqual([
    "list faults where priority is P1 and status is open",
    "list faults where priority is any of (P1, P2) and status is open",
  ]);
  expect(readings.every(({ isSure }) => !isSure)).toBe(true);
  const site = readQuestion("open items of Booking site", context);
  expect(site.map(({ sentence }) => sentence)).toEqual([
    'list items where status is open and team is "Booking site"',
    'list items where status is open and service is "Booking site"',
  ]);
  expect(read("open items of the Booking site team")).toBe(
    meant('list items where status is open and team is "Booking site"'),
  );
});

test("misspelt words are read as what they were meant to be, where that is one thing", () => {
  expect(read("open falts by prioirty")).toBe(
    meant("count faults where status is open by priority"),
  );
  expect(read("open items of Lnading systems")).toBe(
    meant('list items where status is open and team is "Landing systems"'),
  );
});

test("a sentence is a question that is sure", () => {
  expect(readQuestion("count faults by team as bars", context)).toMatchObject([
    { sentence: "count faults by team as bars", isSure: true },
  ]);
});

test("what is asked nearly so can be asked, and every reading has a picture that fits", () => {
  for (const [question] of pairs("plain.tsv")) {
    const [best] = readQuestion(question, context);
    expect(checkReport(pictured(best.report, context), context)).toEqual([]);
    expect(pictured(best.report, context).shape).toBeTruthy();
    for (const { report } of nearTo(best.report, context))
      expect(checkReport(report, context)).toEqual([]);
  }
});
