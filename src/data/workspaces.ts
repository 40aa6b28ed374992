import type { DemoFacts } from "@/contract/room";
import { withConnection, type EntityManager } from "./database";

export const hasWorkspace = (em: EntityManager): Promise<boolean> =>
  withConnection(
    em,
    async (client) => (await client.query("SELECT 1 FROM workspace")).rowCount === 1,
  );

/** Makes the one workspace of a database; does nothing when there is one. */
export const createWorkspace = (
  em: EntityManager,
  name: string,
  demo: DemoFacts | null,
): Promise<unknown> =>
  withConnection(em, (client) =>
    client.query(
      "INSERT INTO workspace (id, name, demo) VALUES (1, $1, $2) ON CONFLICT (id) DO NOTHING",
      [name, demo && JSON.stringify(demo)],
    ),
  );
