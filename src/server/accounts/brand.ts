import { putSettings, settingsOf, type EntityManager } from "@/data";

/** What stands at the head of printed pages: words and a picture of the workspace's own. */
export interface Brand {
  readonly heading: string;
  readonly picture: string;
}

export async function brandOf(em: EntityManager): Promise<Brand> {
  const settings = await settingsOf(em, ["print_heading", "print_picture"]);
  return { heading: settings.print_heading ?? "", picture: settings.print_picture ?? "" };
}

export async function setBrand(em: EntityManager, { heading, picture }: Brand): Promise<true> {
  await putSettings(em, { print_heading: heading, print_picture: picture });
  return true;
}
