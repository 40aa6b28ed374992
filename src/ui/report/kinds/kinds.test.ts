import fc from "fast-check";
import {
  checkReport,
  parseSentence,
  printReport,
  sentencePieces,
  type Report,
  shapeInput,
} from "@/core/kinds";
import type { Area } from "@/core/sentence";
import { shapes, whyNot } from "@/core/shapes";
import { arbitraryHistory, arbitraryReport } from "../../../../tests/support/arbitrary";
import { sampleContext } from "../../../../tests/support/sample";
import { COMMON, CONDITIONS, builderKindOf, stoodAddition, type Picker } from ".";

const context = sampleContext();
const anyReport = fc.oneof(arbitraryReport(context), arbitraryHistory(context));
const shared: { readonly [A in Area]?: Picker } = COMMON;

test("every part of a sentence has what chooses it", () => {
  fc.assert(
    fc.property(anyReport, (report) => {
      for (const { part } of sentencePieces(report, context.catalog))
        if (part)
          expect(builderKindOf(report).pickers[part.area] ?? shared[part.area]).toBeInstanceOf(
            Function,
          );
    }),
    { numRuns: 300 },
  );
});

/** As the room keeps it: without a shape that cannot show it. */
function fitting(report: Report): Report {
  if (!report.shape || !whyNot(shapes[report.shape], shapeInput(report, context.catalog)))
    return report;
  const { shape: _shape, ...rest } = report;
  return rest as Report;
}

test("whatever is added at once makes a report that stands, and says itself", () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(anyReport, (given) => {
      const report = fitting(given);
      fc.pre(checkReport(report, context).length === 0);
      for (const addition of builderKindOf(report).additions(report, context)) {
        if (addition.isDisabled || !("say" in addition)) continue;
        const said = fitting(addition.say(report, context));
        seen.add(`${report.kind}: ${addition.label}`);
        expect([
          addition.label,
          printReport(report, context.catalog),
          checkReport(said, context),
        ]).toEqual([addition.label, expect.any(String), []]);
        const sentence = printReport(said, context.catalog);
        const read = parseSentence(sentence, context);
        expect(read.ok && printReport(read.value, context.catalog)).toBe(sentence);
      }
    }),
    { numRuns: 400 },
  );
  for (const one of [
    "count: and …",
    "count: list instead",
    "count: swap the axes",
    "count: level instead",
    "count: bridge instead",
    "crossings: with …",
    "crossings: running total",
    "burndown: list instead",
    "velocity: list instead",
  ])
    expect(seen).toContain(one);
});

test("what is said already is not offered again", () => {
  fc.assert(
    fc.property(anyReport, (report) => {
      const labels = [
        ...CONDITIONS,
        ...builderKindOf(report).additions(report, context),
        ...stoodAddition(report),
      ].map(({ label }) => label);
      expect(new Set(labels).size).toBe(labels.length);
      if ("split" in report && report.split) expect(labels).not.toContain("split by …");
      if ("runningTotal" in report && report.runningTotal)
        expect(labels).not.toContain("running total");
      if (report.stood) expect(labels).not.toContain("as it stood on …");
    }),
    { numRuns: 200 },
  );
});
