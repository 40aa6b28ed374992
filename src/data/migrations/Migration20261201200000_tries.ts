import { Migration } from "@mikro-orm/migrations";

/** Tries to sign in are counted by whom, from where, and by both, each with when the next may come; tokens end. */
export class Migration20261201200000_tries extends Migration {
  override up(): void {
    this.addSql("DROP TABLE sign_in_failures");
    this.addSql(
      `CREATE TABLE sign_in_tries (
         key text PRIMARY KEY,
         failures int NOT NULL DEFAULT 0,
         next_at timestamptz NOT NULL DEFAULT '-infinity',
         last_at timestamptz NOT NULL DEFAULT now())`,
    );
    this.addSql(
      "ALTER TABLE tokens ADD COLUMN expires_at timestamptz NOT NULL DEFAULT now() + interval '1 year'",
    );
    this.addSql("ALTER TABLE tokens ALTER COLUMN expires_at DROP DEFAULT");
  }
}
