import type { EntityMetadata } from "@mikro-orm/core";
import { openDatabase, withConnection, type EntityManager } from "@/data";
import { dropDatabase, freshDatabase } from "../support/database";

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
  expect(entities.length).toBeGreaterThan(30);
  for (const entity of entities) {
    const kept = columns.get(entity.tableName);
    expect([entity.tableName, kept !== undefined]).toEqual([entity.tableName, true]);
    for (const name of entity.props.flatMap((property) => property.fieldNames))
      expect([entity.tableName, name, kept!.has(name)]).toEqual([entity.tableName, name, true]);
  }
});

test("every table of ours has its entity, and every column its property", () => {
  const known = new Map(
    entities.map((entity) => [
      entity.tableName,
      new Set(entity.props.flatMap((property) => property.fieldNames)),
    ]),
  );
  for (const [table, names] of columns) {
    if (table === "mikro_orm_migrations") continue;
    expect([table, known.has(table)]).toEqual([table, true]);
    for (const name of names)
      expect([table, name, known.get(table)!.has(name)]).toEqual([table, name, true]);
  }
});

test("migrating what is up to date changes nothing", async () => {
  expect(await (await openDatabase()).getMigrator().getPendingMigrations()).toEqual([]);
});

test("an entity is read through the entity manager", async () => {
  const [workspace] = await em.find("Workspace", {});
  expect(workspace).toMatchObject({ id: 1, name: "Test" });
});
