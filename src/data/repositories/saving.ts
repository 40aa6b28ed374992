import { LockMode, OptimisticLockError, unitOfWork, type EntityManager } from "../database";
import { Person, type SharedKind } from "../entities";
import { addVersion, rightTo, shareWithEveryone } from "./kept";
import type { Viewer } from "./names";

/** A definition that is saved anew, or as the next version of one. */
export interface ToSave {
  readonly id?: number | undefined;
  /** The version that was changed; another one by now is told instead of overwritten. */
  readonly version?: number | undefined;
  readonly name: string;
  /** Shared with everyone from the start: ready-made ones. */
  readonly forEveryone?: boolean | undefined;
}

/** What came of it: the version that was saved, or why it was not; `by` saved another one meanwhile. */
export type Saved =
  | { readonly saved: { readonly id: number; readonly version: number } }
  | { readonly why: "none" | "notYours" }
  | { readonly why: "meanwhile"; readonly by: string };

interface KeptEntity {
  id: number;
  version: number;
  updatedAt: Date;
  updatedBy: { id: number };
}

/**
 * Saves a definition with its version, and with its first share, as one unit: all of it is there, or nothing.
 * @param make the new entity, already created in the unit
 * @param load the entity of an id, and its changes made
 */
export async function saveKept<E extends KeptEntity>(
  em: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  given: ToSave,
  body: Record<string, unknown>,
  entity: {
    readonly make: (unit: EntityManager) => E;
    readonly load: (unit: EntityManager, id: number) => Promise<E | null>;
    readonly change: (kept: E) => void;
  },
): Promise<Saved> {
  try {
    return await unitOfWork(em, async (unit): Promise<Saved> => {
      if (given.id === undefined) {
        const made = entity.make(unit);
        await unit.flush();
        if (given.forEveryone) shareWithEveryone(unit, kind, made.id);
        return keepVersion(unit, viewer, kind, made, given.name, body);
      }
      const right = await rightTo(unit, viewer, kind, given.id);
      if (!right) return { why: "none" };
      const kept = await entity.load(unit, given.id);
      if (!kept) return { why: "none" };
      if (right === "read") return { why: "notYours" };
      await unit.lock(kept, LockMode.OPTIMISTIC, given.version ?? 0);
      entity.change(kept);
      kept.updatedAt = new Date();
      kept.updatedBy = unit.getReference(Person, viewer.person) as KeptEntity["updatedBy"];
      await unit.flush();
      return keepVersion(unit, viewer, kind, kept, given.name, body);
    });
  } catch (error) {
    if (!(error instanceof OptimisticLockError)) throw error;
    return { why: "meanwhile", by: await whoSaved(em, entity, given.id!) };
  }
}

async function keepVersion(
  unit: EntityManager,
  viewer: Viewer,
  kind: SharedKind,
  { id, version }: KeptEntity,
  name: string,
  body: Record<string, unknown>,
): Promise<Saved> {
  addVersion(unit, viewer, kind, { id, version, name, body });
  await unit.flush();
  return { saved: { id, version } };
}

async function whoSaved<E extends KeptEntity>(
  em: EntityManager,
  entity: { readonly load: (unit: EntityManager, id: number) => Promise<E | null> },
  id: number,
): Promise<string> {
  const session = em.fork() as EntityManager;
  const kept = await entity.load(session, id);
  const person = kept && (await session.findOne(Person, kept.updatedBy.id));
  return person?.name ?? "Somebody";
}
