import { Migration } from "@mikro-orm/migrations";

/** Of which projects one message tells at most: a message has at most 8,000 bytes. */
const AT_ONCE = 500;

const TELLS = (changed: string) => `
  BEGIN
    PERFORM pg_notify('records', told.projects) FROM (
      SELECT string_agg(coalesce(project_id::text, 'none'), ',') AS projects
      FROM (SELECT project_id, (row_number() OVER () - 1) / ${AT_ONCE} AS part FROM (${changed}) changed) parts
      GROUP BY part) told;
    RETURN NULL;
  END`;

const WAYS = [
  ["insert", "NEW TABLE AS fresh", "SELECT DISTINCT project_id FROM fresh"],
  ["delete", "OLD TABLE AS gone", "SELECT DISTINCT project_id FROM gone"],
  [
    "update",
    "OLD TABLE AS gone NEW TABLE AS fresh",
    "SELECT project_id FROM gone UNION SELECT project_id FROM fresh",
  ],
] as const;

/** The database tells of which projects items have changed; whoever listens tells those who may see them. */
export class Migration20261201160000_tells extends Migration {
  override up(): void {
    for (const [way, tables, changed] of WAYS) {
      this.addSql(
        `CREATE FUNCTION tell_of_${way}() RETURNS trigger LANGUAGE plpgsql AS $$ ${TELLS(changed)} $$`,
      );
      this.addSql(
        `CREATE TRIGGER items_told_${way} AFTER ${way} ON items REFERENCING ${tables} FOR EACH STATEMENT EXECUTE FUNCTION tell_of_${way}()`,
      );
    }
  }
}
