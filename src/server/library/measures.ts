import { checkMeasure } from "@/core/kinds";
import { fine, refused, type Result } from "@/core/base";
import { SUBJECT_IDS, type AskContext, type SubjectId } from "@/core/catalog";
import { PlainMeasureSchema } from "@/core/definition";

import { type EntityManager, type Viewer, withConnection } from "@/data";
import { isAdministrator, mayBuild } from "./kept";

/** Gives a measure a name and a line that says what it means; every report can say it by that name. */
export async function saveMeasure(
  em: EntityManager,
  viewer: Viewer,
  context: AskContext,
  given: { id?: number; name: string; means: string; subject: string; measure: unknown },
): Promise<Result<number>> {
  if (!mayBuild(viewer))
    return refused({
      code: "measure.right",
      message: "Members use named measures; ask a builder to name this one.",
    });
  const [name, means] = [given.name.trim(), given.means.trim()];
  if (!name || name.length > 100)
    return refused({
      code: "measure.name",
      message: "A measure needs a name of at most 100 characters.",
      path: "name",
    });
  if (!means || means.length > 300)
    return refused({
      code: "measure.means",
      message: "Say in one line what it means.",
      path: "means",
    });
  const read = PlainMeasureSchema.safeParse(given.measure);
  if (!read.success || !SUBJECT_IDS.includes(given.subject as SubjectId))
    return refused({ code: "measure.shape", message: "This measure is not understood." });
  const wrong = checkMeasure(read.data, given.subject as SubjectId, context);
  if (wrong.length) return refused(...wrong);
  return withConnection(em, async (client) => {
    const twice = await client.query(
      "SELECT 1 FROM named_measures WHERE lower(name) = lower($1) AND id IS DISTINCT FROM $2",
      [name, given.id ?? null],
    );
    if (twice.rowCount)
      return refused({
        code: "measure.name",
        message: `There is a measure called ${name} already.`,
        path: "name",
      });
    const values = [name, means, given.subject, JSON.stringify(read.data), viewer.person];
    const { rows } =
      given.id === undefined
        ? await client.query<{ id: number }>(
            "INSERT INTO named_measures (name, means, subject, measure, owner_id) VALUES ($1, $2, $3, $4, $5) RETURNING id",
            values,
          )
        : await client.query<{ id: number }>(
            "UPDATE named_measures SET name = $1, means = $2, subject = $3, measure = $4 WHERE id = $6 AND (owner_id = $5 OR $7) RETURNING id",
            [...values, given.id, isAdministrator(viewer)],
          );
    if (!rows[0])
      return refused({ code: "measure.right", message: "This measure is somebody else's." });
    await client.query("UPDATE workspace SET names_version = names_version + 1");
    return fine(rows[0].id);
  });
}
