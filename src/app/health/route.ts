import { loadWorkspace, newSession } from "@/server/web";

export const dynamic = "force-dynamic";

/** 200 when the records can be reached, 503 while they cannot. */
export async function GET(): Promise<Response> {
  try {
    await loadWorkspace(await newSession());
    return new Response("ok");
  } catch {
    return new Response("the records cannot be reached", { status: 503 });
  }
}
