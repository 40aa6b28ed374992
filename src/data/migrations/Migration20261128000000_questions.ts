import { Migration } from "@mikro-orm/migrations";

/** What promises and working time need of each state, and all that is kept around definitions: filters, measures, shares, versions, drafts, mailings. */
export class Migration20261128000000_questions extends Migration {
  override up(): void {
    for (const statement of [...states, ...definitions, ...mail]) this.addSql(statement);
  }
}

const shared = [
  "w_created",
  "w_since",
  "w_started",
  "w_finished",
  "w_from",
  "ran_us",
  "ran_work_us",
  "response_us",
  "response_work_us",
  "resolution_us",
  "resolution_work_us",
];
const added = shared.map((column) => `ADD COLUMN ${column} bigint`).join(", ");

const states = [
  `ALTER TABLE items ${added}, ADD COLUMN state_from timestamptz`,
  `ALTER TABLE state_spans ${added}, ADD COLUMN w_to bigint`,
  `CREATE INDEX state_spans_from ON state_spans (valid_from)`,
  `CREATE INDEX state_spans_sprint ON state_spans (sprint_id, valid_from) WHERE sprint_id IS NOT NULL`,
  `CREATE INDEX items_open ON items (priority_id, status_id) INCLUDE (kind_id, team_id, assignee_id, service_id, project_id) WHERE is_open AND deleted_at IS NULL`,
  `CREATE INDEX moves_field_at ON moves (field, at) INCLUDE (item_id, from_value, to_value)`,
  `ALTER TABLE workspace ADD COLUMN histories_version int NOT NULL DEFAULT 0`,
];

const kept = `version int NOT NULL DEFAULT 1, name text NOT NULL, purpose text NOT NULL DEFAULT '', owner_id int NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now(), updated_at timestamptz NOT NULL DEFAULT now(), updated_by_id int NOT NULL REFERENCES people, deleted_at timestamptz`;
const kinds = `kind text NOT NULL CHECK (kind IN ('report', 'dashboard', 'filter')), target_id int NOT NULL`;

const definitions = [
  `CREATE TABLE saved_filters (id serial PRIMARY KEY, ${kept}, subject jsonb NOT NULL, condition jsonb)`,
  `CREATE TABLE named_measures (id serial PRIMARY KEY, name text NOT NULL UNIQUE, means text NOT NULL, subject text NOT NULL, measure jsonb NOT NULL, owner_id int REFERENCES people, created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE TABLE shares (id serial PRIMARY KEY, ${kinds}, everyone boolean NOT NULL DEFAULT false, person_id int REFERENCES people, team_id int REFERENCES teams, may_change boolean NOT NULL DEFAULT false)`,
  `CREATE INDEX shares_target ON shares (kind, target_id)`,
  `CREATE TABLE versions (${kinds}, version int NOT NULL, name text NOT NULL, body jsonb NOT NULL, saved_by_id int REFERENCES people, saved_at timestamptz NOT NULL DEFAULT now(), PRIMARY KEY (kind, target_id, version))`,
  `CREATE TABLE drafts (person_id int NOT NULL REFERENCES people, ${kinds}, base_version int NOT NULL DEFAULT 0, body jsonb NOT NULL, updated_at timestamptz NOT NULL DEFAULT now(), PRIMARY KEY (person_id, kind, target_id))`,
  `CREATE TABLE opens (id bigserial PRIMARY KEY, person_id int NOT NULL REFERENCES people, ${kinds}, at timestamptz NOT NULL DEFAULT now())`,
  `CREATE INDEX opens_target ON opens (kind, target_id, at)`,
  `CREATE INDEX opens_person ON opens (person_id, kind, at)`,
  `CREATE TABLE notices (person_id int NOT NULL REFERENCES people, about text NOT NULL, words text NOT NULL, href text NOT NULL, at timestamptz NOT NULL DEFAULT now(), seen_at timestamptz, PRIMARY KEY (person_id, about))`,
  `CREATE TABLE day_notes (id serial PRIMARY KEY, day date NOT NULL, words text NOT NULL, service_id int REFERENCES services, report_id int, owner_id int NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE INDEX day_notes_day ON day_notes (day)`,
  `CREATE TABLE findings (id serial PRIMARY KEY, report_id int, words text NOT NULL, address text NOT NULL, picture text, owner_id int NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now())`,
  `ALTER TABLE reports ADD COLUMN category text NOT NULL DEFAULT ''`,
  `ALTER TABLE dashboards ADD COLUMN category text NOT NULL DEFAULT ''`,
  `ALTER TABLE pins DROP CONSTRAINT pins_kind_check, ADD CONSTRAINT pins_kind_check CHECK (kind IN ('report', 'dashboard', 'filter'))`,
  `INSERT INTO shares (kind, target_id, everyone) SELECT 'report', id, true FROM reports UNION ALL SELECT 'dashboard', id, true FROM dashboards`,
  `INSERT INTO versions (kind, target_id, version, name, body, saved_by_id, saved_at) SELECT 'report', id, version, name, jsonb_build_object('definition', definition, 'dress', dress), updated_by_id, updated_at FROM reports`,
  `INSERT INTO versions (kind, target_id, version, name, body, saved_by_id, saved_at) SELECT 'dashboard', id, version, name, jsonb_build_object('purpose', purpose, 'tiles', tiles), updated_by_id, updated_at FROM dashboards`,
];

const mail = [
  `CREATE TABLE mailings (id serial PRIMARY KEY, ${kinds}, owner_id int NOT NULL REFERENCES people, schedule jsonb NOT NULL, people int[] NOT NULL DEFAULT '{}', teams int[] NOT NULL DEFAULT '{}', skip_empty boolean NOT NULL DEFAULT false, page jsonb NOT NULL DEFAULT '{}', next_at timestamptz, last_at timestamptz, last_said text, created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE INDEX mailings_next ON mailings (next_at)`,
  `CREATE TABLE print_jobs (token_hash text PRIMARY KEY, person_id int NOT NULL REFERENCES people, body jsonb NOT NULL, created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE TABLE mail_messages (id serial PRIMARY KEY, received_at timestamptz NOT NULL DEFAULT now(), sender text NOT NULL, receivers text[] NOT NULL, subject text NOT NULL, body_text text NOT NULL DEFAULT '', body_html text NOT NULL DEFAULT '')`,
  `CREATE TABLE mail_attachments (id serial PRIMARY KEY, message_id int NOT NULL REFERENCES mail_messages ON DELETE CASCADE, name text NOT NULL, type text NOT NULL, bytes bytea NOT NULL)`,
  `CREATE INDEX mail_attachments_message ON mail_attachments (message_id)`,
];
