import type { HoursLine } from "@/contract/hours";

/** What a line of hours is of. */
export type LineOf = Pick<HoursLine, "item" | "project" | "billable">;

/** Tells a line from the others of its week. */
export const lineKey = ({ item, project, billable }: LineOf): string =>
  `${item ? `item ${item.key}` : `project ${project?.id}`} ${billable}`;

export const sameLine = (a: LineOf, b: LineOf): boolean => lineKey(a) === lineKey(b);
