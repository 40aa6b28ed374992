import { PlainMeasureSchema } from "@/core/definition/schemas";
import { checkMeasure } from "@/core/kinds";
import { fine, folded, refused, type Result } from "@/core/base";
import { readyMeasures, SUBJECT_IDS, type AskContext, type SubjectId } from "@/core/catalog";

import { putMeasure, type EntityManager, type Viewer } from "@/data";
import { mayBuild } from "./kept";

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
  if (readyMeasures.some((ready) => folded(ready.name) === folded(name)))
    return refused({
      code: "measure.name",
      message: `Every workspace has a measure called ${name}: take another name.`,
      path: "name",
    });
  const read = PlainMeasureSchema.safeParse(given.measure);
  if (!read.success || !SUBJECT_IDS.includes(given.subject as SubjectId))
    return refused({ code: "measure.shape", message: "This measure is not understood." });
  const wrong = checkMeasure(read.data, given.subject as SubjectId, context);
  if (wrong.length) return refused(...wrong);
  const kept = await putMeasure(em, viewer, given.id, {
    name,
    means,
    subject: given.subject,
    measure: read.data,
  });
  if (kept === "taken")
    return refused({
      code: "measure.name",
      message: `There is a measure called ${name} already.`,
      path: "name",
    });
  return kept === "notYours"
    ? refused({ code: "measure.right", message: "This measure is somebody else's." })
    : fine(kept);
}
