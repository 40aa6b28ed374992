import { withConnection, type Desk, type EntityManager } from "@/server/web";

/** Whose mail somebody may read in the mail room: null for all of it (administrators), else their own address; "" where they have none. */
export async function mailAddress({ em, desk }: { em: EntityManager; desk: Desk }): Promise<string | null> {
  if (desk.viewer.role === "administrator") return null;
  return withConnection(em, async (client) => (await client.query<{ email: string | null }>("SELECT email FROM people WHERE id = $1", [desk.viewer.person])).rows[0]?.email ?? "");
}
