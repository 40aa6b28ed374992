import type { ValueLine } from "@/contract/figures";
import type { Catalog, Field } from "@/core/catalog";
import type { Group } from "@/core/definition";
import type { Value } from "@/core/filter";

const MOST = 60;

export const sameValue = (a: Value, b: Value): boolean =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

/** The group with these values shown without records, too. */
export function withAlways({ always: _always, ...group }: Group, values: readonly Value[]): Group {
  return values.length ? { ...group, always: [...values] } : group;
}

/** Values of a field that have names of their own, as lines without records; of a field with very many only the first. */
export function nameableValues(field: Field, catalog: Catalog): ValueLine[] {
  const line = (value: Value, label: string): ValueLine => ({ value, label, count: 0 });
  if (field.thing)
    return catalog.names
      .list(field.thing)
      .slice(0, MOST)
      .map(({ id, label }) => line({ kind: "thing", thing: field.thing!, id }, label));
  return (field.choices ?? [])
    .slice(0, MOST)
    .map((choice) =>
      line(
        field.id === "stage"
          ? { kind: "stage", stage: choice as "waiting" }
          : { kind: "text", text: choice },
        choice,
      ),
    );
}
