import { type EntityManager, loadViewer, type Viewer, withConnection } from "@/data";
import { hashOf, newSecret } from "./secrets";

/** Makes a token for programs that act as a person; it is told once and stored hashed. @returns null when nobody has the login */
export async function makeToken(
  em: EntityManager,
  login: string,
  name = "",
): Promise<string | null> {
  const token = `gt_${newSecret()}`;
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      "INSERT INTO tokens (token_hash, person_id, name) SELECT $1, id, $3 FROM people WHERE login = $2 AND active",
      [hashOf(token), login, name],
    );
    return rowCount ? token : null;
  });
}

export async function viewerOfToken(em: EntityManager, token: string): Promise<Viewer | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ person_id: number }>(
      "UPDATE tokens SET used_at = now() WHERE token_hash = $1 RETURNING person_id",
      [hashOf(token)],
    );
    return rows[0] ? loadViewer(client, rows[0].person_id) : null;
  });
}
