import { Migration } from "@mikro-orm/migrations";

/** Rooms of projects, sprints and releases: the boards they show, their briefings, who was reminded of a week, and corrections of hours. */
export class Migration20261203000000_rooms extends Migration {
  override up(): void {
    this.addSql(
      `CREATE TABLE room_boards (
         id serial PRIMARY KEY,
         kind text NOT NULL CHECK (kind IN ('project', 'sprint', 'release')),
         type text,
         target_id int,
         dashboard_id int NOT NULL REFERENCES dashboards ON DELETE CASCADE,
         CHECK ((type IS NULL) <> (target_id IS NULL)),
         UNIQUE NULLS NOT DISTINCT (kind, type, target_id))`,
    );
    this.addSql(
      `COMMENT ON COLUMN room_boards.type IS 'All things of this type show it ("": those without one); where target_id is set, that one shows it below.'`,
    );
    const kinds = "('project', 'sprint', 'release', 'team', 'filter')";
    this.addSql(
      `CREATE TABLE briefing_templates (
         id serial PRIMARY KEY,
         kind text NOT NULL CHECK (kind IN ${kinds}),
         name text NOT NULL,
         parts jsonb NOT NULL,
         owner_id int NOT NULL REFERENCES people,
         created_at timestamptz NOT NULL DEFAULT now(),
         UNIQUE (kind, name))`,
    );
    this.addSql(
      `CREATE TABLE briefings (
         id serial PRIMARY KEY,
         version int NOT NULL DEFAULT 1,
         kind text NOT NULL CHECK (kind IN ${kinds}),
         target_id int NOT NULL,
         of_name text NOT NULL,
         title text NOT NULL,
         parts jsonb NOT NULL,
         owner_id int NOT NULL REFERENCES people,
         updated_by_id int NOT NULL REFERENCES people,
         created_at timestamptz NOT NULL DEFAULT now(),
         updated_at timestamptz NOT NULL DEFAULT now(),
         deleted_at timestamptz,
         frozen_on date,
         frozen_at timestamptz,
         frozen_for text,
         kept jsonb,
         CHECK ((frozen_on IS NULL) = (kept IS NULL)))`,
    );
    this.addSql(
      `COMMENT ON COLUMN briefings.frozen_for IS 'What its maker sees: who sees the same reads what was kept.'`,
    );
    this.addSql(`CREATE INDEX briefings_target ON briefings (kind, target_id)`);
    this.addSql(`ALTER TABLE mailings DROP CONSTRAINT mailings_kind_check`);
    this.addSql(
      `ALTER TABLE mailings
         ADD CONSTRAINT mailings_kind_check CHECK (kind IN ('report', 'dashboard', 'briefing')),
         ADD COLUMN briefing_id int GENERATED ALWAYS AS (CASE WHEN kind = 'briefing' THEN target_id END) STORED
           REFERENCES briefings ON DELETE CASCADE`,
    );
    this.addSql(`CREATE INDEX mailings_briefing ON mailings (briefing_id)`);
    this.addSql(
      `CREATE TABLE reminders (
         project_id int NOT NULL REFERENCES projects ON DELETE CASCADE,
         week text NOT NULL,
         person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
         by_id int NOT NULL REFERENCES people ON DELETE CASCADE,
         at timestamptz NOT NULL DEFAULT now(),
         sent_at timestamptz,
         PRIMARY KEY (project_id, week, person_id))`,
    );
    this.addSql(
      `CREATE TABLE time_entry_changes (
         id bigserial PRIMARY KEY,
         entry_id int NOT NULL REFERENCES time_entries ON DELETE CASCADE,
         at timestamptz NOT NULL,
         by_id int NOT NULL REFERENCES people,
         minutes numeric NOT NULL,
         deleted boolean NOT NULL DEFAULT false)`,
    );
    this.addSql(
      `COMMENT ON TABLE time_entry_changes IS 'What an entry was before each of its corrections, who made it, and when.'`,
    );
    this.addSql(`CREATE INDEX time_entry_changes_entry ON time_entry_changes (entry_id)`);
  }
}
