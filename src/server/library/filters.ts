import { SubjectSchema } from "@/core/definition/schemas";
import { ConditionSchema } from "@/core/filter/schemas";
import type { FilterLine } from "@/contract/library";
import { checkCondition, printReport } from "@/core/kinds";
import { fine, refused, type Result } from "@/core/base";

import { usesFilter } from "@/core/filter";
import type { AskContext, Catalog } from "@/core/catalog";
import { conditionText } from "@/core/sentence";

import { isFilterNamed, putFilter, readableFilters, type EntityManager, type Viewer } from "@/data";
import { mayBuild } from "./kept";

/** Saved filters that one may use, with their conditions spelled out. */
export async function listFilters(
  em: EntityManager,
  viewer: Viewer,
  catalog: Catalog,
): Promise<FilterLine[]> {
  const rows = await readableFilters(em, viewer);
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
        mine: row.ownerId === viewer.person,
        shared: row.shared,
        updatedAt: row.updatedAt,
        mayChange: mayBuild(viewer) && row.mayChange,
        pinned: row.pinned,
      },
    ];
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
  if (await isFilterNamed(em, viewer, name, given.id))
    return refused({
      code: "filter.name",
      message: `There is a saved filter called ${name} already.`,
      path: "name",
    });
  const saved = await putFilter(
    em,
    viewer,
    { ...given, name },
    {
      purpose: given.purpose.trim().slice(0, 1000),
      subject: subject.data,
      condition: condition ?? null,
    },
  );
  return "saved" in saved
    ? fine(saved.saved)
    : refused({
        code: "filter.version",
        message: "Somebody saved this filter meanwhile, or it is not yours to change.",
      });
}
