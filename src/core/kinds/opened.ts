import type { Key } from "../definition";
import type { Relation, Viewpoint } from "../relation";
import { bind, sql, type Fragment } from "../sql";

/** The part of a figure that is opened: a key for each of the first tiers, and one for the split; nothing for all of it. */
export interface Opened {
  readonly path: readonly Key[];
  readonly split?: Key;
  /** Which measure's figure it is, where it has conditions of its own; of a ratio, what either part counts. */
  readonly measure?: number;
  /** The same part in what the report is compared with. */
  readonly before?: true;
  /** Only this record of it, by its identity. */
  readonly record?: number;
}

/** Where the records of a part come from: from when they are read, and what is asked of each. */
export interface RecordSource {
  readonly view: Viewpoint;
  tests(relation: Relation): readonly Fragment[];
  /** Where a record stands once for each of its steps: a query for `id` and the instant `at` of each. */
  readonly steps?: Fragment;
}

/** Records given by a query for their identities. */
export const among = (items: Fragment, view: Viewpoint): RecordSource => ({
  view,
  tests: (relation) => [sql`${relation.id} IN (${items})`],
});

/** Records given by their identities, deleted ones among them. */
export const listed = (ids: readonly number[], view: Viewpoint): RecordSource =>
  among(sql`SELECT unnest(${bind(ids, "int[]")})`, { ...view, deletedToo: true });
