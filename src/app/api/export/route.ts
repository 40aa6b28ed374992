import { ExportRequest } from "@/contract/exports";
import {
  asRefused,
  chromiumDrawer,
  checkReport,
  exportReport,
  Refused,
  unreadableIn,
} from "@/server/web";
import { failed, fileReply, isOurs, notSignedIn, refusedWith } from "../../reply";
import { currentDesk } from "../../session";

/** A report as a file, computed for whoever asks; long ones are streamed as they come. The form posts what it exports as one field. */
export async function POST(request: Request): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    if (!isOurs(request))
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const sent: unknown = await request.json().catch(() => null);
    const asked = ExportRequest.safeParse(sent);
    if (!asked.success || unreadableIn(sent))
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const { definition, ...rest } = asked.data;
    const problems = checkReport(definition, found.desk.view);
    if (problems.length) return refusedWith(problems, 422);
    const file = await exportReport(found.em, found.desk, chromiumDrawer(found.em), {
      ...rest,
      report: definition,
    } as Parameters<typeof exportReport>[3]);
    if ("why" in file)
      return refusedWith(
        [{ code: "export.why", message: `It cannot go out as that: ${file.why}.` }],
        422,
      );
    return fileReply(file, file.rows === undefined ? {} : { "x-rows": String(file.rows) });
  } catch (error) {
    const told = asRefused(error);
    return told instanceof Refused ? refusedWith(told.problems, told.status) : failed(error);
  }
}
