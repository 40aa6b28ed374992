import { fresh, unitOfWork, type EntityManager } from "../database";
import { Draft } from "../entities";

const KEPT_MS = 60 * 86_400_000;

/** What somebody was making of a report (0: of a new one), as it was kept; null for nothing, or for what is too old. */
export async function findDraft(
  em: EntityManager,
  person: number,
  report: number,
): Promise<{ body: unknown; baseVersion: number } | null> {
  return fresh(em).findOne(Draft, {
    person,
    kind: "report",
    targetId: report,
    updatedAt: { $gt: new Date(Date.now() - KEPT_MS) },
  });
}

export const putDraft = (
  em: EntityManager,
  person: number,
  report: number,
  draft: { body: Record<string, unknown>; baseVersion: number } | null,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const at = { person, kind: "report" as const, targetId: report };
    if (draft) await unit.upsert(Draft, { ...at, ...draft, updatedAt: new Date() });
    else await unit.nativeDelete(Draft, at);
  });
