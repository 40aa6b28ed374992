import type { EntityMetadata } from "@mikro-orm/core";
import { openDatabase, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { dropDatabase, freshDatabase } from "../support/database";

/** Records, their histories and the names in them are read by plans and written in bulk: they have no entities. */
const BY_SQL = [
  "absences",
  "assets",
  "billings",
  "budget_changes",
  "capacities",
  "comments",
  "cost_entries",
  "fields",
  "holidays",
  "items",
  "kinds",
  "links",
  "milestones",
  "mikro_orm_migrations",
  "moves",
  "person_projects",
  "planned_costs",
  "priorities",
  "progress",
  "project_teams",
  "projects",
  "rates",
  "releases",
  "sprints",
  "state_spans",
  "statuses",
  "team_members",
  "time_entries",
  "time_entry_changes",
  "weekly_words",
];

let em: EntityManager;
let entities: EntityMetadata[];
let columns: Map<string, Set<string>>;

beforeAll(async () => {
  em = await freshDatabase("schema");
  entities = [...(await openDatabase()).getMetadata()].filter((entity) => entity.tableName);
  const { rows } = await withConnection(em, (client) =>
    client.query<{ table_name: string; column_name: string }>(
      "SELECT table_name, column_name FROM information_schema.columns WHERE table_schema = 'public'",
    ),
  );
  columns = new Map();
  for (const row of rows)
    columns.set(row.table_name, (columns.get(row.table_name) ?? new Set()).add(row.column_name));
});
afterAll(dropDatabase);

test("every entity has its table, and every property its column", () => {
  expect(entities.length).toBeGreaterThan(20);
  for (const entity of entities) {
    const kept = columns.get(entity.tableName);
    expect([entity.tableName, kept !== undefined]).toEqual([entity.tableName, true]);
    for (const name of entity.props.flatMap((property) => property.fieldNames ?? []))
      expect([entity.tableName, name, kept!.has(name)]).toEqual([entity.tableName, name, true]);
  }
});

test("what is kept one by one has entities, all else is named here", () => {
  const known = new Set(entities.map((entity) => entity.tableName));
  expect([...columns.keys()].filter((table) => !known.has(table)).sort()).toEqual(
    [...BY_SQL].sort(),
  );
});

test("migrating what is up to date changes nothing", async () => {
  expect(await (await openDatabase()).getMigrator().getPendingMigrations()).toEqual([]);
});

test("an entity is read through the entity manager", async () => {
  const [workspace] = await em.find("Workspace", {});
  expect(workspace).toMatchObject({ id: 1, name: "Test" });
});
