import { sql, type Fragment } from "../sql";
import type { MeasureSql } from "./defineMeasure";

export const distinct: MeasureSql = (value) => [sql`count(DISTINCT ${value})`];

/** Different values in the lists of a group, where each record has a list. */
export const distinctInLists = (lists: Fragment): Fragment =>
  sql`(SELECT count(DISTINCT one) FROM jsonb_array_elements(jsonb_agg(to_jsonb(${lists}))) list, jsonb_array_elements_text(CASE jsonb_typeof(list) WHEN 'array' THEN list ELSE '[]' END) one)`;
