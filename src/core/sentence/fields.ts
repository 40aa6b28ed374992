import type { Catalog, Field, FieldPath, SubjectId } from "../catalog";
import type { Cursor } from "./cursor";
import { nearestMeaning } from "./meant";

const namesOf = (field: Field): string[] => [field.words, ...(field.synonyms ?? [])];

/** The field whose name (or synonym) stands at the cursor, the longest one; how many tokens it takes. */
function fieldHere(
  cursor: Cursor,
  fields: readonly Field[],
): { field: Field; length: number } | undefined {
  const token = cursor.token;
  if (token?.kind === "quoted") {
    const field = fields.find((f) => f.words.toLowerCase() === token.text.toLowerCase());
    return field && { field, length: 1 };
  }
  let best: { field: Field; length: number } | undefined;
  const meet = (field: Field, name: string) => {
    const length = cursor.phraseLength(name);
    if (length > (best?.length ?? 0)) best = { field, length };
  };
  // A field that is called so comes before one that may be called so, too.
  for (const field of fields) meet(field, field.words);
  for (const field of fields) for (const name of field.synonyms ?? []) meet(field, name);
  return best;
}

const offerFields = (cursor: Cursor, fields: readonly Field[]): void =>
  fields.forEach((field) => cursor.offer({ kind: "field", words: field.words, called: "a field" }));

/** Whether the name of a field stands at the cursor. */
export const isFieldAt = (cursor: Cursor, catalog: Catalog, subject: SubjectId): boolean =>
  fieldHere(cursor, catalog.fieldsOf(subject)) !== undefined;

/** field = name { "'s" name } */
export function parsePath(cursor: Cursor, catalog: Catalog, subject: SubjectId): FieldPath {
  const path: Field[] = [];
  let fields = catalog.fieldsOf(subject);
  do {
    const here = fieldHere(cursor, fields);
    offerFields(cursor, fields);
    if (!here) noField(cursor, fields, path);
    path.push(here!.field);
    cursor.at += here!.length;
    fields = catalog.reachedThrough(here!.field);
    if (fields.length === 0 && cursor.token?.text === "'s")
      cursor.stop({
        code: "sentence.noOwner",
        message: `nothing can be reached through ${here!.field.words}`,
      });
  } while (fields.length > 0 && cursor.sign("'s"));
  return path as unknown as FieldPath;
}

function noField(cursor: Cursor, fields: readonly Field[], path: readonly Field[]): never {
  const token = cursor.token;
  if (!token || token.kind === "sign") cursor.unexpected();
  const near = nearestMeaning(token!.text, fields.flatMap(namesOf), cursor.meanings);
  const where = path.length ? ` of ${path[path.length - 1].words}` : "";
  return cursor.stop({
    code: "sentence.noField",
    message: `there is no field "${token!.text}"${where}`,
    ...(near.length ? { nearest: near } : {}),
    expected: ["a field"],
  });
}
