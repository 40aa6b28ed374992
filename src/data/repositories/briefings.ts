import type { KeptBriefing, KeptPart, TemplateLine } from "@/contract/briefings";
import type { BriefingKind } from "@/core/briefing";
import {
  LockMode,
  OptimisticLockError,
  fresh,
  unitOfWork,
  withConnection,
  type EntityManager,
} from "../database";
import { BriefingEntity, BriefingTemplate, Person } from "../entities";
import { isoText } from "./instants";

/** A briefing as it is kept. */
export interface BriefingRow {
  readonly id: number;
  readonly version: number;
  readonly kind: BriefingKind;
  readonly target: number;
  readonly of: string;
  readonly title: string;
  readonly parts: readonly KeptPart[];
  readonly ownerId: number;
  readonly owner: string;
  readonly updatedAt: string;
  readonly frozenOn: string | null;
  readonly frozenFor: string | null;
  readonly kept: KeptBriefing | null;
}

const rowOf = (kept: Loaded): BriefingRow => ({
  id: kept.id,
  version: kept.version,
  kind: kept.kind,
  target: kept.targetId,
  of: kept.ofName,
  title: kept.title,
  parts: kept.parts,
  ownerId: kept.owner.id,
  owner: kept.owner.name,
  updatedAt: isoText(kept.updatedAt),
  frozenOn: kept.frozenOn ?? null,
  frozenFor: kept.frozenFor ?? null,
  kept: kept.kept ?? null,
});
type Loaded = Awaited<ReturnType<typeof loadAll>>[number];

const loadAll = (em: EntityManager, where: object) =>
  fresh(em).find(
    BriefingEntity,
    { ...where, deletedAt: null },
    { populate: ["owner"], orderBy: { updatedAt: "desc", id: "desc" }, limit: 500 },
  );

const SUBJECTS: Readonly<Record<BriefingKind, string>> = {
  project: "projects",
  sprint: "sprints",
  release: "releases",
  team: "teams",
  filter: "saved_filters",
};

/** Whether the thing that a briefing is of is there at all, whoever may see it. */
export const isThere = (em: EntityManager, kind: BriefingKind, id: number): Promise<boolean> =>
  withConnection(em, async (client) => {
    const { rowCount } = await client.query(`SELECT FROM ${SUBJECTS[kind]} WHERE id = $1`, [id]);
    return Boolean(rowCount);
  });

/** Those of one thing, or all; the latest first. */
export const briefingRows = async (
  em: EntityManager,
  of?: { readonly kind: BriefingKind; readonly target: number } | undefined,
): Promise<BriefingRow[]> =>
  (await loadAll(em, of ? { kind: of.kind, targetId: of.target } : {})).map(rowOf);

export const loadBriefing = async (em: EntityManager, id: number): Promise<BriefingRow | null> => {
  const [found] = await loadAll(em, { id });
  return found ? rowOf(found) : null;
};

/** The day of the last briefing of a thing that was frozen before a day. */
export async function frozenBefore(
  em: EntityManager,
  { kind, target }: { readonly kind: BriefingKind; readonly target: number },
  day: string,
): Promise<string | null> {
  const [found] = await fresh(em).find(
    BriefingEntity,
    { kind, targetId: target, deletedAt: null, frozenOn: { $lt: day } },
    { orderBy: { frozenOn: "desc" }, limit: 1 },
  );
  return found?.frozenOn ?? null;
}

export interface BriefingToAdd {
  readonly kind: BriefingKind;
  readonly target: number;
  readonly of: string;
  readonly title: string;
  readonly parts: readonly KeptPart[];
  readonly frozen?: { readonly on: string; readonly forSight: string; readonly kept: KeptBriefing };
}

export const addBriefing = (
  em: EntityManager,
  person: number,
  { kind, target, of, title, parts, frozen }: BriefingToAdd,
  now: Date,
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const made = unit.create(BriefingEntity, {
      kind,
      targetId: target,
      ofName: of,
      title,
      parts: [...parts],
      owner: person,
      updatedBy: person,
      createdAt: now,
      updatedAt: now,
      ...(frozen
        ? {
            frozenOn: frozen.on,
            frozenAt: now,
            frozenFor: frozen.forSight,
            kept: frozen.kept,
          }
        : {}),
    } as never);
    await unit.flush();
    return (made as { id: number }).id;
  });

/** What is changed of a briefing. */
export interface BriefingChange {
  readonly title?: string;
  readonly parts?: readonly KeptPart[];
  readonly kept?: KeptBriefing;
  readonly frozenFor?: string;
  readonly frozenOn?: string;
}

/** @returns its new version; "meanwhile" where somebody saved another one, null where it is gone */
export async function changeBriefing(
  em: EntityManager,
  person: number,
  id: number,
  version: number,
  change: BriefingChange,
  now: Date,
): Promise<number | "meanwhile" | null> {
  try {
    return await unitOfWork(em, async (unit) => {
      const kept = await unit.findOne(BriefingEntity, { id, deletedAt: null });
      if (!kept) return null;
      await unit.lock(kept, LockMode.OPTIMISTIC, version);
      Object.assign(kept, change, {
        updatedAt: now,
        updatedBy: unit.getReference(Person, person),
      });
      await unit.flush();
      return kept.version;
    });
  } catch (error) {
    if (error instanceof OptimisticLockError) return "meanwhile";
    throw error;
  }
}

export const removeBriefing = (em: EntityManager, id: number, now: Date): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(BriefingEntity, { id }, { deletedAt: now });
  });

export async function templatesOf(em: EntityManager, kind: BriefingKind): Promise<TemplateLine[]> {
  const found = await fresh(em).find(BriefingTemplate, { kind }, { orderBy: { name: "asc" } });
  return found.map(({ id, name, parts }) => ({ id, kind, name, parts }));
}

/** Keeps a template under a name; one of that name is written over. */
export const putTemplate = (
  em: EntityManager,
  person: number,
  { kind, name, parts }: Omit<TemplateLine, "id">,
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const kept = await unit.findOne(BriefingTemplate, { kind, name });
    if (kept) {
      kept.parts = [...parts];
      return kept.id;
    }
    const made = unit.create(BriefingTemplate, { kind, name, parts: [...parts], owner: person });
    await unit.flush();
    return made.id;
  });

export const removeTemplate = (em: EntityManager, id: number): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeDelete(BriefingTemplate, { id });
  });
