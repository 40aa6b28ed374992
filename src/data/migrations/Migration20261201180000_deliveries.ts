import { Migration } from "@mikro-orm/migrations";

/** One row for each slot of a mailing and each receiver, so that whatever dies in between is seen; mails are known by their message id. */
export class Migration20261201180000_deliveries extends Migration {
  override up(): void {
    this.addSql(
      `CREATE TABLE deliveries (
         id serial PRIMARY KEY,
         mailing_id int NOT NULL REFERENCES mailings ON DELETE CASCADE,
         slot timestamptz NOT NULL,
         person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
         state text NOT NULL DEFAULT 'waiting'
           CHECK (state IN ('waiting', 'making', 'sending', 'sent', 'empty', 'unseen', 'refused', 'unsure')),
         attempts int NOT NULL DEFAULT 0,
         try_at timestamptz NOT NULL,
         message_id text,
         said text,
         changed_at timestamptz NOT NULL DEFAULT now(),
         UNIQUE (mailing_id, slot, person_id))`,
    );
    this.addSql(
      `CREATE INDEX deliveries_open ON deliveries (try_at) WHERE state IN ('waiting', 'making', 'sending')`,
    );
    this.addSql(`CREATE INDEX deliveries_person ON deliveries (person_id)`);
    this.addSql(`ALTER TABLE mail_messages ADD COLUMN message_id text NOT NULL DEFAULT ''`);
    this.addSql(`CREATE INDEX mail_messages_message ON mail_messages (message_id)`);
  }
}
