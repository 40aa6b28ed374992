import type { PoolClient } from "pg";
import { DEFAULT_SETTINGS, type BudgetChange, type Known, type RefType } from "@/core/bundle";
import type { CustomField } from "@/core/catalog";
import type { TrackedField } from "@/core/history";

/** Table and name column of what cells name. */
export const NAMED: { readonly [T in RefType]: { readonly table: string; readonly name: string } } =
  {
    status: { table: "statuses", name: "name" },
    kind: { table: "kinds", name: "name" },
    priority: { table: "priorities", name: "name" },
    person: { table: "people", name: "login" },
    team: { table: "teams", name: "name" },
    service: { table: "services", name: "name" },
    asset: { table: "assets", name: "name" },
    project: { table: "projects", name: "name" },
    sprint: { table: "sprints", name: "name" },
    release: { table: "releases", name: "name" },
    item: { table: "items", name: "key" },
  };
const TRACKED_TYPES: Partial<Record<TrackedField, RefType>> = {
  status: "status",
  priority: "priority",
  assignee: "person",
  team: "team",
  project: "project",
  service: "service",
  sprint: "sprint",
};

/** What is named, by type; of items only those with the keys. */
async function namesOf(
  client: PoolClient,
  type: RefType,
  items: readonly string[] | "all",
): Promise<{ id: number; name: string }[]> {
  const { table, name } = NAMED[type];
  if (type !== "item" || items === "all")
    return (
      await client.query<{ id: number; name: string }>(`SELECT id, ${name} AS name FROM ${table}`)
    ).rows;
  const found: { id: number; name: string }[] = [];
  for (let at = 0; at < items.length; at += ASKED_AT_ONCE)
    found.push(
      ...(
        await client.query<{ id: number; name: string }>(
          `SELECT id, ${name} AS name FROM ${table} WHERE ${name} = ANY($1::text[])`,
          [items.slice(at, at + ASKED_AT_ONCE)],
        )
      ).rows,
    );
  return found;
}
const ASKED_AT_ONCE = 20_000;

/** Names to identities and back, as they are while a bundle comes in or goes out. */
export class Identities {
  private readonly ids = new Map<string, number>();
  private readonly names = new Map<string, string>();
  private readonly fields = new Map<string, number>();

  /** @param items the keys of the items that will be asked for; a workspace may have millions */
  static async load(client: PoolClient, items: readonly string[] | "all"): Promise<Identities> {
    const loaded = new Identities();
    for (const type of Object.keys(NAMED) as RefType[])
      for (const row of await namesOf(client, type, items)) loaded.add(type, row.name, row.id);
    const { rows } = await client.query<{ id: number; name: string }>(
      "SELECT id, name FROM fields",
    );
    for (const row of rows) loaded.fields.set(row.name, row.id);
    return loaded;
  }

  add(type: RefType, name: string, id: number): void {
    this.ids.set(`${type} ${name}`, id);
    this.names.set(`${type} ${id}`, name);
  }

  id(type: RefType, name: string): number | null {
    return this.ids.get(`${type} ${name}`) ?? null;
  }

  idOrNull(type: RefType, value: unknown): number | null {
    return typeof value === "string" ? this.id(type, value) : null;
  }

  name(type: RefType, id: number): string | null {
    return this.names.get(`${type} ${id}`) ?? null;
  }

  fieldId(name: string): number {
    return this.fields.get(name)!;
  }

  /** A moved value as kept (an identity) from its name, and back. */
  keptTracked(field: TrackedField, name: string | null): string | null {
    const type = TRACKED_TYPES[field];
    return name === null || !type ? name : String(this.id(type, name));
  }

  nameOfTracked(field: TrackedField, kept: string | null): string | null {
    const type = TRACKED_TYPES[field];
    return kept === null || !type ? kept : this.name(type, Number(kept));
  }
}

export interface FieldRow {
  id: number;
  name: string;
  type: CustomField["type"];
  many: boolean;
  choices: string[];
}

/** What a workspace knows before an import that names these items. */
export async function loadKnown(client: PoolClient, items: readonly string[]): Promise<Known> {
  const settings = await client.query<{ setting: string; value: string }>(
    "SELECT setting, value FROM settings",
  );
  const holidays = await client.query<{ day: string }>("SELECT day::text AS day FROM holidays");
  const fields = await client.query<FieldRow>(
    "SELECT id, name, type, many, choices FROM fields ORDER BY position",
  );
  const projects = await client.query<{
    name: string;
    client: string | null;
    billing: string | null;
    budget: string | null;
    changes: BudgetChange[];
  }>(
    `SELECT p.name, p.client, p.billing, p.budget,
            coalesce((SELECT json_agg(json_build_object('on', c."on", 'from', c."from"::text, 'to', c."to"::text) ORDER BY c."on")
                        FROM budget_changes c WHERE c.project_id = p.id), '[]') AS changes
       FROM projects p`,
  );
  const names = {} as Record<RefType, Set<string>>;
  for (const type of Object.keys(NAMED) as RefType[]) {
    names[type] = new Set((await namesOf(client, type, items)).map((row) => row.name));
  }
  return {
    settings: {
      ...DEFAULT_SETTINGS,
      ...Object.fromEntries(settings.rows.map((row) => [row.setting, row.value])),
    },
    holidays: holidays.rows.map((row) => row.day),
    names,
    projects: new Map(projects.rows.map(({ name, ...project }) => [name, project])),
    customFields: fields.rows.map(({ name, type, many, choices }) => ({
      name,
      type,
      many,
      choices,
    })),
  };
}
