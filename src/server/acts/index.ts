import type { ZodType } from "zod";
import { actContracts, type ActId } from "@/contract/acts";
import { unitOfWork } from "@/data";
import { asRefused, nothingHere, Refused } from "../refused";
import { unreadableIn } from "../untrusted";
import type { Act, ActContext, ActsOf } from "./act";
import { briefingActs } from "./briefings";
import { dashboardActs } from "./dashboards";
import { figureActs } from "./figures";
import { itemActs } from "./items";
import { libraryActs } from "./library";
import { mailActs } from "./mail";
import { noteActs } from "./notes";
import { hoursActs } from "./hours";
import { projectActs } from "./projects";
import { roomActs } from "./rooms";
import { questionActs } from "./questions";
import { workspaceActs } from "./workspace";

/** Everything that the rooms can ask for or do. */
export const acts: ActsOf<typeof actContracts> = {
  ...figureActs,
  ...libraryActs,
  ...dashboardActs,
  ...mailActs,
  ...noteActs,
  ...itemActs,
  ...questionActs,
  ...workspaceActs,
  ...projectActs,
  ...roomActs,
  ...hoursActs,
  ...briefingActs,
};

export const isAct = (id: string): id is ActId => Object.hasOwn(acts, id);

/**
 * The one gate of the rooms: may they, is it understood, do it. What changes something is one unit of work.
 * @throws Refused for what a person can mend
 */
export async function perform(id: ActId, context: ActContext, body: unknown): Promise<unknown> {
  const act: Act<never, unknown> = acts[id];
  if (act.roles && !act.roles.includes(context.desk.viewer.role)) throw nothingHere();
  const unreadable = unreadableIn(body);
  if (unreadable) throw notUnderstood(unreadable.path, unreadable.why);
  const asks: ZodType = actContracts[id].asks;
  const asked = asks.safeParse(body);
  if (!asked.success) throw notUnderstood(asked.error.issues[0].path.map(String).join("."));
  const run = (em: ActContext["em"]) => act.run({ ...context, em }, asked.data as never);
  try {
    return await (act.changes
      ? unitOfWork(context.em, async (unit) => run(unit))
      : run(context.em));
  } catch (error) {
    throw asRefused(error);
  }
}

/** Says at which part a request was not understood. */
function notUnderstood(at: string, why = ""): Refused {
  const because = why && `: ${why}`;
  return new Refused(
    [
      {
        code: "request",
        message: `The request is not understood${at ? ` at ${at}` : ""}${because}.`,
        ...(at ? { path: at } : {}),
      },
    ],
    400,
  );
}
