import type { Subject } from "@/core/catalog";
import type { PlainMeasure } from "@/core/definition";
import type { Condition } from "@/core/filter";
import { unitOfWork, withConnection, type EntityManager } from "../database";
import { NamedMeasureEntity, SavedFilterEntity } from "../entities";
import { ISO } from "./instants";
import { touchNames } from "./kept";
import type { Viewer } from "./names";
import { saveKept, type Saved, type ToSave } from "./saving";
import { asks, pinned, readable, writable } from "./sharing";

/** A saved filter as it is kept; what it says is among the names that a viewer knows. */
export interface FilterRow {
  readonly id: number;
  readonly version: number;
  readonly owner: string;
  readonly ownerId: number;
  readonly updatedAt: string;
  readonly mayChange: boolean;
  readonly pinned: boolean;
  readonly shared: boolean;
}

export async function readableFilters(em: EntityManager, viewer: Viewer): Promise<FilterRow[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<FilterRow>(
      `SELECT f.id, f.version, p.name AS owner, f.owner_id AS "ownerId", ${ISO("f.updated_at")} AS "updatedAt", ${writable("f", "filter")} AS "mayChange", ${pinned("f", "filter")} AS pinned, EXISTS (SELECT 1 FROM shares x WHERE x.kind = 'filter' AND x.target_id = f.id) AS shared
       FROM saved_filters f JOIN people p ON p.id = f.owner_id WHERE f.deleted_at IS NULL AND ${readable("f", "filter")}`,
      asks(viewer),
    ),
  );
  return rows;
}

/** Whether another filter that somebody may read has this name. */
export async function isFilterNamed(
  em: EntityManager,
  viewer: Viewer,
  name: string,
  except: number | undefined,
): Promise<boolean> {
  const { rowCount } = await withConnection(em, (client) =>
    client.query(
      `SELECT 1 FROM saved_filters f WHERE lower(f.name) = lower($3) AND f.deleted_at IS NULL AND f.id IS DISTINCT FROM $4 AND ${readable("f", "filter")}`,
      [...asks(viewer), name, except ?? null],
    ),
  );
  return rowCount !== 0;
}

export const putFilter = (
  em: EntityManager,
  viewer: Viewer,
  given: ToSave,
  body: {
    readonly purpose: string;
    readonly subject: Subject;
    readonly condition: Condition | null;
  },
): Promise<Saved> =>
  unitOfWork(em, async (unit) => {
    const saved = await saveKept(
      unit,
      viewer,
      "filter",
      given,
      { ...body },
      {
        make: (made) =>
          made.create(SavedFilterEntity, {
            name: given.name,
            owner: viewer.person,
            updatedBy: viewer.person,
            ...body,
          }),
        load: (kept, id) => kept.findOne(SavedFilterEntity, { id, deletedAt: null }),
        change: (kept) => Object.assign(kept, { name: given.name, ...body }),
      },
    );
    if ("saved" in saved) await touchNames(unit);
    return saved;
  });

export interface MeasureBody {
  readonly name: string;
  readonly means: string;
  readonly subject: string;
  readonly measure: PlainMeasure;
}

/** Gives a measure a name, or changes what one means. @returns its id, or why it was not kept */
export const putMeasure = (
  em: EntityManager,
  viewer: Viewer,
  id: number | undefined,
  body: MeasureBody,
): Promise<number | "taken" | "notYours"> =>
  unitOfWork(em, async (unit) => {
    const named = await unit.find(NamedMeasureEntity, { name: { $ilike: likeText(body.name) } });
    if (named.some((one) => one.id !== id)) return "taken";
    const kept = id === undefined ? null : await unit.findOne(NamedMeasureEntity, id);
    const mayChange = viewer.role === "administrator" || kept?.owner?.id === viewer.person;
    if (id !== undefined && (!kept || !mayChange)) return "notYours";
    const measure = kept
      ? Object.assign(kept, body)
      : unit.create(NamedMeasureEntity, { ...body, owner: viewer.person });
    await unit.flush();
    await touchNames(unit);
    return measure.id;
  });

/** A text as a LIKE pattern in which nothing is a wildcard. */
const likeText = (text: string): string => text.replace(/[\\%_]/g, (sign) => `\\${sign}`);
