import { type EntityManager, withConnection } from "@/data";

/** What stands at the head of printed pages: words and a picture of the workspace's own. */
export interface Brand {
  readonly heading: string;
  readonly picture: string;
}

export async function brandOf(em: EntityManager): Promise<Brand> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ setting: string; value: string }>(
      "SELECT setting, value FROM settings WHERE setting IN ('print_heading', 'print_picture')",
    );
    const of = (name: string) => rows.find((row) => row.setting === name)?.value ?? "";
    return { heading: of("print_heading"), picture: of("print_picture") };
  });
}

export async function setBrand(em: EntityManager, { heading, picture }: Brand): Promise<true> {
  await withConnection(em, async (client) => {
    for (const [setting, value] of [
      ["print_heading", heading],
      ["print_picture", picture],
    ])
      await client.query(
        "INSERT INTO settings VALUES ($1, $2) ON CONFLICT (setting) DO UPDATE SET value = excluded.value",
        [setting, value],
      );
  });
  return true;
}
