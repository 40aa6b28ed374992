import {
  isDate,
  typeOf,
  type Catalog,
  type Field,
  type FieldPath,
  type SubjectId,
} from "@/core/catalog";
import type { Option } from "../../kit";

/** The fields of a subject as options, and those reached through one owner under the owner's name. */
export function fieldOptions(
  catalog: Catalog,
  subject: SubjectId,
  fits: (field: Field) => boolean,
): Option<readonly string[]>[] {
  const own = catalog.fieldsOf(subject);
  const direct = own.filter(fits).map((field) => ({
    value: [field.id],
    label: field.words,
    about: aboutOf(field),
    group: "Fields",
  }));
  const reached = own
    .filter((field) => field.reaches && field.reaches !== "item" && !field.many)
    .flatMap((owner) =>
      catalog
        .reachedThrough(owner)
        .filter(fits)
        .map((field) => ({
          value: [owner.id, field.id],
          label: `${owner.words}'s ${field.words}`,
          about: aboutOf(field),
          group: "Through its owner",
        })),
    );
  const through = own
    .filter((field) => field.reaches === "item" && subject !== "items")
    .flatMap((owner) =>
      catalog
        .reachedThrough(owner)
        .filter(fits)
        .map((field) => ({
          value: [owner.id, field.id],
          label: `${owner.words}'s ${field.words}`,
          about: aboutOf(field),
          group: "Of its item",
        })),
    );
  return [...direct, ...through, ...reached];
}

const aboutOf = (field: Field): string =>
  field.many
    ? "a list"
    : isDate(field)
      ? "a date"
      : typeOf(field).kept === "number"
        ? typeOf(field).words
        : "";
export const samePath = (a: readonly string[], b: readonly string[]): boolean =>
  a.join("/") === b.join("/");
export const lastField = (path: FieldPath): Field => path[path.length - 1];
