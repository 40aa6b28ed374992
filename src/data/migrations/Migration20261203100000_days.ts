import { Migration } from "@mikro-orm/migrations";

/** What somebody worked on a day is read from the index alone. */
export class Migration20261203100000_days extends Migration {
  override up(): void {
    this.addSql(`DROP INDEX time_entries_day`);
    this.addSql(
      `CREATE INDEX time_entries_day ON time_entries (worked_on, person_id) INCLUDE (minutes, billable, gone_at)`,
    );
  }
}
