import { Migration20261125000000_records } from "./Migration20261125000000_records";

/** Every migration, oldest first. */
export const migrations = [{ name: "Migration20261125000000_records", class: Migration20261125000000_records }];
