import { Migration } from "@mikro-orm/migrations";

/** What projects cost and earn, who is there when, and how far things are: rates, changes of budgets, absences, and the life of entries. */
export class Migration20261202000000_money extends Migration {
  override up(): void {
    for (const statement of [...entries, ...plans, ...people, ...pricing]) this.addSql(statement);
  }
}

const life = "ADD COLUMN booked_at timestamptz, ADD COLUMN deleted_at timestamptz";

const entries = [
  `ALTER TABLE time_entries ${life},
     ADD COLUMN item_project_id int,
     ADD COLUMN charged_project_id int,
     ADD COLUMN gone_at timestamptz,
     ADD COLUMN charged_rate numeric,
     ADD COLUMN value numeric,
     ADD COLUMN cost numeric`,
  `COMMENT ON COLUMN time_entries.charged_project_id IS 'Its own project, or else that of its item: kept by triggers, as are the columns after it.'`,
  `CREATE INDEX time_entries_charged ON time_entries (charged_project_id, worked_on)`,
  `CREATE INDEX time_entries_person ON time_entries (person_id, worked_on)`,
  `ALTER TABLE cost_entries ${life}, ADD COLUMN billable boolean`,
  `CREATE INDEX cost_entries_project ON cost_entries (project_id, "on")`,
  `ALTER TABLE billings ${life}`,
  `CREATE INDEX billings_project ON billings (project_id, "on")`,
];

const plans = [
  `ALTER TABLE projects
     ADD COLUMN started_on date,
     ADD COLUMN finished_on date,
     ADD COLUMN billing text CHECK (billing IN ('time', 'fixed', 'none')),
     ADD COLUMN price numeric`,
  `CREATE TABLE budget_changes (
     id serial PRIMARY KEY,
     project_id int NOT NULL REFERENCES projects ON DELETE CASCADE,
     "on" date NOT NULL,
     "from" numeric,
     "to" numeric,
     note text,
     UNIQUE (project_id, "on"))`,
  `ALTER TABLE planned_costs
     ADD COLUMN planned_on date,
     ALTER COLUMN month TYPE date USING (left(month, 7) || '-01')::date`,
  // Several plans for one month and category were added up; now the one that was planned last counts.
  `UPDATE planned_costs c SET amount = s.amount
     FROM (SELECT min(id) AS id, sum(amount) AS amount FROM planned_costs GROUP BY project_id, month, category) s
    WHERE c.id = s.id`,
  `DELETE FROM planned_costs c
    USING planned_costs k
    WHERE k.project_id = c.project_id AND k.month = c.month AND k.category IS NOT DISTINCT FROM c.category AND k.id < c.id`,
  `ALTER TABLE planned_costs ADD UNIQUE NULLS NOT DISTINCT (project_id, month, category, planned_on)`,
  `ALTER TABLE milestones ADD COLUMN baseline_on date`,
  `ALTER TABLE weekly_words ADD COLUMN handed_in_at timestamptz`,
  // Words of nobody were brought in again with each bundle; now a week has one of them.
  `DELETE FROM weekly_words w USING weekly_words k
    WHERE w.person_id IS NULL AND k.person_id IS NULL AND k.project_id = w.project_id AND k.week = w.week AND k.id > w.id`,
  `ALTER TABLE weekly_words DROP CONSTRAINT weekly_words_project_id_person_id_week_key,
     ADD UNIQUE NULLS NOT DISTINCT (project_id, person_id, week)`,
];

const people = [
  `ALTER TABLE people ADD COLUMN working_days text, ADD COLUMN joined_on date, ADD COLUMN left_on date`,
  `CREATE TABLE capacities (
     id serial PRIMARY KEY,
     person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
     "from" date,
     minutes_a_day numeric,
     working_days text,
     UNIQUE NULLS NOT DISTINCT (person_id, "from"))`,
  `CREATE TABLE absences (
     id serial PRIMARY KEY,
     person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
     "from" date NOT NULL,
     "to" date NOT NULL,
     part numeric,
     CHECK ("to" >= "from"))`,
  `CREATE INDEX absences_person ON absences (person_id, "from")`,
  `CREATE TABLE rates (
     id serial PRIMARY KEY,
     person_id int NOT NULL REFERENCES people ON DELETE CASCADE,
     project_id int REFERENCES projects ON DELETE CASCADE,
     "from" date,
     rate numeric CHECK (rate >= 0),
     cost_rate numeric CHECK (cost_rate >= 0),
     UNIQUE NULLS NOT DISTINCT (person_id, project_id, "from"))`,
];

/** The row of rates that holds for somebody on a project on a day: the project's before the general one, the latest of each. */
const rateOf = (name: string, column: string): string =>
  `CREATE FUNCTION ${name}(person int, project int, day date) RETURNS numeric LANGUAGE sql STABLE AS $$
     SELECT r.${column} FROM rates r
      WHERE r.person_id = person AND r.${column} IS NOT NULL
        AND (r.project_id IS NULL OR r.project_id = project) AND (r."from" IS NULL OR r."from" <= day)
      ORDER BY r.project_id NULLS LAST, r."from" DESC NULLS LAST LIMIT 1
   $$`;

const pricing = [
  `ALTER TABLE workspace ADD COLUMN minor_unit int NOT NULL DEFAULT 2`,
  rateOf("billing_rate", "rate"),
  rateOf("cost_rate", "cost_rate"),
  `CREATE FUNCTION in_minor_unit(amount numeric) RETURNS numeric LANGUAGE sql STABLE AS $$
     SELECT round(amount, coalesce((SELECT minor_unit FROM workspace), 2))
   $$`,
  `CREATE FUNCTION price_time_entry() RETURNS trigger LANGUAGE plpgsql AS $$
   DECLARE
     item_deleted timestamptz;
   BEGIN
     NEW.item_project_id := NULL;
     IF NEW.item_id IS NOT NULL THEN
       SELECT i.project_id, i.deleted_at INTO NEW.item_project_id, item_deleted FROM items i WHERE i.id = NEW.item_id;
     END IF;
     NEW.charged_project_id := coalesce(NEW.project_id, NEW.item_project_id);
     NEW.gone_at := least(NEW.deleted_at, item_deleted);
     NEW.charged_rate := coalesce(NEW.rate, billing_rate(NEW.person_id, NEW.charged_project_id, NEW.worked_on));
     NEW.value := CASE WHEN NEW.billable THEN in_minor_unit(NEW.minutes * NEW.charged_rate / 60) END;
     NEW.cost := in_minor_unit(NEW.minutes * cost_rate(NEW.person_id, NEW.charged_project_id, NEW.worked_on) / 60);
     RETURN NEW;
   END $$`,
  `CREATE TRIGGER time_entries_priced BEFORE INSERT OR UPDATE ON time_entries
     FOR EACH ROW EXECUTE FUNCTION price_time_entry()`,
  `CREATE FUNCTION price_entries_of_item() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     UPDATE time_entries SET item_id = item_id WHERE item_id = NEW.id;
     RETURN NULL;
   END $$`,
  `CREATE TRIGGER items_priced AFTER UPDATE OF project_id, deleted_at ON items
     FOR EACH ROW WHEN (OLD.project_id IS DISTINCT FROM NEW.project_id OR OLD.deleted_at IS DISTINCT FROM NEW.deleted_at)
     EXECUTE FUNCTION price_entries_of_item()`,
  `CREATE FUNCTION price_entries_of_people() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     UPDATE time_entries SET item_id = item_id WHERE person_id IN (SELECT person_id FROM changed);
     RETURN NULL;
   END $$`,
  ...["INSERT", "UPDATE", "DELETE"].map(
    (event) =>
      `CREATE TRIGGER rates_price_on_${event.toLowerCase()} AFTER ${event} ON rates
         REFERENCING ${event === "DELETE" ? "OLD" : "NEW"} TABLE AS changed
         FOR EACH STATEMENT EXECUTE FUNCTION price_entries_of_people()`,
  ),
  `UPDATE time_entries SET item_id = item_id`,
];
