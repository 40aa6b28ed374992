import { Migration } from "@mikro-orm/migrations";

/** What changed where a state began and where it ended, so that flows look at those states alone; an index that answers for open items by itself. */
export class Migration20261128120000_changes extends Migration {
  override up(): void {
    this.addSql(
      `ALTER TABLE state_spans ADD COLUMN began int NOT NULL DEFAULT 0, ADD COLUMN ended int NOT NULL DEFAULT 0`,
    );
    this.addSql(`DROP INDEX state_spans_open`);
    this.addSql(
      `CREATE INDEX state_spans_open ON state_spans (valid_to) INCLUDE (item_id, kind_id, rights_project_id, valid_from, began, ended, status_id, priority_id, assignee_id, team_id, project_id, service_id, created_at, points) WHERE is_open`,
    );
  }
}
