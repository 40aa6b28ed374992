import { loadAttachment, mailAddress } from "@/server/web";
import { failed, notSignedIn, refusedWith } from "../../../reply";
import { currentDesk } from "../../../session";

/** An attachment of a mail that was sent to the viewer; an administrator reads every mail of the mail room. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    const { id } = await params;
    const file = /^\d{1,9}$/.test(id)
      ? await loadAttachment(found.em, Number(id), await mailAddress(found.em, found.desk.viewer))
      : null;
    if (!file) return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    return new Response(new Uint8Array(file.bytes), {
      headers: {
        "content-type": file.type === "application/pdf" ? file.type : "application/octet-stream",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      },
    });
  } catch (error) {
    return failed(error);
  }
}
