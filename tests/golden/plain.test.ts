import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Catalog, type AskContext, type CatalogData } from "@/core/catalog";
import { parseSentence, printReport, type Report } from "@/core/kinds";
import { readQuestion } from "@/core/plain";
import { parseInstant } from "@/core/time";

const file = (name: string): string => readFileSync(join(__dirname, name), "utf8");
const context: AskContext = {
  catalog: new Catalog(JSON.parse(file("demoNames.json")) as CatalogData),
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
const cases = file("plain.tsv")
  .trim()
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

test.each(cases)("%s", (question, sentence) => {
  const [best] = readQuestion(question, context);
  expect(
    best
      ? `${best.isSure ? "" : `[${best.doubts.join("; ")}] `}${plainly(best.report)}`
      : "not read",
  ).toBe(meant(sentence));
});
