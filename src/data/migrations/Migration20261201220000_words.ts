import { Migration } from "@mikro-orm/migrations";

/** What words of the desk mean, for one person or for everyone; and the questions that were not understood for sure. */
export class Migration20261201220000_words extends Migration {
  override up(): void {
    this.addSql(
      `CREATE TABLE taught_words (
         id serial PRIMARY KEY,
         words text NOT NULL,
         means text NOT NULL,
         person_id int REFERENCES people ON DELETE CASCADE,
         by_id int REFERENCES people ON DELETE SET NULL,
         created_at timestamptz NOT NULL DEFAULT now())`,
    );
    this.addSql(
      `CREATE UNIQUE INDEX taught_words_once ON taught_words (coalesce(person_id, 0), lower(words))`,
    );
    this.addSql(`CREATE INDEX taught_words_by ON taught_words (by_id)`);
    this.addSql(
      `CREATE TABLE doubted_questions (
         id serial PRIMARY KEY,
         question text NOT NULL,
         person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
         chosen text,
         at timestamptz NOT NULL DEFAULT now())`,
    );
    this.addSql(`CREATE INDEX doubted_questions_person ON doubted_questions (person_id)`);
    this.addSql(`CREATE INDEX doubted_questions_at ON doubted_questions (at)`);
  }
}
