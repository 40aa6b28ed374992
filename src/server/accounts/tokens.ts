import { addToken, loadViewer, personOfToken, type EntityManager, type Viewer } from "@/data";
import { hashOf, newSecret } from "./secrets";

/** How long a token is good where nothing else is said. */
export const TOKEN_DAYS = 365;

/** Makes a token for programs that act as a person, good for some days; it is told once and stored hashed. @returns null when nobody has the login */
export async function makeToken(
  em: EntityManager,
  login: string,
  name = "",
  days = TOKEN_DAYS,
): Promise<string | null> {
  const token = `gt_${newSecret()}`;
  return (await addToken(em, login, hashOf(token), name, days)) ? token : null;
}

export async function viewerOfToken(em: EntityManager, token: string): Promise<Viewer | null> {
  const person = await personOfToken(em, hashOf(token));
  return person === null ? null : loadViewer(em, person);
}
