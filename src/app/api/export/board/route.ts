import { BoardExportRequest } from "@/contract/boardExports";
import { exportFormats, fileName } from "@/core/exports";
import { boardDrawer, boardSheets, loadDashboard, Refused, unreadableIn } from "@/server/web";
import { failed, fileReply, isOurs, notSignedIn, refusedWith } from "../../../reply";
import { currentDesk } from "../../../session";

/** A whole dashboard as a file: as it is seen by whoever asks, with their rights. */
export async function POST(request: Request): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    const sent: unknown = await request.json().catch(() => null);
    const asked = BoardExportRequest.safeParse(sent);
    if (!isOurs(request) || !asked.success || unreadableIn(sent))
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const { em, desk } = found;
    const board = await loadDashboard(em, desk.viewer, asked.data.id);
    if (!board) return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    const { format } = asked.data;
    const body =
      format === "xlsx"
        ? await boardSheets(em, desk, board, asked.data)
        : await boardDrawer(em).draw({ ...asked.data, format }, board.name, desk.viewer.person);
    return fileReply({
      name: fileName(board.name, format),
      type: exportFormats[format].type,
      body,
    });
  } catch (error) {
    return error instanceof Refused ? refusedWith(error.problems, error.status) : failed(error);
  }
}
