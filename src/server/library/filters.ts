import { checkCondition, printReport } from "@/core/kinds";
import { fine, refused, type Result } from "@/core/base";
import { SubjectSchema } from "@/core/definition";
import { ConditionSchema, usesFilter } from "@/core/filter";
import type { AskContext, Catalog } from "@/core/catalog";
import { conditionText } from "@/core/sentence";
import type { FilterLine } from "@/contract/room";
import { type EntityManager, type Viewer, withConnection } from "@/data";
import { asks, ISO, mayBuild, readable, recordVersion, writable } from "./kept";

/** Saved filters that one may use, with their conditions spelled out. */
export async function listFilters(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
): Promise<FilterLine[]> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{
      id: number;
      version: number;
      owner: string;
      owner_id: number;
      updated_at: string;
      may_change: boolean;
      pinned: boolean;
      shared: boolean;
    }>(
      `SELECT f.id, f.version, p.name AS owner, f.owner_id, ${ISO("f.updated_at")} AS updated_at, ${writable("f", "filter")} AS may_change, EXISTS (SELECT 1 FROM pins x WHERE x.person_id = $1 AND x.kind = 'filter' AND x.target_id = f.id) AS pinned, EXISTS (SELECT 1 FROM shares x WHERE x.kind = 'filter' AND x.target_id = f.id) AS shared
       FROM saved_filters f JOIN people p ON p.id = f.owner_id WHERE f.deleted_at IS NULL AND ${readable("f", "filter")}`,
      asks(viewer),
    );
    const kept = new Map(rows.map((row) => [row.id, row]));
    return catalog.filters.flatMap((filter): FilterLine[] => {
      const row = kept.get(filter.id);
      if (!row) return [];
      const where = filter.where ? ConditionSchema.parse(filter.where) : undefined;
      const says = where ? conditionText(where, catalog, filter.subject.id) : "all of them";
      const subject = {
        id: filter.subject.id,
        ...(filter.subject.kind === undefined ? {} : { kind: filter.subject.kind }),
      };
      const listOf = (more: object) =>
        printReport({ kind: "list", subject, showing: [], sorts: [], ...more }, catalog);
      return [
        {
          id: filter.id,
          version: row.version,
          name: filter.name,
          purpose: filter.purpose,
          subject: catalog.subjectWords(subject),
          says,
          sentence: listOf({ subject: { ...subject, filter: filter.id } }),
          conditions: listOf(where ? { where } : {}),
          owner: row.owner,
          mine: row.owner_id === viewer.person,
          shared: row.shared,
          updatedAt: row.updated_at,
          mayChange: mayBuild(viewer) && row.may_change,
          pinned: row.pinned,
        },
      ];
    });
  });
}

export interface FilterToSave {
  readonly id?: number;
  readonly version?: number;
  readonly name: string;
  readonly purpose: string;
  readonly subject: unknown;
  readonly where: unknown;
}

/** Saves a filter, or a new version of one; every report, tile and list that uses it follows. */
export async function saveFilter(
  em: EntityManager,
  viewer: Viewer,
  context: AskContext,
  given: FilterToSave,
): Promise<Result<{ id: number; version: number }>> {
  if (!mayBuild(viewer))
    return refused({
      code: "filter.right",
      message: "Members use saved filters; ask a builder to save this one.",
    });
  const name = given.name.trim();
  if (!name || name.length > 200)
    return refused({
      code: "filter.name",
      message: "A saved filter needs a name of at most 200 characters.",
      path: "name",
    });
  const subject = SubjectSchema.safeParse(given.subject);
  const where =
    given.where === null || given.where === undefined
      ? null
      : ConditionSchema.safeParse(given.where);
  if (!subject.success || (where && !where.success))
    return refused({
      code: "filter.shape",
      message: "This filter has a part that is not understood.",
    });
  const condition = where?.success ? where.data : undefined;
  const wrong = checkCondition(condition, subject.data.id, context);
  if (wrong.length) return refused(...wrong);
  if (given.id !== undefined && usesFilter(condition, given.id, context.catalog))
    return refused({ code: "filter.itself", message: "A filter cannot lead to itself." });
  const saved = await withConnection(
    em,
    async (client): Promise<Result<{ id: number; version: number }>> => {
      const twice = await client.query(
        "SELECT 1 FROM saved_filters f WHERE lower(f.name) = lower($3) AND f.deleted_at IS NULL AND f.id IS DISTINCT FROM $4 AND " +
          readable("f", "filter"),
        [...asks(viewer), name, given.id ?? null],
      );
      if (twice.rowCount)
        return refused({
          code: "filter.name",
          message: `There is a saved filter called ${name} already.`,
          path: "name",
        });
      const body = [
        name,
        given.purpose.trim().slice(0, 1000),
        JSON.stringify(subject.data),
        condition ? JSON.stringify(condition) : null,
      ];
      if (given.id === undefined) {
        const { rows } = await client.query<{ id: number; version: number }>(
          "INSERT INTO saved_filters (name, purpose, subject, condition, owner_id, updated_by_id) VALUES ($1, $2, $3, $4, $5, $5) RETURNING id, version",
          [...body, viewer.person],
        );
        return fine(rows[0]);
      }
      const { rows } = await client.query<{ id: number; version: number }>(
        `UPDATE saved_filters f SET name = $3, purpose = $4, subject = $5, condition = $6, updated_by_id = $1, updated_at = now(), version = version + 1 WHERE f.id = $7 AND f.version = $8 AND f.deleted_at IS NULL AND ${writable("f", "filter")} RETURNING f.id, f.version`,
        [...asks(viewer), ...body, given.id, given.version ?? 0],
      );
      return rows[0]
        ? fine(rows[0])
        : refused({
            code: "filter.version",
            message: "Somebody saved this filter meanwhile, or it is not yours to change.",
          });
    },
  );
  if (saved.ok) {
    await withConnection(em, (client) =>
      client.query("UPDATE workspace SET names_version = names_version + 1"),
    );
    await recordVersion(em, viewer, "filter", {
      ...saved.value,
      name,
      body: { purpose: given.purpose, subject: subject.data, condition: condition ?? null },
    });
  }
  return saved;
}
