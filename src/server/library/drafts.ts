import { DressSchema } from "@/core/definition/schemas";
import { ReportSchema } from "@/core/kinds/schemas";
import type { KeptDraft } from "@/contract/library";
import { z } from "zod";

import { findDraft, putDraft, type EntityManager, type Viewer } from "@/data";

const Body = z.object({ report: ReportSchema, dress: DressSchema, name: z.string().max(200) });

/** What somebody was making of a report (0: of a new one), kept as they type; null for nothing, or for what no longer reads. */
export async function loadDraft(
  em: EntityManager,
  viewer: Viewer,
  report: number,
): Promise<KeptDraft | null> {
  const kept = await findDraft(em, viewer.person, report);
  const read = Body.safeParse(kept?.body);
  return kept && read.success ? { ...read.data, baseVersion: kept.baseVersion } : null;
}

export async function keepDraft(
  em: EntityManager,
  viewer: Viewer,
  report: number,
  draft: KeptDraft | null,
): Promise<true> {
  const kept = draft && {
    body: { report: draft.report, dress: draft.dress, name: draft.name },
    baseVersion: draft.baseVersion,
  };
  await putDraft(em, viewer.person, report, kept);
  return true;
}
