import { planTold, type Told } from "@/core/briefing/planned";
import { invariant } from "@/core/base";
import { runPlan, type EntityManager } from "@/data";
import type { Desk } from "../viewer/viewpoint";

/** The answer of a sentence of our own, which is always understood. @param most records that are told one by one */
export async function tell(
  em: EntityManager,
  view: Desk["view"],
  says: string,
  stood: string | null = null,
  most?: number,
): Promise<Told> {
  const told = await runPlan(em, planTold(says, view, stood, most));
  invariant(told.gone === null, `${says}: ${told.gone}`);
  return told;
}
