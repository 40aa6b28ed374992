import { Migration } from "@mikro-orm/migrations";

const KEPT_WITH_STATES = [
  "status_id",
  "priority_id",
  "assignee_id",
  "team_id",
  "project_id",
  "service_id",
  "sprint_id",
  "points",
  "remaining_minutes",
  "due_at",
  "is_open",
  "status_since",
  "started_at",
  "finished_at",
  "reassigned",
  "reopened",
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

/** A step at the instant of deletion changes nothing: items that had one are as they were in their last state. */
export class Migration20261130120000_ends extends Migration {
  override up(): void {
    const columns = KEPT_WITH_STATES.map((column) => `${column} = s.${column}`).join(", ");
    this.addSql(
      `UPDATE items i SET ${columns}, state_from = s.valid_from FROM state_spans s
       WHERE s.item_id = i.id AND s.valid_to = i.deleted_at
         AND EXISTS (SELECT FROM moves m WHERE m.item_id = i.id AND m.at = i.deleted_at)`,
    );
  }
}
