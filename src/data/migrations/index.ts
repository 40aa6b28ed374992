import { Migration20261125000000_records } from "./Migration20261125000000_records";
import { Migration20261128000000_questions } from "./Migration20261128000000_questions";
import { Migration20261128120000_changes } from "./Migration20261128120000_changes";
import { Migration20261128160000_corrections } from "./Migration20261128160000_corrections";
import { Migration20261130000000_ties } from "./Migration20261130000000_ties";
import { Migration20261130120000_ends } from "./Migration20261130120000_ends";
import { Migration20261201000000_entries } from "./Migration20261201000000_entries";
import { Migration20261201120000_boards } from "./Migration20261201120000_boards";
import { Migration20261201160000_tells } from "./Migration20261201160000_tells";
import { Migration20261201180000_deliveries } from "./Migration20261201180000_deliveries";
import { Migration20261201200000_tries } from "./Migration20261201200000_tries";
import { Migration20261201220000_words } from "./Migration20261201220000_words";
import { Migration20261202000000_money } from "./Migration20261202000000_money";
import { Migration20261203000000_rooms } from "./Migration20261203000000_rooms";
import { Migration20261203100000_days } from "./Migration20261203100000_days";

/** Every migration, oldest first. */
export const migrations = [
  { name: "Migration20261125000000_records", class: Migration20261125000000_records },
  { name: "Migration20261128000000_questions", class: Migration20261128000000_questions },
  { name: "Migration20261128120000_changes", class: Migration20261128120000_changes },
  { name: "Migration20261128160000_corrections", class: Migration20261128160000_corrections },
  { name: "Migration20261130000000_ties", class: Migration20261130000000_ties },
  { name: "Migration20261130120000_ends", class: Migration20261130120000_ends },
  { name: "Migration20261201000000_entries", class: Migration20261201000000_entries },
  { name: "Migration20261201120000_boards", class: Migration20261201120000_boards },
  { name: "Migration20261201160000_tells", class: Migration20261201160000_tells },
  { name: "Migration20261201180000_deliveries", class: Migration20261201180000_deliveries },
  { name: "Migration20261201200000_tries", class: Migration20261201200000_tries },
  { name: "Migration20261201220000_words", class: Migration20261201220000_words },
  { name: "Migration20261202000000_money", class: Migration20261202000000_money },
  { name: "Migration20261203000000_rooms", class: Migration20261203000000_rooms },
  { name: "Migration20261203100000_days", class: Migration20261203100000_days },
];
