import { ReportSchema } from "@/core/kinds";
import { z } from "zod";
import { DressSchema } from "@/core/definition";
import type { KeptDraft } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";

const Body = z.object({ report: ReportSchema, dress: DressSchema, name: z.string().max(200) });

/** What somebody was making of a report (0: of a new one), kept as they type; null for nothing, or for what no longer reads. */
export async function loadDraft(
  em: EntityManager,
  viewer: Viewer,
  report: number,
): Promise<KeptDraft | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ body: unknown; base_version: number }>(
      "SELECT body, base_version FROM drafts WHERE person_id = $1 AND kind = 'report' AND target_id = $2 AND updated_at > now() - interval '60 days'",
      [viewer.person, report],
    );
    const read = Body.safeParse(rows[0]?.body);
    return read.success ? { ...read.data, baseVersion: rows[0].base_version } : null;
  });
}

export async function keepDraft(
  em: EntityManager,
  viewer: Viewer,
  report: number,
  draft: KeptDraft | null,
): Promise<true> {
  await withConnection(em, (client) =>
    draft
      ? client.query(
          "INSERT INTO drafts (person_id, kind, target_id, base_version, body) VALUES ($1, 'report', $2, $3, $4) ON CONFLICT (person_id, kind, target_id) DO UPDATE SET base_version = excluded.base_version, body = excluded.body, updated_at = now()",
          [
            viewer.person,
            report,
            draft.baseVersion,
            JSON.stringify({ report: draft.report, dress: draft.dress, name: draft.name }),
          ],
        )
      : client.query(
          "DELETE FROM drafts WHERE person_id = $1 AND kind = 'report' AND target_id = $2",
          [viewer.person, report],
        ),
  );
  return true;
}
