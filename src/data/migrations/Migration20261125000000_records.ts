import { Migration } from "@mikro-orm/migrations";

/** The records of a workspace, their history, and the definitions made over them. */
export class Migration20261125000000_records extends Migration {
  override up(): void {
    this.addSql(`CREATE COLLATION "natural" (provider = icu, locale = 'en-u-kn-true')`);
    for (const statement of [...dictionaries, ...records, ...people, ...definitions])
      this.addSql(statement);
  }
}

const dictionaries = [
  `CREATE TABLE workspace (id int PRIMARY KEY CHECK (id = 1), name text NOT NULL, demo jsonb, names_version bigint NOT NULL DEFAULT 1, records_version bigint NOT NULL DEFAULT 1, latest_at timestamptz)`,
  `CREATE TABLE settings (setting text PRIMARY KEY, value text NOT NULL)`,
  `CREATE TABLE holidays (day date PRIMARY KEY, name text NOT NULL)`,
  `CREATE TABLE statuses (id serial PRIMARY KEY, name text NOT NULL UNIQUE, stage text NOT NULL CHECK (stage IN ('waiting', 'under way', 'finished')), position numeric NOT NULL, paused boolean NOT NULL DEFAULT false, workflow text NOT NULL DEFAULT '')`,
  `CREATE TABLE kinds (id serial PRIMARY KEY, name text NOT NULL UNIQUE, plural text NOT NULL, workflow text NOT NULL DEFAULT '')`,
  `CREATE TABLE priorities (id serial PRIMARY KEY, name text NOT NULL UNIQUE, rank numeric NOT NULL, response_target text, resolution_target text, clock text NOT NULL DEFAULT 'working')`,
  `CREATE TABLE teams (id serial PRIMARY KEY, name text NOT NULL UNIQUE, manager_id int)`,
  `CREATE TABLE people (id serial PRIMARY KEY, login text NOT NULL UNIQUE, name text NOT NULL, email text, team_id int REFERENCES teams, role text NOT NULL DEFAULT 'member' CHECK (role IN ('administrator', 'builder', 'member')), active boolean NOT NULL DEFAULT true, client text, capacity_minutes_a_day numeric)`,
  `ALTER TABLE teams ADD FOREIGN KEY (manager_id) REFERENCES people`,
  `CREATE TABLE team_members (person_id int NOT NULL REFERENCES people, team_id int NOT NULL REFERENCES teams, position int NOT NULL, PRIMARY KEY (person_id, team_id))`,
  `CREATE TABLE services (id serial PRIMARY KEY, name text NOT NULL UNIQUE, owner_team_id int REFERENCES teams)`,
  `CREATE TABLE assets (id serial PRIMARY KEY, name text NOT NULL UNIQUE, type text, location text, service_id int REFERENCES services)`,
  `CREATE TABLE projects (id serial PRIMARY KEY, name text NOT NULL UNIQUE, type text, portfolio text, client text, manager_id int REFERENCES people, starts_on date, ends_on date, budget numeric)`,
  `CREATE TABLE project_teams (project_id int NOT NULL REFERENCES projects, team_id int NOT NULL REFERENCES teams, position int NOT NULL DEFAULT 1, PRIMARY KEY (project_id, team_id))`,
  `CREATE TABLE progress (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, "on" date NOT NULL, planned_percent numeric, actual_percent numeric, UNIQUE (project_id, "on"))`,
  `CREATE TABLE sprints (id serial PRIMARY KEY, name text NOT NULL UNIQUE, team_id int REFERENCES teams, project_id int REFERENCES projects, starts_at timestamptz, ends_at timestamptz, closed_at timestamptz)`,
  `CREATE TABLE releases (id serial PRIMARY KEY, name text NOT NULL UNIQUE, project_id int REFERENCES projects, starts_on date, due_on date, released_on date)`,
  `CREATE TABLE fields (id serial PRIMARY KEY, name text NOT NULL UNIQUE, type text NOT NULL, many boolean NOT NULL DEFAULT false, choices jsonb NOT NULL DEFAULT '[]', position int NOT NULL)`,
];

const state = `status_id int REFERENCES statuses, priority_id int REFERENCES priorities, assignee_id int REFERENCES people, team_id int REFERENCES teams, project_id int REFERENCES projects, service_id int REFERENCES services, sprint_id int REFERENCES sprints, points numeric, remaining_minutes numeric, due_at timestamptz, is_open boolean NOT NULL, status_since timestamptz NOT NULL, started_at timestamptz, finished_at timestamptz, reassigned int NOT NULL, reopened int NOT NULL`;

const records = [
  `CREATE TABLE items (id serial PRIMARY KEY, key text NOT NULL UNIQUE, kind_id int REFERENCES kinds, title text NOT NULL, description text, raised_by_id int REFERENCES people, asset_id int REFERENCES assets, release_id int REFERENCES releases, parent_id int REFERENCES items DEFERRABLE INITIALLY DEFERRED, estimate_minutes numeric, category text, created_at timestamptz NOT NULL, deleted_at timestamptz, tags text[] NOT NULL DEFAULT '{}', tags_folded text[] NOT NULL DEFAULT '{}', follower_ids int[] NOT NULL DEFAULT '{}', custom jsonb NOT NULL DEFAULT '{}', custom_folded jsonb NOT NULL DEFAULT '{}', ${state})`,
  `CREATE INDEX items_key_folded ON items (lower(normalize(key, NFC) COLLATE "und-x-icu"))`,
  `CREATE INDEX items_now ON items (kind_id, status_id, priority_id) INCLUDE (team_id, assignee_id, service_id, project_id) WHERE deleted_at IS NULL`,
  `CREATE INDEX items_project ON items (project_id, created_at)`,
  `CREATE INDEX items_status ON items (status_id) WHERE deleted_at IS NULL`,
  `CREATE INDEX items_assignee ON items (assignee_id)`,
  `CREATE INDEX items_sprint ON items (sprint_id)`,
  `CREATE INDEX items_created ON items (created_at)`,
  `CREATE INDEX items_finished ON items (finished_at)`,
  `CREATE INDEX items_parent ON items (parent_id)`,
  `CREATE INDEX items_tags ON items USING gin (tags_folded)`,
  `CREATE INDEX items_followers ON items USING gin (follower_ids)`,
  `CREATE INDEX items_custom ON items USING gin (custom_folded jsonb_path_ops)`,
  `CREATE TABLE moves (id bigserial PRIMARY KEY, item_id int NOT NULL REFERENCES items, at timestamptz NOT NULL, place int NOT NULL, field text NOT NULL, from_value text, to_value text, by_id int REFERENCES people)`,
  `CREATE INDEX moves_item ON moves (item_id, at, place)`,
  `CREATE INDEX moves_at ON moves (at)`,
  `CREATE TABLE state_spans (item_id int NOT NULL, kind_id int, rights_project_id int, created_at timestamptz NOT NULL, valid_from timestamptz NOT NULL, valid_to timestamptz NOT NULL DEFAULT 'infinity', ${state.replace(/ REFERENCES \w+/g, "")}) WITH (autovacuum_vacuum_scale_factor = 0.02, autovacuum_analyze_scale_factor = 0.02)`,
  `CREATE INDEX state_spans_item ON state_spans (item_id, valid_from)`,
  `CREATE UNIQUE INDEX state_spans_now ON state_spans (item_id) WHERE valid_to = 'infinity'`,
  `CREATE INDEX state_spans_open ON state_spans (valid_to) INCLUDE (valid_from, created_at, priority_id, project_id, assignee_id, status_id, points) WHERE is_open`,
  `CREATE TABLE links (id serial PRIMARY KEY, from_id int NOT NULL REFERENCES items, link text NOT NULL, to_id int NOT NULL REFERENCES items, UNIQUE (from_id, link, to_id))`,
  `CREATE INDEX links_to ON links (to_id)`,
  `CREATE TABLE comments (id serial PRIMARY KEY, item_id int NOT NULL REFERENCES items, at timestamptz NOT NULL, by_id int REFERENCES people, internal boolean NOT NULL DEFAULT false, text text NOT NULL)`,
  `CREATE INDEX comments_item ON comments (item_id, at)`,
  `CREATE TABLE time_entries (id serial PRIMARY KEY, item_id int REFERENCES items, project_id int REFERENCES projects, person_id int REFERENCES people, worked_on date NOT NULL, minutes numeric NOT NULL, billable boolean, rate numeric)`,
  `CREATE INDEX time_entries_item ON time_entries (item_id)`,
  `CREATE INDEX time_entries_day ON time_entries (worked_on)`,
  `CREATE TABLE cost_entries (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, "on" date NOT NULL, category text, amount numeric NOT NULL, note text)`,
  `CREATE TABLE planned_costs (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, month text NOT NULL, category text, amount numeric NOT NULL)`,
  `CREATE TABLE billings (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, "on" date NOT NULL, amount numeric NOT NULL)`,
  `CREATE TABLE milestones (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, name text NOT NULL, due_on date, reached_on date, UNIQUE (project_id, name))`,
  `CREATE TABLE weekly_words (id serial PRIMARY KEY, project_id int NOT NULL REFERENCES projects, person_id int REFERENCES people, week text NOT NULL, health text, done text, next text, worry text, UNIQUE (project_id, person_id, week))`,
  `CREATE TABLE person_projects (person_id int NOT NULL REFERENCES people, project_id int NOT NULL, PRIMARY KEY (person_id, project_id))`,
  `COMMENT ON TABLE person_projects IS 'In which projects (0: items of none) somebody appears: who may see one of them may know the person.'`,
];

const people = [
  `CREATE TABLE accounts (person_id int PRIMARY KEY REFERENCES people, password_hash text NOT NULL, changed_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE TABLE sessions (token_hash text PRIMARY KEY, person_id int NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now(), expires_at timestamptz NOT NULL)`,
  `CREATE INDEX sessions_person ON sessions (person_id)`,
  `CREATE TABLE invites (token_hash text PRIMARY KEY, person_id int NOT NULL REFERENCES people, expires_at timestamptz NOT NULL, used_at timestamptz)`,
  `CREATE TABLE tokens (id serial PRIMARY KEY, token_hash text NOT NULL UNIQUE, person_id int NOT NULL REFERENCES people, name text NOT NULL DEFAULT '', created_at timestamptz NOT NULL DEFAULT now(), used_at timestamptz)`,
  `CREATE TABLE sign_in_failures (id bigserial PRIMARY KEY, login text NOT NULL, at timestamptz NOT NULL DEFAULT now())`,
  `CREATE INDEX sign_in_failures_login ON sign_in_failures (login, at)`,
];

const kept = `version int NOT NULL DEFAULT 1, name text NOT NULL, purpose text NOT NULL DEFAULT '', owner_id int NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now(), updated_at timestamptz NOT NULL DEFAULT now(), updated_by_id int NOT NULL REFERENCES people, deleted_at timestamptz`;

const definitions = [
  `CREATE TABLE reports (id serial PRIMARY KEY, ${kept}, definition jsonb NOT NULL, dress jsonb NOT NULL)`,
  `CREATE TABLE dashboards (id serial PRIMARY KEY, ${kept}, tiles jsonb NOT NULL DEFAULT '[]')`,
  `CREATE TABLE pins (person_id int NOT NULL REFERENCES people, kind text NOT NULL CHECK (kind IN ('report', 'dashboard')), target_id int NOT NULL, created_at timestamptz NOT NULL DEFAULT now(), PRIMARY KEY (person_id, kind, target_id))`,
  `CREATE TABLE imports (id serial PRIMARY KEY, person_id int REFERENCES people, file_name text NOT NULL, folder text NOT NULL, state text NOT NULL, progress jsonb NOT NULL DEFAULT '{}', outcome jsonb, created_at timestamptz NOT NULL DEFAULT now(), updated_at timestamptz NOT NULL DEFAULT now())`,
];
