import { importState, refusedZip } from "@/server/web";
import { failed, notSignedIn, refusedWith, told } from "../../../reply";
import { currentDesk } from "../../../session";

/** How far an import is; with ?refused=FILE.csv its refused rows of that file. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    const id = Number((await params).id);
    const state =
      found.desk.viewer.role === "administrator" && Number.isInteger(id)
        ? await importState(found.em, id)
        : null;
    if (!state) return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    const wanted = new URL(request.url).searchParams.get("refused");
    if (wanted === null) return told(state);
    const file = (await refusedZip(found.em, id)).find(({ name }) => name === wanted);
    if (!file) return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    return new Response(file.text, {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": `attachment; filename="refused-${file.name}"`,
      },
    });
  } catch (error) {
    return failed(error);
  }
}
