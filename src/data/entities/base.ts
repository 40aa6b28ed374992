import { p } from "@mikro-orm/core";

/** An instant that the database fills in. */
export const filled = () => p.datetime().defaultRaw("now()");

/** What is the same of all that has versions: reports, dashboards and saved filters. */
export const keptProperties = {
  id: p.integer().primary(),
  version: p.integer().version(),
  name: p.text(),
  purpose: p.text().default(""),
  createdAt: filled(),
  updatedAt: filled(),
  deletedAt: p.datetime().nullable(),
};
