import { Readable } from "node:stream";
import { BoardExportRequest } from "@/contract/boardExports";
import { fileName } from "@/core/exports";
import { boardDrawer, boardSheets, loadDashboard, Refused, unreadableIn } from "@/server/web";
import { failed, isOurs, notSignedIn, refusedWith } from "../../../reply";
import { currentDesk } from "../../../session";

const TYPES = {
  pdf: "application/pdf",
  png: "image/png",
  xlsx: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
} as const;

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
        ? Readable.toWeb(await boardSheets(em, desk, board, asked.data))
        : await boardDrawer(em).draw({ ...asked.data, format }, board.name, desk.viewer.person);
    return new Response(body as BodyInit, {
      headers: {
        "content-type": TYPES[format],
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(fileName(board.name, format))}`,
        "cache-control": "no-store",
      },
    });
  } catch (error) {
    return error instanceof Refused ? refusedWith(error.problems, error.status) : failed(error);
  }
}
