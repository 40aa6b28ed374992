import type { KeptReport } from "@/contract/library";
import { groupsOf, checkReport } from "@/core/kinds";

import { type EntityManager } from "@/data";

import type { Desk } from "../viewer/viewpoint";
import { answerCount } from "./answerReport";
import { tellOnce } from "./notes";

/** Tells the owner of a report with folds of values that came later and are in no fold yet; each once. */
export async function noteUnplaced(
  em: EntityManager,
  desk: Desk,
  report: KeptReport,
): Promise<void> {
  const { definition, dress } = report;
  if (
    definition.kind !== "count" ||
    !groupsOf(definition).some((group) => group.folds?.length) ||
    checkReport(definition, desk.view).length
  )
    return;
  const answer = await answerCount(em, definition, desk.view);
  const places = groupsOf(definition).map((group, i) => ({
    group,
    place: i < definition.by.length ? String(i) : "split",
    heads: i < definition.by.length ? answer.rows.map((row) => row.path[i]) : answer.split,
  }));
  for (const { group, place, heads } of places) {
    const known = dress.placed[place];
    if (!group.folds?.length || !known) continue;
    for (const head of new Map(heads.map((one) => [one.key, one])).values()) {
      if (head.kind !== "value" || known.includes(head.key)) continue;
      await tellOnce(em, report.owner.id, {
        about: `unplaced/${report.id}/${place}/${head.key}`,
        words: `${head.label} is not placed yet in ${report.name}: it came after its folds were made.`,
        href: `/reports/${report.id}`,
      });
    }
  }
}
