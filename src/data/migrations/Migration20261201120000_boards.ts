import { Migration } from "@mikro-orm/migrations";

/** Dashboards have decks and filters; each viewer has a view of a dashboard: what they chose, and when they last saw it. */
export class Migration20261201120000_boards extends Migration {
  override up(): void {
    this.addSql(
      `ALTER TABLE dashboards ADD COLUMN decks jsonb NOT NULL DEFAULT '[]', ADD COLUMN filters jsonb NOT NULL DEFAULT '[]'`,
    );
    this.addSql(
      `CREATE TABLE board_views (
         person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
         dashboard_id int NOT NULL REFERENCES dashboards ON DELETE CASCADE,
         chosen jsonb NOT NULL DEFAULT '{}',
         seen_at timestamptz NOT NULL DEFAULT now(),
         before_at timestamptz,
         PRIMARY KEY (person_id, dashboard_id))`,
    );
    this.addSql(`CREATE INDEX board_views_dashboard ON board_views (dashboard_id)`);
  }
}
