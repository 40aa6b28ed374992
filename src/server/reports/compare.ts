import type { QuickLook, ShownComparison } from "@/contract/figures";
import { type Report, parseSentence, printReport } from "@/core/kinds";
import {
  planCompare,
  planRecords,
  planValueCounts,
  type Opened,
  type Other,
  viewOf,
} from "@/core/kinds/planned";
import { headOf } from "@/core/answer";

import { conditionText } from "@/core/sentence";

import { fine, numberText, refused, type Result } from "@/core/base";

import { type EntityManager, runPlan } from "@/data";
import { loadReport } from "../library/reports";
import type { Desk } from "../viewer/viewpoint";

export type CompareWith =
  | { readonly kind: "report"; readonly id: number }
  | { readonly kind: "filter"; readonly id: number }
  | { readonly kind: "sentence"; readonly sentence: string }
  | { readonly kind: "keys"; readonly text: string };

/** Holds the records of a report, or of a part of it, against another way of asking: in both, only here, only there, and what parts them. */
export async function compareWith(
  em: EntityManager,
  desk: Desk,
  report: Report,
  opened: Opened | undefined,
  other: CompareWith,
): Promise<Result<ShownComparison>> {
  const view = viewOf(report, desk.view);
  const { catalog } = view;
  const found = await otherOf(em, desk, report, other);
  if (!found.ok) return found;
  const { words, unknown = [] } = found.value;
  const compared = await runPlan(em, planCompare(report, opened, found.value.other, view));
  const lines = async (ids: readonly number[]) => {
    if (ids.length === 0 || report.subject.id !== "items") return [];
    const list = {
      kind: "list" as const,
      subject: { id: "items" as const },
      showing: [],
      sorts: [],
    };
    const rows = await runPlan(
      em,
      planRecords(
        list,
        {
          showing: [["key"], ["title"]],
          sorts: [{ field: ["key"] }],
          offset: 0,
          limit: 50,
          only: ids,
        },
        { ...view, deletedToo: true },
      ),
    );
    return rows.rows.map((row) => ({ key: row.key!, title: String(row.values[1] ?? "") }));
  };
  return fine({
    other: words,
    both: compared.both.length,
    onlyHere: await lines(compared.onlyHere),
    onlyThere: await lines(compared.onlyThere),
    onlyHereCount: compared.onlyHere.length,
    onlyThereCount: compared.onlyThere.length,
    unknown,
    partedBy: compared.partedBy.map(({ condition, side, fails }) => ({
      says: condition
        ? conditionText(condition, catalog, report.subject.id)
        : catalog.subjectWords(report.subject),
      side,
      fails,
    })),
  });
}

async function otherOf(
  em: EntityManager,
  desk: Desk,
  report: Report,
  given: CompareWith,
): Promise<Result<{ other: Other; words: string; unknown?: string[] }>> {
  const { catalog } = desk.view;
  const fits = (other: Report, words: string) =>
    other.subject.id === report.subject.id
      ? fine({ other: { kind: "report" as const, report: other }, words })
      : refused({
          code: "compare.subject",
          message: `That is about ${catalog.subjectWords(other.subject)}, and this about ${catalog.subjectWords(report.subject)}.`,
        });
  switch (given.kind) {
    case "report": {
      const kept = await loadReport(em, desk.viewer, given.id);
      return kept
        ? fits(kept.definition, kept.name)
        : refused({ code: "compare.none", message: "There is no such report." });
    }
    case "filter": {
      const filter = catalog.findFilter(given.id);
      return filter
        ? fits(
            {
              kind: "list",
              subject: { ...filter.subject, filter: filter.id },
              showing: [],
              sorts: [],
            },
            filter.name,
          )
        : refused({ code: "compare.none", message: "There is no such saved filter." });
    }
    case "sentence": {
      const parsed = parseSentence(given.sentence, desk.view);
      return parsed.ok
        ? fits(parsed.value, printReport(parsed.value, catalog))
        : refused(...parsed.problems);
    }
    case "keys": {
      const keys = [...new Set(given.text.split(/[\s,;]+/).filter(Boolean))];
      if (report.subject.id !== "items")
        return refused({ code: "compare.subject", message: "Only items have keys to paste." });
      if (keys.length === 0)
        return refused({
          code: "compare.keys",
          message: "Paste the keys of items, parted by spaces, commas or lines.",
        });
      const where = {
        kind: "test" as const,
        field: ["key"],
        operator: "isAnyOf" as const,
        values: keys.slice(0, 5000).map((text) => ({ kind: "text" as const, text })),
      };
      const known = await runPlan(
        em,
        planRecords(
          { kind: "list", subject: { id: "items" }, where, showing: [], sorts: [] },
          { showing: [], sorts: [], offset: 0, limit: 10_000 },
          desk.view,
        ),
      );
      const found = new Set(known.rows.map((row) => row.key!.toUpperCase()));
      return fine({
        other: { kind: "keys", keys },
        words: `${numberText(keys.length)} pasted keys`,
        unknown: keys.filter((key) => !found.has(key.toUpperCase())).slice(0, 50),
      });
    }
  }
}

/** How many records have nothing in a field, and which values come more than once. */
export async function quickLook(
  em: EntityManager,
  desk: Desk,
  report: Report,
  opened: Opened | undefined,
  field: readonly string[],
): Promise<QuickLook> {
  const { tier, view, records, missing, values } = await runPlan(
    em,
    planValueCounts(report, opened, field, viewOf(report, desk.view)),
  );
  const doubled = values.filter(({ count }) => count > 1).slice(0, 12);
  return {
    records,
    missing,
    different: values.length,
    doubled: doubled.map(({ key, count }) => ({
      value: headOf(key, tier, view, null).label,
      count,
    })),
  };
}
