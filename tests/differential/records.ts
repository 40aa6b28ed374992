import { planRecords } from "@/core/kinds/planned";
import type { Viewpoint } from "@/core/relation";
import { isDate, typeOf } from "@/core/catalog";

import { parseInstant } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import type { PlainRecord } from "./plain";

/** All items with every field as plain values, read without any condition. */
export async function everyRecord(em: EntityManager, view: Viewpoint): Promise<PlainRecord[]> {
  const fields = view.catalog.fieldsOf("items");
  const { rows } = await runPlan(
    em,
    planRecords(
      { kind: "list", subject: { id: "items" }, showing: [], sorts: [] },
      { showing: fields.map((field) => [field.id]), sorts: [], offset: 0, limit: 1000 },
      view,
    ),
  );
  return rows.map((row) =>
    Object.fromEntries(
      fields.map((field, i) => {
        const value = row.values[i];
        if (field.many)
          return [
            field.id,
            value === null ? [] : field.thing ? (value as string[]).map(Number) : value,
          ];
        if (value === null) return [field.id, null];
        const { kept } = typeOf(field);
        return [
          field.id,
          kept === "thing" || kept === "number"
            ? Number(value)
            : kept === "flag"
              ? value === "yes"
              : isDate(field) && field.type === "instant"
                ? parseInstant(value as string)
                : value,
        ];
      }),
    ),
  );
}
