import type { SubjectId } from "@/core/catalog";

const OF_ITEMS: ReadonlySet<SubjectId> = new Set(["items", "moves", "timeEntries"]);

/** The page that a record has, or the item that it is of; null where neither has one. */
export function recordHref(
  subject: SubjectId,
  { id, key }: { readonly id: number; readonly key: string | null },
): string | null {
  if (subject === "projects") return `/projects/${id}`;
  return OF_ITEMS.has(subject) && key !== null ? `/items/${encodeURIComponent(key)}` : null;
}
