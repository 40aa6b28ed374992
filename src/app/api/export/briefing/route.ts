import { IdAsk } from "@/contract/shared";
import { fileName } from "@/core/exports";
import { chromiumDrawer, Refused, showBriefing } from "@/server/web";
import { failed, fileReply, isOurs, notSignedIn, readJson, refusedWith } from "../../../reply";
import { currentDesk } from "../../../session";

/** A briefing as a PDF: as whoever asks may read it. */
export async function POST(request: Request): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    const asked = IdAsk.safeParse(await readJson(request));
    if (!isOurs(request) || !asked.success)
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const { em, desk } = found;
    const { id, title } = await showBriefing(em, desk, asked.data.id);
    const body = await chromiumDrawer(em).drawBriefing({ id, title }, desk.viewer.person);
    return fileReply({ name: fileName(title, "pdf"), type: "application/pdf", body });
  } catch (error) {
    return error instanceof Refused ? refusedWith(error.problems, error.status) : failed(error);
  }
}
