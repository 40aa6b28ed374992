import { acts, Refused, systemClock, type ActId } from "@/server/web";
import { failed, isOurs, notSignedIn, readJson, refusedWith, told } from "../../../reply";
import { currentDesk } from "../../../session";

/** Every act of the rooms: who is signed in, may they, is it understood, do it. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ act: string }> },
): Promise<Response> {
  const { act: id } = await params;
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    if (!Object.hasOwn(acts, id) || !isOurs(request))
      return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    const act = acts[id as ActId];
    if ("roles" in act && act.roles && !act.roles.includes(found.desk.viewer.role))
      return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    const asked = act.asks.safeParse(await readJson(request));
    if (!asked.success)
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    return told(await act.run({ ...found, clock: systemClock }, asked.data as never));
  } catch (error) {
    return error instanceof Refused ? refusedWith(error.problems, error.status) : failed(error);
  }
}
