import { beginImport } from "@/server/web";
import { failed, isOurs, notSignedIn, refusedWith, told } from "../../reply";
import { currentDesk } from "../../session";

const MOST_BYTES = 512 * 1024 ** 2;

/** Takes a bundle (.zip, or items.csv alone) as the body, its name in a header, and has it read. */
export async function POST(request: Request): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    if (found.desk.viewer.role !== "administrator" || !isOurs(request))
      return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    const name = decodeURIComponent(request.headers.get("x-file-name") ?? "");
    if (!/\.(zip|csv|tsv)$/i.test(name))
      return refusedWith(
        [{ code: "import.kind", message: "Choose a .zip of a bundle, or an items.csv." }],
        422,
      );
    const bytes = new Uint8Array(await request.arrayBuffer());
    if (bytes.length === 0)
      return refusedWith([{ code: "import.empty", message: "This file is empty." }], 422);
    if (bytes.length > MOST_BYTES)
      return refusedWith(
        [{ code: "import.large", message: "This file is over 512 MB; use bin/import for it." }],
        413,
      );
    return told(await beginImport(found.em, found.desk.viewer, name, bytes));
  } catch (error) {
    return failed(error);
  }
}
