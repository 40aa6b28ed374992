import type { DemoFacts } from "@/contract/signIn";

import { fresh, unitOfWork, withConnection, type EntityManager } from "../database";
import { Setting, Workspace } from "../entities";
import { BIN_DAYS } from "./kept";

export const hasWorkspace = async (em: EntityManager): Promise<boolean> =>
  (await fresh(em).count(Workspace)) === 1;

/** Makes the one workspace of a database; does nothing when there is one. */
export const createWorkspace = (
  em: EntityManager,
  name: string,
  demo: DemoFacts | null,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    if (!(await hasWorkspace(unit))) unit.create(Workspace, { id: 1, name, demo });
  });

/** Settings by name; those that nobody made are left out. */
export async function settingsOf(
  em: EntityManager,
  names: readonly string[],
): Promise<Partial<Record<string, string>>> {
  const settings = await fresh(em).find(Setting, { setting: { $in: [...names] } });
  return Object.fromEntries(settings.map(({ setting, value }) => [setting, value]));
}

export const putSettings = (
  em: EntityManager,
  settings: Readonly<Record<string, string>>,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    for (const [setting, value] of Object.entries(settings))
      await unit.upsert(Setting, { setting, value });
  });

const SWEPT = [
  "sessions WHERE expires_at < now()",
  "invites WHERE expires_at < now() - interval '30 days'",
  `reports WHERE deleted_at < now() - interval '${BIN_DAYS} days'`,
  `dashboards WHERE deleted_at < now() - interval '${BIN_DAYS} days'`,
  `saved_filters WHERE deleted_at < now() - interval '${BIN_DAYS} days'`,
  "print_jobs WHERE created_at < now() - interval '1 hour'",
  "opens WHERE at < now() - interval '400 days'",
  "deliveries WHERE slot < now() - interval '400 days'",
  "doubted_questions WHERE at < now() - interval '180 days'",
  "sign_in_tries WHERE last_at < now() - interval '1 day'",
  "drafts WHERE updated_at < now() - interval '60 days'",
];

/** Clears away what is over; what hangs on it goes with it. */
export const sweep = (em: EntityManager): Promise<void> =>
  unitOfWork(em, (unit) =>
    withConnection(unit, async (client) => {
      for (const what of SWEPT) await client.query(`DELETE FROM ${what}`);
    }),
  );
