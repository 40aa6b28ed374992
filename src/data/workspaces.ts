import type { EntityManager } from "./database";
import { withConnection } from "./database";

export const hasWorkspace = (em: EntityManager): Promise<boolean> => withConnection(em, async (client) => (await client.query("SELECT 1 FROM workspace")).rowCount === 1);

export const createWorkspace = (em: EntityManager, name: string, isDemo: boolean): Promise<unknown> =>
  withConnection(em, (client) => client.query("INSERT INTO workspace (id, name, is_demo) VALUES (1, $1, $2) ON CONFLICT (id) DO NOTHING", [name, isDemo]));
