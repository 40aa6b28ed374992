import type { BoardFilter } from "@/core/definition";

/** What a filter is called where no catalog is at hand: its own name, or the names of its field on the way. */
export const filterTitle = ({ label, field }: Pick<BoardFilter, "label" | "field">): string =>
  label ?? field.join("'s ");
