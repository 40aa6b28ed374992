import { writeDefinition } from "@/server/web";
import { failed, notSignedIn, refusedWith } from "../../../../reply";
import { currentDesk } from "../../../../session";

const KINDS = ["report", "dashboard", "filter"] as const;

/** A definition as a JSON file. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ kind: string; id: string }> },
): Promise<Response> {
  try {
    const found = await currentDesk();
    if (!found) return notSignedIn();
    const { kind, id } = await params;
    const known = KINDS.find((one) => one === kind);
    const written =
      known && /^\d{1,9}$/.test(id)
        ? await writeDefinition(found.em, found.desk, known, Number(id))
        : null;
    if (!written) return refusedWith([{ code: "none", message: "There is nothing here." }], 404);
    return new Response(JSON.stringify(written.file, null, 2), {
      headers: {
        "content-type": "application/json",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${written.name}.json`)}`,
      },
    });
  } catch (error) {
    return failed(error);
  }
}
