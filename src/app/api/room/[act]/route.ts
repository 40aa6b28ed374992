import { isAct, perform, Refused, systemClock } from "@/server/web";
import { failed, isOurs, notSignedIn, readJson, refusedWith, told } from "../../../reply";
import { currentDesk } from "../../../session";

/** Every act of the rooms: who is signed in, may they, is it understood, do it. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ act: string }> },
): Promise<Response> {
  const { act } = await params;
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    if (!isAct(act) || !isOurs(request))
      return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    return told(await perform(act, { ...found, clock: systemClock }, await readJson(request)));
  } catch (error) {
    return error instanceof Refused ? refusedWith(error.problems, error.status) : failed(error);
  }
}
