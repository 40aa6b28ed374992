import { Migration } from "@mikro-orm/migrations";

/** When a move arrived that tells of a past which had been told before. */
export class Migration20261128160000_corrections extends Migration {
  override up(): void {
    this.addSql(`ALTER TABLE moves ADD COLUMN arrived_at timestamptz`);
    this.addSql(
      `CREATE INDEX moves_arrived ON moves (arrived_at) INCLUDE (item_id, at) WHERE arrived_at IS NOT NULL`,
    );
  }
}
