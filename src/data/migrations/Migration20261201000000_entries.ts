import { Migration } from "@mikro-orm/migrations";

const TABLES = ["comments", "time_entries", "cost_entries", "billings"];

/** Entries may have an identity of their own, by which they are known when they come again corrected. */
export class Migration20261201000000_entries extends Migration {
  override up(): void {
    for (const table of TABLES) this.addSql(`ALTER TABLE ${table} ADD COLUMN own_id text UNIQUE`);
  }
}
