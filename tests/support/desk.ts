import { type Report, parseSentence } from "@/core/kinds";

import { loadViewer, withConnection, type EntityManager } from "@/data";
import type { Clock } from "@/server/clock";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";

/** The desk of somebody by login. */
export async function deskFor(em: EntityManager, login: string, clock: Clock): Promise<Desk> {
  const viewer = await withConnection(em, async (client) =>
    loadViewer(
      client,
      (await client.query<{ id: number }>("SELECT id FROM people WHERE login = $1", [login]))
        .rows[0].id,
    ),
  );
  return deskOf(em, viewer!, clock);
}

/** The report that a sentence says; one that does not read fails the test with its reason. */
export function reportOf(sentence: string, { view }: Pick<Desk, "view">): Report {
  const parsed = parseSentence(sentence, view);
  if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
  return parsed.value;
}
