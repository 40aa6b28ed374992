import { findPersonByLogin, loadViewer, type EntityManager, type Viewer } from "@/data";

/** Somebody by login, with what they may see. */
export async function viewerNamed(em: EntityManager, login: string): Promise<Viewer> {
  const person = await findPersonByLogin(em, login);
  const viewer = person === null ? null : await loadViewer(em, person);
  if (!viewer) throw new Error(`nobody active has the login ${login}`);
  return viewer;
}
