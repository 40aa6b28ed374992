import { planTold, type Beside, type Told } from "@/core/briefing/planned";
import { invariant } from "@/core/base";
import { runPlan, type EntityManager } from "@/data";
import type { Desk } from "../viewer/viewpoint";

/** The answer of a sentence of our own, which is always understood. */
export async function tell(
  em: EntityManager,
  view: Desk["view"],
  says: string,
  stood: string | null = null,
  beside: Beside = {},
): Promise<Told> {
  const told = await runPlan(em, planTold(says, view, stood, beside));
  invariant(told.gone === null, `${says}: ${told.gone}`);
  return told;
}
