import { Migration } from "@mikro-orm/migrations";

/**
 * What hangs on a report, a dashboard or a saved filter is tied to it, and goes when it goes. The targets of shares, versions,
 * pins, drafts, opens and mailings are of several kinds: each kind has a generated column with a foreign key.
 */
export class Migration20261130000000_ties extends Migration {
  override up(): void {
    for (const [table, kinds] of Object.entries(TIED))
      for (const kind of kinds) {
        const [column, target] = [`${kind}_id`, TARGETS[kind]];
        this.addSql(
          `DELETE FROM ${table} t WHERE t.kind = '${kind}' AND t.target_id > 0 AND NOT EXISTS (SELECT 1 FROM ${target} x WHERE x.id = t.target_id)`,
        );
        this.addSql(
          `ALTER TABLE ${table} ADD COLUMN ${column} int GENERATED ALWAYS AS (CASE WHEN kind = '${kind}' AND target_id > 0 THEN target_id END) STORED`,
        );
        this.addSql(
          `ALTER TABLE ${table} ADD CONSTRAINT ${table}_${kind} FOREIGN KEY (${column}) REFERENCES ${target} ON DELETE CASCADE`,
        );
        this.addSql(
          `CREATE INDEX ${table}_${kind} ON ${table} (${column}) WHERE ${column} IS NOT NULL`,
        );
      }
    for (const table of ["day_notes", "findings"]) {
      this.addSql(
        `DELETE FROM ${table} t WHERE t.report_id IS NOT NULL AND NOT EXISTS (SELECT 1 FROM reports x WHERE x.id = t.report_id)`,
      );
      this.addSql(
        `ALTER TABLE ${table} ADD CONSTRAINT ${table}_report FOREIGN KEY (report_id) REFERENCES reports ON DELETE CASCADE`,
      );
      this.addSql(`CREATE INDEX ${table}_report ON ${table} (report_id)`);
    }
  }
}

const TARGETS = { report: "reports", dashboard: "dashboards", filter: "saved_filters" } as const;
const ALL = ["report", "dashboard", "filter"] as const;
const TIED: Readonly<Record<string, readonly (keyof typeof TARGETS)[]>> = {
  shares: ALL,
  versions: ALL,
  pins: ALL,
  drafts: ALL,
  opens: ALL,
  mailings: ["report", "dashboard"],
};
