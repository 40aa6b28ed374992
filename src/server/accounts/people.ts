import { type EntityManager, withConnection } from "@/data";
import type { PersonLine } from "@/contract/room";

/** Everyone, for administrators. */
export async function listPeople(em: EntityManager): Promise<PersonLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<PersonLine & Record<string, never>>(
      `SELECT p.id, p.login, p.name, p.role, t.name AS team, p.active, a.person_id IS NOT NULL AS "hasAccount" FROM people p LEFT JOIN teams t ON t.id = p.team_id LEFT JOIN accounts a ON a.person_id = p.id ORDER BY p.name COLLATE "natural", p.login`,
    );
    return rows;
  });
}
